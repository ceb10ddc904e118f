import type { TypedLength } from '../../quantity/index.ts';
import type { Path, Reader } from '../read.ts';
import { type ArcSizes, arcLargestMm, arcLengthFits } from '../shapes.ts';
import type { Inside } from '../surface.ts';

/** The wall of a step that is an arc; undefined where its radius does not reach, or it meets the axis, which is told. */
export function arcWall(
  arc: ArcSizes,
  drawn: { readonly radius?: TypedLength; readonly hollow?: boolean },
  path: Path,
  reader: Reader,
): { readonly kind: 'arc'; readonly radiusMm: number; readonly hollow: boolean } | undefined {
  const hollow = drawn.hollow === true;
  // in a hole it is the arc out of the metal that bulges towards the axis
  const fault = arcLengthFits(arc, !hollow);
  if (!fault) return { kind: 'arc', radiusMm: arc.radiusMm, hollow };
  reader.add({ code: fault.code, path, value: drawn.radius?.text, limit: fault.limitMm, unit: 'mm' });
  return undefined;
}

/** How the wall of a step curves on the way from its mouth inwards, as a corner's bulge; undefined where it is straight. */
export function wallBulge(step: Inside): number | undefined {
  if (step.kind !== 'arc') return undefined;
  const chord = Math.hypot(step.zToMm - step.zFromMm, (step.rightMm - step.leftMm) / 2);
  const bulge = Math.tan(Math.asin(Math.min(1, chord / 2 / step.radiusMm)) / 2);
  return (step.from === 'left') === step.hollow ? -bulge : bulge;
}

/** The largest diameter of a step, mm. */
export const widestMm = (step: Inside): number =>
  step.kind === 'arc' && step.hollow
    ? arcLargestMm({ ...step, lengthMm: step.zToMm - step.zFromMm })
    : Math.max(step.leftMm, step.rightMm);
