import { z } from 'zod';
import { chuckOf } from './chucks.ts';
import type { Lathe } from './schema.ts';
import { positionsSchema } from './spindle-schema.ts';

/** How a lathe stands between two pieces of work: what nobody wants to set twice, and what is dangerous to forget. */
export const standSchema = z.strictObject({
  schema: z.literal(1),
  /** positions of belts, levers and gears, of spindle and feeds alike; what is missing is not known */
  controls: positionsSchema,
  chuckId: z.string().max(30).nullable(),
  toolId: z.uuid().nullable(),
  /** tailstock off the axis, towards the turner positive */
  setOverMm: z.number().min(-100).max(100),
  /** angle of the compound as its own scale shows it */
  compoundDeg: z.number().min(-180).max(180),
  direction: z.enum(['forward', 'reverse', 'stopped']),
  locks: z.strictObject({
    carriage: z.boolean(),
    crossSlide: z.boolean(),
    compound: z.boolean(),
    quill: z.boolean(),
    tailstock: z.boolean(),
  }),
  /** numbers on the rings where the slides were left, as read */
  slides: z.strictObject({
    crossSlide: z.string().max(16),
    carriage: z.string().max(16),
    compound: z.string().max(16),
  }),
  /** what its cuts had shown of spring until then does not count any more */
  springForgottenAt: z.iso.datetime().optional(),
});
export type Stand = z.infer<typeof standSchema>;

const { chuckId, setOverMm, compoundDeg, direction, locks } = standSchema.shape;
/**
 * What a step may ask for, and the turner may correct, beside controls and tool. What is missing is not spoken of; null
 * in a correction: it is not known any more.
 */
export const standBesidesSchema = z.strictObject({
  chuckId: chuckId.optional(),
  setOverMm: setOverMm.nullable().optional(),
  compoundDeg: compoundDeg.nullable().optional(),
  direction: direction.nullable().optional(),
  locks: z
    .partialRecord(z.enum(Object.keys(locks.shape) as (keyof Stand['locks'])[]), z.boolean().nullable())
    .optional(),
});
export type StandBesides = z.infer<typeof standBesidesSchema>;

/** A lathe of which nothing is known yet: usual chuck, nothing set over, nothing locked. */
export function unknownStand(lathe: Lathe): Stand {
  return {
    schema: 1,
    controls: {},
    chuckId: chuckOf(lathe).id,
    toolId: null,
    setOverMm: 0,
    compoundDeg: 0,
    direction: 'stopped',
    locks: { carriage: false, crossSlide: false, compound: false, quill: false, tailstock: false },
    slides: { crossSlide: '', carriage: '', compound: '' },
  };
}

/** The stand without what the lathe no longer has: positions, chuck. */
export function standOn(lathe: Lathe, stand: Stand): Stand {
  const controls = [...lathe.spindle.controls, ...lathe.feeds.controls, ...lathe.threads.controls];
  const kept = Object.entries(stand.controls).filter(([id, position]) =>
    controls.some((c) => c.id === id && c.positions.includes(position)),
  );
  return {
    ...stand,
    controls: Object.fromEntries(kept),
    chuckId: lathe.holding.chucks.some((c) => c.id === stand.chuckId) ? stand.chuckId : null,
  };
}
