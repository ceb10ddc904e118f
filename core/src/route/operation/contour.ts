import { z } from 'zod';
import { type Contour, type Corner, ring } from '../../contour/index.ts';
import { lengthProfile, type Part } from '../../part/index.ts';
import { isTurning, roundFormShape, turningShape } from '../../tool/index.ts';
import { reachOf, type Workpiece } from '../../work/index.ts';
import { AIR_MM, inOnePass, type KindOfOperation, type OfKind, type Stroke, type StrokesOf } from './kind.ts';

/** Most steps that one length is cut in; more nobody winds by hand. */
export const MOST_CONTOUR_STEPS = 80;

/** Lengths in mm. Places of the tool: the diameter that it leaves there, and how far its left side goes from the finished face. */
const own = {
  noseMm: z.number(),
  steps: z.array(z.object({ diameterMm: z.number(), fromEndMm: z.number() })).max(MOST_CONTOUR_STEPS),
  cuspMm: z.number(),
  /** largest of it, where the first step begins or the last one ends */
  largestMm: z.number(),
};
export type ContourOperation = OfKind<'contour', typeof own>;

/** The tool put to each pair of numbers, from outside straight down. */
function stepping({ steps, noseMm }: ContourOperation, { piece, tool }: StrokesOf): readonly Stroke[] {
  const end = piece.part.lengthMm;
  const startMm = reachOf(piece).largestMm / 2 + AIR_MM;
  // a form tool's point is the middle of its nose
  const form = tool.kind === 'form';
  if (!form && !isTurning(tool)) return [];
  const shape = form ? roundFormShape(tool) : turningShape(tool);
  return inOnePass(
    shape,
    ...steps.map(({ diameterMm, fromEndMm }) => {
      const zMm = end - fromEndMm + (form ? noseMm : 0);
      return [
        { zMm, rMm: startMm },
        { zMm, rMm: diameterMm / 2 },
      ];
    }),
  );
}

/** Everything outside a length's outline; beyond the part where it ends there on the axis. */
function outsideOf(part: Part, line: readonly Corner[], largestMm: number): Contour {
  const [first, last] = [line[0], line.at(-1)];
  if (!first || !last) return ring(0, 0, 0, 0);
  const airMm = largestMm / 2 + AIR_MM;
  const beyondMm = Math.abs(last.zMm - part.lengthMm) < 1e-6 && last.rMm < 1e-6 ? AIR_MM : 0;
  const corner = { zMm: last.zMm + beyondMm, rMm: airMm };
  const over = beyondMm > 0 ? [{ zMm: corner.zMm, rMm: 0 }, corner] : [corner];
  return { loops: [[...line, ...over, { zMm: first.zMm, rMm: airMm }]] };
}

const drawnContour = ({ featureId = '' }: ContourOperation, piece: Workpiece): Contour =>
  outsideOf(piece.part, lengthProfile(piece.part, featureId), reachOf(piece).largestMm);

export const contour = {
  ...{ kind: 'contour', own, act: 'plain', turns: true, tailstock: 'carries' },
  swept: drawnContour,
  // cusps between the steps are left to the file
  blended: drawnContour,
  strokes: stepping,
  finishes: ({ featureId }) => (featureId === undefined ? [] : [featureId]),
} as const satisfies KindOfOperation<ContourOperation>;
