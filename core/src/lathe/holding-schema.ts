import { z } from 'zod';

const name = z.string().min(1).max(60);
const mm = z.number().min(0).max(5000);
const range = { fromMm: mm, toMm: mm };

/** How a chuck's screws move the work: jaws push it, the screws of a fine-adjusting body drag the body with it. */
export const truingSchema = z.strictObject({
  sense: z.enum(['push', 'drag']),
  /** travel of a jaw or screw for one turn of the key */
  mmPerTurn: z.number().min(0.1).max(20),
  /** what a clockwise turn of the key does */
  clockwise: z.enum(['tightens', 'slackens']),
});
export type Truing = z.infer<typeof truingSchema>;

/** The usual ways: an independent four-jaw, and a fine-adjusting body. */
export const usualTruing: Readonly<Record<'fourJaw' | 'fineAdjusting', Truing>> = {
  fourJaw: { sense: 'push', mmPerTurn: 4, clockwise: 'tightens' },
  fineAdjusting: { sense: 'drag', mmPerTurn: 1, clockwise: 'tightens' },
};

/** A chuck with the diameters that its jaws take, its force, and how fast it may turn. */
export const chuckSchema = z.strictObject({
  id: z.string().regex(/^[a-zA-Z0-9-]{1,30}$/),
  name,
  kind: z.enum(['threeJaw', 'fourJaw', 'fineAdjusting', 'soft', 'collet']),
  maxRpm: z.number().positive().max(20_000),
  forceN: z.number().positive().max(1e6),
  jaws: z
    .array(
      z.strictObject({
        ...{ name, ...range },
        /** diameters of holes that they open into; unknown where it is not given */
        inside: z.strictObject(range).nullable().optional(),
        /** how high the step is that work is seated against, mm; none where it is not given */
        stepMm: z.number().positive().max(100).nullable().optional(),
      }),
    )
    .min(1)
    .max(6),
  jawLengthMm: z.number().positive().max(500),
  runoutMm: z.number().min(0).max(1),
  /** how its screws move the work; the usual way of its kind where it is not given */
  truing: truingSchema.nullable().optional(),
});
export type Chuck = z.infer<typeof chuckSchema>;

/** What the shop owns to hold work on this lathe. */
export const holdingSchema = z.strictObject({
  chucks: z.array(chuckSchema).min(1).max(12),
  /** which of them is usually on; the first where it is not given */
  usualChuckId: z.string().max(30).nullable().optional(),
  collets: z.array(z.strictObject({ name, ...range, maxRpm: z.number().positive().max(20_000) })).max(60),
  /** a cross-slide with slots that work is bolted to: how far the spindle's axis lies above it, its size along the bed and across */
  slotted: z
    .strictObject({
      belowCentreMm: z.number().positive().max(1000),
      alongMm: z.number().positive().max(2000),
      acrossMm: z.number().positive().max(2000),
    })
    .nullable()
    .optional(),
  faceplate: z
    .strictObject({ diameterMm: z.number().positive().max(2000), maxRpm: z.number().positive().max(10_000) })
    .nullable(),
  drivers: z.array(z.strictObject({ name, ...range })).max(20),
  /** what work is held on by its hole; none where it is not given */
  arbors: z
    .array(z.strictObject({ name, kind: z.enum(['mandrel', 'expandingMandrel']), ...range }))
    .max(60)
    .optional(),
  centres: z
    .array(z.strictObject({ name, kind: z.enum(['plain', 'half', 'live', 'carbideTipped', 'bullNose']) }))
    .max(20),
  rests: z.array(z.strictObject({ name, kind: z.enum(['steady', 'following']), ...range })).max(10),
});

/** Tool post and its holders: what shank goes in, and between which heights its edge can stand on centre. */
export const toolPostSchema = z.strictObject({
  kind: z.enum(['fourWay', 'quickChange', 'single', 'rocker', 'rear']),
  holders: z
    .array(
      z.strictObject({
        name,
        shankMm: z.number().positive().max(100),
        heightFromMm: z.number().min(0).max(200),
        heightToMm: z.number().min(0).max(200),
      }),
    )
    .max(40),
});
