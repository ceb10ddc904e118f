import { z } from 'zod';
import { type Corner, ring } from '../../contour/index.ts';
import { threadingShape } from '../../tool/index.ts';
import type { Note } from './any.ts';
import { type KindOfOperation, type NotedOf, type OfKind, PAST_MM, type Stroke, type StrokesOf } from './kind.ts';

const exactPitch = z.union([z.strictObject({ mm: z.string() }), z.strictObject({ perInch: z.string() })]);
/** A gear train as it is put on, from the spindle's side. */
const train = z.strictObject({ drivers: z.array(z.number()), driven: z.array(z.number()) });

/**
 * Lengths in mm. Sizes of passes, limits and targets are pitch diameters: what the groove's flanks make, whatever the tool's point. Before
 * anything is cut the surface stands for the pitch diameter that a tool touching it would make.
 */
const own = {
  threadId: z.string(),
  designation: z.string(),
  side: z.enum(['outside', 'inside']),
  hand: z.enum(['right', 'left']),
  pitch: exactPitch,
  pitchMm: z.number(),
  leadMm: z.number(),
  starts: z.number(),
  /** stands in runs that were begun before all starts were cut at every depth; always 1 */
  start: z.number().optional(),
  /**
   * how each start is reached at every depth, one after another: at marks of its own, by the compound along the bed, or by the spindle's
   * gear out of mesh and so many teeth on
   */
  eachStart: z
    .discriminatedUnion('by', [
      z.strictObject({ by: z.literal('nuts'), marks: z.array(z.array(z.number())) }),
      z.strictObject({ by: z.literal('compound'), stepMm: z.number() }),
      z.strictObject({ by: z.literal('gear'), teeth: z.number(), stepTeeth: z.number() }),
    ])
    .optional(),
  includedDeg: z.number(),
  /** diameter of the surface that it begins on, and pitch diameter less the diameter at the tool's point */
  blankMm: z.number(),
  pitchOverPointMm: z.number(),
  /** whole depth on the radius */
  depthMm: z.number(),
  school: z.enum(['flank', 'straight', 'alternate']),
  /** of the compound from the cross-slide's line; 0: straight in */
  compoundDeg: z.number(),
  /** the compound stands along the bed and shifts the point: to each start, or for alternate flanks by so much in each of the passes */
  compoundAlong: z.literal(true).optional(),
  asidesMm: z.array(z.number()).optional(),
  /** the same as the lathe's scale marks it */
  scaleDeg: z.number(),
  /** which way the carriage goes while it cuts; a tool upside down with the spindle reversed */
  towards: z.enum(['chuck', 'tail']),
  reversed: z.boolean(),
  /** levers as engraved, or a train; how far off the lead is */
  leadLabel: z.string(),
  leadAt: z.record(z.string(), z.string()).optional(),
  train: train.optional(),
  errorPpm: z.number(),
  /** where the half-nuts close again */
  engages: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('anywhere') }),
    z.strictObject({
      ...{ kind: z.literal('marks'), wheelTeeth: z.number(), marks: z.number(), right: z.array(z.number()) },
    }),
    z.strictObject({ kind: z.literal('never'), why: z.enum(['noMark', 'noDial']) }),
  ]),
  nutsShut: z.boolean(),
  /** room at the end of a pass, time in it, and how far it coasts with the nuts shut; `hand`: the spindle is turned by hand */
  usableMm: z.number(),
  seconds: z.number(),
  coastMm: z.number(),
  byHand: z.boolean(),
  /** the lathe's stop opens the nuts at the end of each pass: the hand would have no time */
  stopOpens: z.literal(true).optional(),
  /** the point shifts so far along the work by the compound */
  alongMm: z.number(),
  /** along a cone by the attachment: change of diameter per length; its sizes are those at its end towards the tail */
  taperPerLength: z.number().optional(),
  leadAngleDeg: z.number(),
  toolMm: z.number(),
  /** of its drawn length not full, before a shoulder without a groove */
  shortMm: z.number(),
};
export type ThreadRough = OfKind<'thread', typeof own>;
export type ThreadNear = OfKind<'threadNear', typeof own>;
export type ThreadLast = OfKind<'threadLast', typeof own>;
export type ThreadOperation = ThreadRough | ThreadNear | ThreadLast;

