import { z } from 'zod';
import { standBesidesSchema } from '../lathe/index.ts';
import { typedLengthSchema } from '../quantity/index.ts';

const common = {
  id: z.uuid(),
  runId: z.uuid(),
  piece: z.number().int().min(1).max(10_000),
  device: z.uuid(),
  seq: z.number().int().min(1).max(1_000_000),
  parents: z.array(z.uuid()).max(16),
  /** client's clock; never used for order */
  at: z.iso.datetime(),
  /** server's clock, set on arrival */
  receivedAt: z.iso.datetime().optional(),
};
const now = { schema: z.literal(2), ...common };
const stepId = z.string().min(1).max(80);
const millimetres = z.number().min(-10_000).max(10_000);

/** The number that a step told for a ring, as it was told: what was believed then is not worked out again. */
export const toldSchema = z.strictObject({
  slide: z.enum(['crossSlide', 'compound']),
  /** lines of that ring in the rising sense, whole turns counted */
  lines: z.number().min(-1_000_000).max(1_000_000),
  /** diameter that it should come to, and between what, mm */
  comesToMm: millimetres,
  smallestMm: millimetres,
  largestMm: millimetres,
  /** whether the cut goes to size, leaves some to the next, or asks to be measured first */
  cut: z.enum(['rough', 'half', 'final', 'springPass', 'near']),
});
export type Told = Readonly<z.infer<typeof toldSchema>>;

/** The size that was believed when a measurement was accepted. */
export const tookSchema = z.strictObject({
  sizeMm: millimetres,
  uncertaintyMm: z.number().min(0).max(10),
  verdict: z.enum(['fits', 'doesNotFit', 'cannotSay']),
});
export type Took = Readonly<z.infer<typeof tookSchema>>;

/** An instrument of the shop, or one that nobody listed. */
const instrumentId = z.union([z.uuid(), z.literal('unlisted')]);

