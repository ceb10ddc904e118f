import { z } from 'zod';
import { typedLengthSchema } from '../quantity/index.ts';
import { controlSchema, positionsSchema } from './spindle-schema.ts';

const teeth = z.number().int().min(10).max(200);

const feedSettingSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('marked'), at: positionsSchema, perRev: typedLengthSchema }),
  z.strictObject({
    kind: z.literal('gears'),
    at: positionsSchema,
    /** what its owner calls it: fine, roughing */
    name: z.string().trim().max(30).optional(),
    pairs: z
      .array(z.tuple([teeth, teeth]))
      .min(1)
      .max(4),
  }),
  /** a power feed without a figure: it has none until it was measured */
  z.strictObject({ kind: z.literal('unmarked'), at: positionsSchema }),
  z.strictObject({ kind: z.literal('measured'), at: positionsSchema, mmPerRev: z.number().positive().max(20) }),
]);
export type FeedSetting = z.infer<typeof feedSettingSchema>;

/** Power feeds along the bed; a lathe without settings is fed by hand. */
export const feedsSchema = z.strictObject({
  controls: z.array(controlSchema).max(6),
  settings: z.array(feedSettingSchema).max(80),
  /** the cross feed as a share of the feed along the bed; null: the cross-slide is fed by hand */
  crossShare: z.number().min(0.02).max(2).nullable(),
});

/** What threads can be cut with: engraved pitches, or gears and a leadscrew. */
export const threadsSchema = z.strictObject({
  leadscrewLead: typedLengthSchema,
  controls: z.array(controlSchema).max(6),
  settings: z
    .array(
      z.strictObject({
        at: positionsSchema,
        pitch: z.string().regex(/^\d{1,3}(\.\d{1,4})?$/),
        /** millimetres a thread, or threads an inch */
        unit: z.enum(['mm', 'tpi']),
      }),
    )
    .max(120),
  /** teeth of every change gear that the shop owns for it, doubles as often as they are there */
  gears: z.array(teeth).max(60),
  /** wheel on the leadscrew that tells where the half-nuts may close; null: there is none */
  dial: z
    .strictObject({ wheelTeeth: z.number().int().min(4).max(120), marks: z.number().int().min(1).max(32) })
    .nullable(),
  /** further wheels that can be brought to run in the leadscrew */
  moreDials: z
    .array(z.strictObject({ wheelTeeth: z.number().int().min(4).max(120), marks: z.number().int().min(1).max(32) }))
    .max(6)
    .optional(),
  /** what change gears are put onto: missing, all of it is as usual */
  train: z
    .strictObject({
      /** gears that stay, from the spindle to the first shaft that changes: driver and driven */
      fixed: z.tuple([teeth, teeth]).optional(),
      /** room that a stud or shaft takes beside a gear, in teeth */
      studTeeth: z.number().int().min(0).max(60).optional(),
      /** teeth of two pairs together that reach from shaft to shaft */
      teethTogether: z
        .strictObject({ least: z.number().int().min(40).max(800), most: z.number().int().min(40).max(800) })
        .optional(),
    })
    .nullable()
    .optional(),
  /** a stop on the bed that opens the half-nuts by itself, and how surely it does at the same place, mm; missing: there is none */
  stop: z
    .strictObject({ withinMm: z.number().min(0.01).max(20) })
    .nullable()
    .optional(),
  /** left-hand threads by a tumbler */
  tumbler: z.boolean(),
});
