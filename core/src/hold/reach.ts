import {
  barSection,
  crossHoles,
  edgeOf,
  flatsOf,
  isShapedLater,
  isStraight,
  keywaysOf,
  type Outside,
  outsides,
  type SurfaceId,
  surfaceName,
} from '../part/index.ts';
import { PLACE_MM, ROUNDING } from '../quantity/index.ts';
import { faceTowards, isFinished, rawEndMm, standingMm, type Workpiece } from '../work/index.ts';
import type { Held } from './held.ts';
import { freeFromMm } from './rest.ts';

/** Why a surface is not cut in a setup. */
export const WAITS = [
  'behindLarger',
  'inJaws',
  'behindRest',
  'otherEnd',
  'asBar',
  'shape',
  'otherSetup',
  'tooFine',
  'wontBear',
  'cutOff',
  'behindNarrower',
  'behindCentre',
  'onArbor',
  'noTool',
  'noLead',
  'noRunOut',
  'noClass',
  'workStands',
  'otherHeight',
] as const;
export type WaitsBecause = (typeof WAITS)[number];
/** A surface that waits, by its name. */
export interface Waiting {
  readonly id: SurfaceId;
  readonly why: WaitsBecause;
}
const LEFT_TO_TURNER: ReadonlySet<WaitsBecause> = new Set([
  ...(['shape', 'tooFine', 'asBar', 'noTool', 'noLead', 'noRunOut', 'noClass'] as const),
]);
/** Whether another setup can bring it on; what is of a shape that is not planned, or too fine, is left to the turner. */
export const helpedByHolding = ({ why }: Waiting): boolean => !LEFT_TO_TURNER.has(why);

/** Whether a length keeps the section that its bar has there. */
function keepsBar(piece: Workpiece, f: Outside): boolean {
  const [wanted, has] = [barSection(f), piece.section];
  return wanted !== undefined && wanted.flats === has?.flats && Math.abs(wanted.acrossMm - has.acrossMm) <= PLACE_MM;
}

/** Whether more stands over a curved length or a cone than its own largest. */
const isRaw = (piece: Workpiece, f: Outside): boolean =>
  f.diameterMm < standingMm(piece, f.zFromMm, f.zToMm) - ROUNDING;

export interface Reach {
  /** largest first, which is from the chuck to the tail; a curved length or a cone among them is only roughed to its largest */
  readonly reachable: readonly Outside[];
  readonly waiting: readonly Waiting[];
}

/**
 * What can be turned from the tailstock end: lengths no smaller than everything between them and the tail, and clear of the jaws;
 * and by name all the rest that is not finished.
 * @param clearanceMm free distance that the tool keeps from the jaws @param leave what is left for a later holding
 */
export function reachFromTail(
  piece: Workpiece,
  held: Held,
  clearanceMm: number,
  leave: readonly SurfaceId[] = [],
): Reach {
  const { part } = piece;
  const reachable: Outside[] = [];
  const waiting: Waiting[] = [];
  const wait = (id: SurfaceId, why: WaitsBecause): void => {
    if (!isFinished(piece, id)) waiting.push({ id, why });
  };
  let largestMm = 0;
  for (const f of outsides(part).toReversed()) {
    const blocked = f.diameterMm < largestMm - ROUNDING;
    largestMm = Math.max(largestMm, f.diameterMm);
    if (isFinished(piece, f.id)) {
      // finished before; it stands in the way of what lies behind it all the same
    } else if (leave.includes(f.id)) wait(f.id, 'otherSetup');
    else if (isShapedLater(f)) {
      // a tool comes down to it from outside; whoever plans that says why it waits
      const clear = f.zFromMm >= freeFromMm(held) + Math.min(clearanceMm, 1);
      if (!blocked && clear && isRaw(piece, f)) reachable.push(f);
    } else if (blocked) wait(f.id, 'behindLarger');
    else if (!isStraight(f)) wait(f.id, keepsBar(piece, f) ? 'asBar' : 'shape');
    else if (f.zFromMm < held.jawsMm + Math.min(clearanceMm, 1)) wait(f.id, 'inJaws');
    else if (f.zFromMm < freeFromMm(held) + Math.min(clearanceMm, 1)) wait(f.id, 'behindRest');
    else if (f.diameterMm >= standingMm(piece, f.zFromMm, f.zToMm) - ROUNDING) wait(f.id, 'asBar');
    else reachable.push(f);
    for (const end of ['left', 'right'] as const) {
      const edge = edgeOf(part, f.id, end);
      if (edge && end === 'left' && !('inner' in edge)) wait(edge.id, 'otherEnd');
    }
  }
  for (const { id } of [...crossHoles(part), ...flatsOf(part), ...keywaysOf(part)]) wait(id, 'shape');
  const headFace = faceTowards(part, 'left');
  if (piece.marks.some((m) => m.kind === 'cutOff')) wait(headFace, 'cutOff');
  else if (rawEndMm(piece, 'left') > 0) wait(headFace, 'otherEnd');
  return { reachable: reachable.toReversed(), waiting };
}

/** What kind of thing waits, for words about it. */
export type WaitingWhat = 'length' | 'face' | 'edge' | 'cutIn';
/** A length, a face, an edge, or what is cut in: what a waiting surface is, by its name and the part. */
export function waitingWhat(id: SurfaceId, lengths: ReadonlySet<string>): WaitingWhat {
  const { what, of } = surfaceName(id);
  if (what === 'edge') return 'edge';
  if (what === 'itself') return lengths.has(of) ? 'length' : 'cutIn';
  return 'face';
}