/** Everything that can happen in a run. Corrections and undoing are events of their own; nothing is ever changed. */
export const runEventSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    ...now,
    kind: z.literal('done'),
    stepId,
    told: toldSchema.optional(),
    took: tookSchema.optional(),
    /** a pass that was not the whole of its step is measured, and the step told anew; a size that is right ends its last cuts */
    follows: z.enum(['measure', 'finished']).optional(),
  }),
  /** a few millimetres were cut at the number told, to be measured before the run along the whole length */
  z.strictObject({ ...now, kind: z.literal('trial'), stepId, told: toldSchema }),
  z.strictObject({ ...now, kind: z.literal('undone'), eventId: z.uuid() }),
  z.strictObject({
    ...now,
    kind: z.literal('touchedOff'),
    stepId,
    diameter: typedLengthSchema,
    crossNumber: z.string().max(16),
    endNumber: z.string().max(16),
    /** of the compound's ring, where it was swung to the fine angle */
    compoundNumber: z.string().max(16).optional(),
    approach: z.enum(['in', 'out']),
    /** the turner looked again after it was doubted */
    lookedAgain: z.boolean().optional(),
  }),
  z.strictObject({
    ...now,
    kind: z.literal('reading'),
    stepId,
    raw: typedLengthSchema,
    instrumentId,
    place: z.string().max(40),
    /** a gauge that tells no number: `raw` is what it is set or made to; whether the work is larger, as large, or smaller than that */
    feel: z.enum(['large', 'touches', 'small']).optional(),
    /** of a thread: read over three wires of this diameter, as it was told */
    wireMm: z.number().positive().max(50).optional(),
    /** over one of them, the other anvil on the crests */
    oneWire: z.literal(true).optional(),
    /** of a thread: how deep its groove is below the crests beside it */
    grooveDepth: z.literal(true).optional(),
    /** of a cone: read so far from its end towards the tail, mm */
    stationMm: z.number().min(-10).max(10_000).optional(),
    /** of a cone: how far a ring or plug stands off its line */
    standOff: z.literal(true).optional(),
    lookedAgain: z.boolean().optional(),
  }),
  /** a cone's setting was moved by what was told, and the tool brought to the cone again until it touched: what the ring reads there */
  z.strictObject({
    ...now,
    kind: z.literal('taperMoved'),
    stepId,
    moveMm: millimetres,
    crossNumber: z.string().max(16),
  }),
  /** a length along the axis, read while its face is being cut */
  z.strictObject({ ...now, kind: z.literal('lengthRead'), stepId, raw: typedLengthSchema, instrumentId }),
  z.strictObject({ ...now, kind: z.literal('corrected'), readingId: z.uuid(), raw: typedLengthSchema }),
  /** a doubted reading was looked at again and is so */
  z.strictObject({ ...now, kind: z.literal('confirmed'), readingId: z.uuid() }),
  /** a reading counts no more; it stays in the record */
  z.strictObject({ ...now, kind: z.literal('setAside'), readingId: z.uuid() }),
  z.strictObject({ ...now, kind: z.literal('cutAgain'), stepId }),
  /** too little for the edge was taken off by hand; what is read from now on is read anew */
  z.strictObject({ ...now, kind: z.literal('byHand'), stepId, with: z.enum(['file', 'emery']) }),
  /** a thread's tool was brought into its groove again: what the rings read there; from then on it goes straight in */
  z.strictObject({
    ...now,
    kind: z.literal('pickedUp'),
    stepId,
    crossNumber: z.string().max(16),
    /** where the compound feeds the thread, so that it stands still known */
    compoundNumber: z.string().max(16).optional(),
  }),
  /** what was learned of a tool's spring is forgotten: it was reground, or set otherwise */
  z.strictObject({ ...now, kind: z.literal('forgotSpring'), stepId, toolId: z.uuid() }),
  /** where a belt, lever or gear really stands, when it is not where it was thought; empty: not known. Besides: chuck, locks … */
  z.strictObject({
    ...now,
    kind: z.literal('stands'),
    stepId,
    positions: z.record(z.string().max(30), z.string().max(20)),
    besides: standBesidesSchema.optional(),
  }),
  z.strictObject({ ...now, kind: z.literal('note'), stepId, text: z.string().min(1).max(2000) }),
  z.strictObject({
    ...now,
    kind: z.literal('ended'),
    outcome: z.enum(['finished', 'cannotBePutBack', 'stopped']),
    reason: z.string().max(400),
  }),
]);
export type RunEvent = Readonly<z.infer<typeof runEventSchema>>;
export type RunEventKind = RunEvent['kind'];

const first = { schema: z.literal(1), ...common };
/** Events of the first version: a pass that was done did not say what number it had been told. */
export const firstEventSchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...first, kind: z.literal('done'), stepId }),
  z.strictObject({ ...first, kind: z.literal('undone'), eventId: z.uuid() }),
  z.strictObject({
    ...first,
    kind: z.literal('touchedOff'),
    stepId,
    diameter: typedLengthSchema,
    crossNumber: z.string().max(16),
    endNumber: z.string().max(16),
    approach: z.enum(['in', 'out']),
  }),
  z.strictObject({
    ...first,
    kind: z.literal('reading'),
    stepId,
    raw: typedLengthSchema,
    instrumentId: z.uuid(),
    place: z.string().max(40),
  }),
  z.strictObject({ ...first, kind: z.literal('corrected'), readingId: z.uuid(), raw: typedLengthSchema }),
  z.strictObject({ ...first, kind: z.literal('cutAgain'), stepId }),
  z.strictObject({
    ...first,
    kind: z.literal('stands'),
    stepId,
    positions: z.record(z.string().max(30), z.string().max(20)),
    besides: standBesidesSchema.optional(),
  }),
  z.strictObject({ ...first, kind: z.literal('note'), stepId, text: z.string().min(1).max(2000) }),
  z.strictObject({
    ...first,
    kind: z.literal('ended'),
    outcome: z.enum(['finished', 'cannotBePutBack', 'stopped']),
    reason: z.string().max(400),
  }),
]);
export type FirstEvent = Readonly<z.infer<typeof firstEventSchema>>;

/** An event as it may be stored or come in, of any version known. */
export const storedEventSchema = z.union([runEventSchema, firstEventSchema]);
export type StoredEvent = RunEvent | FirstEvent;
