import type { Part } from '../part/index.ts';
import type { Allowances } from './allowances.ts';
import { blankFor } from './blank.ts';
import { realBlank } from './real-blank.ts';

const round = (mm: number): number => Number(mm.toFixed(6));

/** Allowances and grip as they fit a blank that is sawn already. */
export interface AsSawn {
  readonly allow: Allowances;
  readonly spareGripMm: number;
}

/**
 * What is left for holding and facing on a blank that is sawn already: its length does not change any more, so what was chosen since
 * then has to fit into it. What it is longer goes into the grip, or is faced off the other end; what it is shorter is taken from air,
 * grip and facing.
 * @param spareGripMm wanted on spare stock; 0: the part itself is gripped @param leastGripMm as short as it may be
 * @param sawnMm length it was sawn to
 * @returns what then adds up to that length, or by how much it is too short for the part, mm
 */
export function asSawn(
  part: Part,
  diameterMm: number,
  allow: Allowances,
  spareGripMm: number,
  leastGripMm: number,
  sawnMm: number,
): ({ readonly ok: true } & AsSawn) | { readonly ok: false; readonly missingMm: number } {
  const wanted = blankFor(part, diameterMm, allow, spareGripMm);
  const spareMm = round(sawnMm - wanted.lengthMm);
  if (spareMm === 0) return { ok: true, allow, spareGripMm };
  if (spareMm > 0)
    return spareGripMm > 0
      ? { ok: true, allow, spareGripMm: round(spareGripMm + spareMm) }
      : { ok: true, allow: { ...allow, faceHeadMm: round(allow.faceHeadMm + spareMm) }, spareGripMm };
  const { verdict, gives } = realBlank(wanted, allow, sawnMm, diameterMm, 0, leastGripMm);
  if (verdict === 'tooShort') return { ok: false, missingMm: -spareMm };
  const given = (of: (typeof gives)[number]['part']): number => gives.find((g) => g.part === of)?.mm ?? 0;
  return {
    ok: true,
    allow: {
      ...allow,
      clearanceMm: round(allow.clearanceMm - given('clearance')),
      faceTailMm: round(allow.faceTailMm - given('faceTail')),
      faceHeadMm: round(allow.faceHeadMm - given('faceHead')),
    },
    spareGripMm: spareGripMm > 0 ? round(spareGripMm - given('grip')) : 0,
  };
}
