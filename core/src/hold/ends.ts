import { chuckOf } from '../lathe/index.ts';
import { centreId, outsides } from '../part/index.ts';
import { PLACE_MM, type Problem } from '../quantity/index.ts';
import { diametersOut, hollowMm, isFinished, rawEndMm, reachOf, standingMm, type Workpiece } from '../work/index.ts';
import type { GripAsked, HoldAnswer } from './grip/kind.ts';
import { type EndsBy, FREE_DIAMETERS, type Held, onTailCentre, usualGripMm } from './held.ts';
import { jawsRefuse } from './jaws-take.ts';
import { NEAR_END_MM, REST_WIDTH_MM, steadyFor, steadyProblems } from './rest.ts';
import { isEven, steadyFault } from './steady-place.ts';

/** A bar that is drawn back stands out by its diameter, mm at the least; a thin one by no more than it stands freely. */
const SHORT_OUT_MM = 12;
/** With nothing at its end work is turned up to so many diameters out of the jaws, beyond the free ones with light cuts. FIELD 2 */
export const LIGHT_DIAMETERS = 5;

/** Whether anything is done at the very end before the tailstock carries it: facing, or drilling its centre hole. */
function worksOnEnd(piece: Workpiece, held: Held, onlyEnds: boolean): boolean {
  const centred = isFinished(piece, centreId(piece.part.tail)) || hollowMm(piece, reachOf(piece).zToMm - PLACE_MM) > 0;
  return rawEndMm(piece, 'right') > 0 || (!centred && (onlyEnds || onTailCentre(held.method)));
}

/** Drawn back through the spindle until a short end stands out of the jaws; undefined where it does not go through, or is too uneven to grip. */
function drawnBack({ piece, lathe }: GripAsked, held: Held): Extract<EndsBy, { kind: 'drawnBack' }> | undefined {
  const chuck = chuckOf(lathe, held.chuckId);
  const { zFromMm, zToMm } = reachOf(piece);
  const endMm = standingMm(piece, zToMm - PLACE_MM, zToMm);
  const outMm = Number(Math.min((FREE_DIAMETERS - 1) * endMm, Math.max(SHORT_OUT_MM, endMm)).toFixed(1));
  const jawsMm = zToMm - outMm;
  const overMm = standingMm(piece, jawsMm - PLACE_MM, jawsMm);
  const gripMm = usualGripMm(overMm, chuck.jawLengthMm);
  const headMm = jawsMm - gripMm;
  if (headMm <= zFromMm || !isEven(piece, headMm, jawsMm)) return undefined;
  const section = piece.section && overMm > piece.section.acrossMm ? piece.section : undefined;
  const onMm = section?.acrossMm ?? overMm;
  if (standingMm(piece, zFromMm, headMm) > lathe.spindle.boreMm || jawsRefuse(chuck, onMm, section).length > 0)
    return undefined;
  return { kind: 'drawnBack', outMm, gripMm, onMm };
}

/** A steady close to the end, where the shop owns one that takes it there. */
function inSteady(asked: GripAsked, held: Held): Extract<EndsBy, { kind: 'steady' }> | undefined {
  const { piece } = asked;
  const { lengthMm } = piece.part;
  const endMm = standingMm(piece, lengthMm - PLACE_MM, lengthMm);
  const zMm = Number((lengthMm - Math.max(NEAR_END_MM, endMm)).toFixed(6));
  const [from, to] = [zMm - REST_WIDTH_MM / 2, zMm + REST_WIDTH_MM / 2];
  const fault = steadyFault(piece, from, to);
  // on a skin it runs badly, which is told; elsewhere it does not run at all
  if (from < held.jawsMm || (fault && fault !== 'skin')) return undefined;
  const onMm = standingMm(piece, from, to);
  return steadyFor(asked, onMm) ? { kind: 'steady', zMm, onMm } : undefined;
}

/** How a piece is held while a long end is faced and centred: short out of the jaws, or in a steady; as it is where it stands short. */
export function whileEndIsMade(held: Held): Held {
  const { ends, rawEndMm } = held;
  if (!ends) return held;
  if (ends.kind === 'steady')
    return {
      ...held,
      method: 'chuckAndSteady',
      rest: { kind: 'steady', zMm: ends.zMm, onMm: ends.onMm },
      wantsRest: false,
    };
  const { gripMm, outMm, onMm } = ends;
  const short = { jawsMm: rawEndMm - outMm, overhangMm: outMm, overhangDiameters: outMm / onMm, gripMm, onMm };
  return { ...held, ...short, method: 'chuck', wantsRest: false };
}

/** The length that a bar drawn back is gripped on, and the end that lies in the spindle. */
function ofPlace(piece: Workpiece, { outMm, gripMm }: { outMm: number; gripMm: number }, held: Held): Partial<Held> {
  const zMm = held.rawEndMm - outMm - gripMm / 2;
  const on = outsides(piece.part).find((f) => f.zFromMm <= zMm && zMm <= f.zToMm);
  return { headEndMm: reachOf(piece).zFromMm, ...(on && { onId: on.id }) };
}

/**
 * How the end is carried while it is faced and centred: never standing free when more than about four diameters are out. It is drawn
 * back through the spindle, else runs in a steady, else it is refused; and what has nothing at its end at all is not turned beyond
 * five diameters.
 * @source FIELD 2
 */
export function withEnds(asked: GripAsked, answer: HoldAnswer): HoldAnswer {
  const { held, problems } = answer;
  const { piece, setup } = asked;
  if (!held || held.rest?.kind === 'steady') return answer;
  const onlyEnds = setup.extent === 'ends';
  const out = diametersOut(piece, held.jawsMm);
  const told = (code: 'hold.endStandsFree' | 'hold.standsTooFar', limit: number): HoldAnswer => {
    const problem: Problem = { code, path: ['support'], value: Number(out.toFixed(1)), limit };
    return { held, problems: [...problems, problem] };
  };
  if (!onlyEnds && held.method === 'chuck' && out > LIGHT_DIAMETERS) return told('hold.standsTooFar', LIGHT_DIAMETERS);
  if (out <= FREE_DIAMETERS || !worksOnEnd(piece, held, onlyEnds)) return answer;
  const back = drawnBack(asked, held);
  if (back) {
    const made = { ...held, ends: back };
    const short = { ...whileEndIsMade(made), why: 'shortOverhang' as const, ...ofPlace(piece, back, held) };
    return { held: onlyEnds ? short : made, problems };
  }
  const steady = inSteady(asked, held);
  if (!steady) return told('hold.endStandsFree', FREE_DIAMETERS);
  const made = { ...held, ends: steady };
  return {
    held: onlyEnds ? { ...whileEndIsMade(made), ends: undefined } : made,
    problems: [...problems, ...steadyProblems(piece, steady, ['support'])],
  };
}
