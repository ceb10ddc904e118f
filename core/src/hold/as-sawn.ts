import type { Part } from '../part/index.ts';
import { blankFor, SHORTEST_GRIP_MM, type Spigots } from './blank.ts';
import { realBlank } from './real-blank.ts';
import type { HoldChoice } from './schema.ts';

const round = (mm: number): number => Number(mm.toFixed(6));

/**
 * The choice of holding for a blank that is sawn already: its length does not change any more, so what was chosen since then has
 * to fit into it. What it is longer goes into the grip, or is faced off the other end; what it is shorter is taken from air, grip and facing.
 * @param sawnMm length it was sawn to
 * @returns the choice whose sum is that length, or by how much it is too short for the part, mm
 */
export function choiceAsSawn(
  part: Part,
  diameterMm: number,
  choice: HoldChoice,
  jawLengthMm: number,
  sawnMm: number,
  spigots?: Spigots,
): { readonly ok: true; readonly choice: HoldChoice } | { readonly ok: false; readonly missingMm: number } {
  const wanted = blankFor(part, diameterMm, choice, jawLengthMm, undefined, spigots);
  const spareMm = round(sawnMm - wanted.lengthMm);
  if (spareMm === 0) return { ok: true, choice };
  const own = { ...choice, gripMm: wanted.gripMm };
  if (spareMm > 0)
    return {
      ok: true,
      choice:
        choice.gripOn === 'spare'
          ? { ...own, gripMm: round(wanted.gripMm + spareMm) }
          : { ...choice, faceHeadMm: round(choice.faceHeadMm + spareMm) },
    };
  const leastGripMm = Math.max(SHORTEST_GRIP_MM, diameterMm / 2);
  const { verdict, gives } = realBlank(wanted, choice, sawnMm, diameterMm, 0, leastGripMm);
  if (verdict === 'tooShort') return { ok: false, missingMm: -spareMm };
  const given = (part: (typeof gives)[number]['part']): number => gives.find((g) => g.part === part)?.mm ?? 0;
  return {
    ok: true,
    choice: {
      ...(choice.gripOn === 'spare' ? own : choice),
      ...(choice.gripOn === 'spare' ? { gripMm: round(wanted.gripMm - given('grip')) } : {}),
      clearanceMm: round(choice.clearanceMm - given('clearance')),
      faceTailMm: round(choice.faceTailMm - given('faceTail')),
      faceHeadMm: round(choice.faceHeadMm - given('faceHead')),
    },
  };
}
