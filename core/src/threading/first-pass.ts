import type { Material } from '../material/index.ts';
import { depthOfAreaMm } from './infeed.ts';

/** Chip area that a lathe bears in a thread: its usual depth of cut times so much, mm²; half of a usual feed, for all of it is form. Shop */
const PER_DEPTH_MM = 0.1;
/** Against steel, by what the material is. ISO 513 groups; shop */
const OF_GROUP: Readonly<Partial<Record<Material['group'], number>>> = { N: 1.4, K: 1.1, M: 0.7, S: 0.5, H: 0.4 };
/** A bar gives, and its chips have no room. FIELD 7: lighter inside */
const INSIDE = 0.6;
/** Never deeper at once than this share of the pitch. */
const MOST_OF_PITCH = 0.15;
/** Shallowest pass of an edge, mm on the radius: less rubs. */
const LEAST_MM = { hss: 0.02, other: 0.04 } as const;

/** What the first pass may be. */
export interface FirstPassWish {
  readonly usualDepthMm: number;
  readonly group: Material['group'];
  readonly inside: boolean;
  readonly pitchMm: number;
  /** flat at the tool's point, and the sum of both flanks' tangents */
  readonly tipMm: number;
  readonly tangents: number;
}
/**
 * Deepest first pass, mm on the radius: where the groove has the area of chip that lathe and material bear.
 * @source w·h + h²·(tan a + tan b)/2 = area
 */
export function firstPassMm({ usualDepthMm, group, inside, pitchMm, tipMm, tangents }: FirstPassWish): number {
  const area = PER_DEPTH_MM * usualDepthMm * (OF_GROUP[group] ?? 1) * (inside ? INSIDE : 1);
  return Math.min(depthOfAreaMm(area, tipMm, tangents), MOST_OF_PITCH * pitchMm);
}

/** Shallowest pass of a tool in a thread, mm on the radius. */
export const lastPassMm = (toolMaterial: string): number => (toolMaterial === 'hss' ? LEAST_MM.hss : LEAST_MM.other);
