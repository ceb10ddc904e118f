import type { Problem } from '../quantity/index.ts';
import { PLACE_MM } from '../quantity/index.ts';
import { reachOf, standingMm } from '../work/index.ts';
import type { GripAsked, HoldAnswer } from './grip/kind.ts';
import { FREE_DIAMETERS, type Held, type Rest } from './held.ts';
import { steadyFault } from './steady-place.ts';

/** What the fingers of a rest take of the work's length, mm. */
export const REST_WIDTH_MM = 15;
/** How far behind the tool a following rest presses, on what the tool has just turned, mm. */
export const FOLLOWS_MM = 10;
/** A following rest is set when its fingers have their whole width on what is turned: the tool is so far in by then, mm. */
export const FOLLOWS_FROM_MM = FOLLOWS_MM + REST_WIDTH_MM / 2;
/** A steady stands at least so far from the end that is faced and centred in it, mm. */
export const NEAR_END_MM = 20;

/** Where a steady stands where nothing is chosen: close to an end that is only faced and centred, else a free length before it. */
function steadyPlaceMm({ piece, setup }: GripAsked, held: Held): number {
  const { lengthMm } = piece.part;
  if (setup.restMm !== undefined) return lengthMm - setup.restMm;
  const outMm = setup.extent === 'ends' ? Math.max(NEAR_END_MM, held.onMm) : FREE_DIAMETERS * held.onMm;
  return Math.max(held.jawsMm + REST_WIDTH_MM, lengthMm - outMm);
}

/** Whether the shop owns a steady for this lathe that takes a diameter. */
export const steadyFor = ({ lathe }: GripAsked, diameterMm: number): boolean => owns(lathe, 'steady', diameterMm);

const owns = ({ holding }: GripAsked['lathe'], kind: Rest['kind'], diameterMm: number): boolean =>
  holding.rests.some((r) => r.kind === kind && r.fromMm <= diameterMm && diameterMm <= r.toMm);

/** The rest that a setup asks for on a piece that is gripped; the answer as it was where it asks for none. */
export function withRest(asked: GripAsked, answer: HoldAnswer): HoldAnswer {
  const { support } = asked.setup;
  const { held } = answer;
  if (!held || (support !== 'steady' && support !== 'following')) return answer;
  const owned = (diameterMm: number): Problem[] =>
    owns(asked.lathe, support, diameterMm)
      ? []
      : [{ code: 'hold.noRest', path: ['support'], value: diameterMm, unit: 'mm', severity: 'warning' }];
  if (support === 'following') {
    const rest: Rest = { kind: 'following' };
    const problems = [...answer.problems, ...owned(held.onMm)];
    return { held: { ...held, method: 'followingRest', rest, wantsRest: false }, problems };
  }
  const { piece } = asked;
  const zMm = Number(steadyPlaceMm(asked, held).toFixed(6));
  const { zToMm } = reachOf(piece);
  const [from, to] = [zMm - REST_WIDTH_MM / 2, zMm + REST_WIDTH_MM / 2];
  const path = ['restMm'];
  const fits = from >= held.jawsMm - PLACE_MM && to <= Math.min(zToMm, piece.part.lengthMm) + PLACE_MM;
  const outMm = Math.min(zToMm, piece.part.lengthMm) - held.jawsMm;
  if (!fits)
    return {
      held: undefined,
      problems: [
        ...answer.problems,
        outMm < REST_WIDTH_MM
          ? { code: 'hold.noRoomForRest', path, value: Number(outMm.toFixed(1)), limit: REST_WIDTH_MM, unit: 'mm' }
          : {
              ...{ code: 'hold.restBeyond', path, value: Number((piece.part.lengthMm - zMm).toFixed(2)), unit: 'mm' },
              limit: Number((outMm - REST_WIDTH_MM / 2).toFixed(1)),
            },
      ],
    };
  const onMm = standingMm(piece, from, to);
  const outDiameters = (zToMm - zMm) / onMm;
  return {
    held: {
      ...{ ...held, method: 'chuckAndSteady', rest: { kind: 'steady', zMm, onMm }, wantsRest: false },
      overhangDiameters: outDiameters,
    },
    problems: [...answer.problems, ...steadyProblems(piece, { zMm, onMm }, path), ...owned(onMm)],
  };
}

const FAULTS = {
  step: { code: 'hold.restOnStep' },
  corners: { code: 'hold.restOnCorners' },
  skin: { code: 'hold.restOnSkin', severity: 'warning' },
} as const;

/** What is wrong with where a steady stands. */
export function steadyProblems(
  piece: GripAsked['piece'],
  { zMm, onMm }: { readonly zMm: number; readonly onMm: number },
  path: Problem['path'],
): Problem[] {
  const fault = steadyFault(piece, zMm - REST_WIDTH_MM / 2, zMm + REST_WIDTH_MM / 2);
  return fault ? [{ ...FAULTS[fault], path, value: Number(onMm.toFixed(3)), unit: 'mm' }] : [];
}

/** From where on a tool reaches the work: beyond the jaws, or beyond a steady that stands on the bed. zPart, mm. */
export const freeFromMm = ({ jawsMm, rest }: Pick<Held, 'jawsMm' | 'rest'>): number =>
  rest?.kind === 'steady' ? Math.max(jawsMm, rest.zMm + REST_WIDTH_MM / 2) : jawsMm;
