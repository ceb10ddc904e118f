import { type LengthUnit, parseLength, radians } from '../quantity/index.ts';

/** A chamfer: length along Z and angle from Z; `depthMm` is the change of radius. */
export interface Chamfer {
  readonly lengthMm: number;
  readonly angleDeg: number;
  readonly depthMm: number;
}
export type ReadEdge =
  | { readonly ok: true; readonly chamfer: Chamfer | undefined }
  | { readonly ok: false; readonly code: string };

/**
 * Reads an edge: nothing (edge only broken), `1`, `1x45`, `0.5×30°`.
 * @example readEdge('1x45', 'mm') // { ok: true, chamfer: { lengthMm: 1, angleDeg: 45, depthMm: 1 } }
 */
export function readEdge(text: string, unit: LengthUnit): ReadEdge {
  const clean = text.trim();
  if (clean === '') return { ok: true, chamfer: undefined };
  const [size = '', angle, more] = clean.split(/\s*[x×]\s*/i);
  const read = parseLength(size, unit);
  if (!read.ok) return { ok: false, code: read.code };
  if (more !== undefined || (angle !== undefined && !/^\d{1,2}(\.\d+)?°?$/.test(angle)))
    return { ok: false, code: 'edge.notAnEdge' };
  const angleDeg = angle === undefined ? 45 : Number(angle.replace('°', ''));
  if (angleDeg < 5 || angleDeg > 85) return { ok: false, code: 'edge.angle' };
  const lengthMm = read.mm.valueOf();
  return {
    ok: true,
    chamfer: { lengthMm, angleDeg, depthMm: Number((lengthMm * Math.tan(radians(angleDeg))).toFixed(9)) },
  };
}
