import { plungeForceN } from '../cutting/index.ts';
import type { Material } from '../material/index.ts';
import type { ThreadPass } from './passes.ts';

/** Chips of a form run into one another: against a straight edge. Recalled */
const FORM_FACTOR = 1.3;

/** Cutting force of a pass in a thread, N. @source Kienzle with the edge in contact as width, area over it as thickness, and the form's factor */
export const threadForceN = (
  material: Pick<Material, 'kc11NPerMm2' | 'mc'>,
  { areaMm2, contactMm }: Pick<ThreadPass, 'areaMm2' | 'contactMm'>,
): number => FORM_FACTOR * plungeForceN(material, contactMm, areaMm2 / contactMm);