/** The flanks' relief that a steep thread asks for besides its lead angle, degrees. FIELD 7: 3 to 6 more */
const RELIEF_MORE_DEG = 1;

function notesOf(o: ThreadOperation, { tool }: NotedOf): readonly Note[] {
  const { errorPpm, zFromMm, zToMm, leadAngleDeg } = o;
  const off = Math.abs(errorPpm / 1e6) * (zToMm - zFromMm);
  const relief = 'reliefDeg' in tool ? tool.reliefDeg : undefined;
  return [
    ...(o.shortMm > 0 ? [{ code: 'notFull' as const, value: o.shortMm }] : []),
    ...(off > 0 ? [{ code: 'leadOff' as const, value: off, limit: Math.round(Math.abs(errorPpm)) }] : []),
    ...(relief !== undefined && relief < leadAngleDeg + RELIEF_MORE_DEG
      ? [{ code: 'flankRubs' as const, value: relief, limit: Math.ceil(leadAngleDeg + 3) }]
      : []),
  ];
}

/** From the air before the thread to where it ends, at the depth of each pass; nothing of it is seen in the half-section. */
function strokesOf(o: ThreadOperation, { tool }: StrokesOf): readonly Stroke[] {
  if (tool.kind !== 'threading' && tool.kind !== 'inside threading') return [];
  const shape = threadingShape(tool);
  const { zFromMm, zToMm, passes, pitchOverPointMm, towards, side, taperPerLength = 0 } = o;
  const ends = [zToMm + PAST_MM, zFromMm];
  return passes.map(({ diameterAfterMm }, i): Stroke => {
    const rMm = (diameterAfterMm - pitchOverPointMm) / 2;
    // along a cone it goes out, or in, by half of its taper
    const along = ((side === 'outside' ? 1 : -1) * taperPerLength) / 2;
    const path: Corner[] = ends.map((zMm) => ({ zMm, rMm: rMm + along * (zToMm - zMm) }));
    return { shape, path: towards === 'chuck' ? path : path.toReversed(), passNumber: i + 1 };
  });
}

const shared = {
  ...({ own, turns: true, tailstock: 'carries', feeds: 'along' } as const),
  swept: () => ring(0, 0, 0, 0),
  strokes: strokesOf,
} as const;
export const thread = {
  ...{ ...shared, kind: 'thread', act: 'rough', notes: notesOf },
} as const satisfies KindOfOperation<ThreadRough>;
export const threadNear = {
  ...{ ...shared, kind: 'threadNear', act: 'half' },
} as const satisfies KindOfOperation<ThreadNear>;
export const threadLast = {
  ...{ ...shared, kind: 'threadLast', act: 'last' },
  finishes: ({ threadId }) => [threadId],
} as const satisfies KindOfOperation<ThreadLast>;

const dieOrTapOwn = {
  ...{ threadId: z.string(), designation: z.string(), side: z.enum(['outside', 'inside']) },
  ...{ hand: z.enum(['right', 'left']), pitchMm: z.number(), blankMm: z.number() },
};
export type DieOrTap = OfKind<'dieOrTap', typeof dieOrTapOwn>;
/** A die or tap squared by the tailstock and turned on by hand: its form is its own. */
export const dieOrTap = {
  ...{ kind: 'dieOrTap', own: dieOrTapOwn, act: 'plain', turns: false, tailstock: 'drills', byHand: true },
  finishes: ({ threadId }) => [threadId],
} as const satisfies KindOfOperation<DieOrTap>;
