import { z } from 'zod';
import { surfaceIdSchema } from '../part/index.ts';
import { allowancesSchema } from '../stock/index.ts';
import { BARS_TURN_BY, type BarTurnsBy } from '../tool/index.ts';

/** Ways of holding work in a chuck's jaws, with what carries it besides. */
export const JAW_METHODS = [
  'chuck',
  'chuckAndCentre',
  'chuckAndSteady',
  'followingRest',
  'insideJaws',
  'stepJaws',
] as const;
/** Ways that work is held in to be turned: what grips it, and what carries it besides. */
export const HOLD_METHODS = [
  ...JAW_METHODS,
  'betweenCentres',
  'mandrel',
  'expandingMandrel',
  'stubArbor',
  'adhesiveArbor',
  'faceplate',
  'barOverSlide',
  'headOverSlide',
] as const;
export type HoldMethod = (typeof HOLD_METHODS)[number];
const chuckId = z.string().regex(/^[a-zA-Z0-9-]{1,30}$/);
/** By which diameter a centre drill's speed is chosen: its cone's mouth, its pilot, or the work's own speed left as it is. */
export const CENTRE_SPEEDS = ['mouth', 'pilot', 'asTurned'] as const;
export type CentreSpeed = (typeof CENTRE_SPEEDS)[number];
/** What goes between finished work and jaws or dog, or into hollow work so that it is not pressed in. */
export const PROTECTIONS = ['none', 'strips', 'ring', 'softJaws', 'plug'] as const;

const protect = z.enum(PROTECTIONS).optional();
/** How jaws take hold: round the outside, opened into a hole, or seated against their step. */
export const JAWS_BY = ['outside', 'inside', 'step'] as const;
/** In the jaws of a chuck, of any of its kinds. */
const inJaws = z.strictObject({
  kind: z.literal('jaws'),
  /** round the outside where it is not given */
  by: z.enum(JAWS_BY).optional(),
  /** the one that is usually on where it is not given */
  chuckId: chuckId.optional(),
  /** spare stock beyond the part, or a surface of it; Whelk chooses where it is not given */
  on: z.union([z.literal('spare'), surfaceIdSchema]).optional(),
  /** how long it is gripped, mm; 0: as long as is usual there */
  mm: z.number().min(0).max(500),
  protect,
});
/** Between centres, driven by a dog. */
const betweenCentres = z.strictObject({
  kind: z.literal('centres'),
  /** the length that the dog is on */
  dogOn: surfaceIdSchema.optional(),
  protect,
});
/** Ways of holding by a hole or a face, without jaws. */
export const ARBORS = ['mandrel', 'expandingMandrel', 'stubArbor', 'adhesiveArbor', 'faceplate'] as const;
export type Arbor = (typeof ARBORS)[number];
const onArbor = z.strictObject({ kind: z.enum(ARBORS) });
/** Bolted to the cross-slide, where it stands: a bar between centres or a head on the spindle turns in it. */
const onSlide = z.strictObject({
  kind: z.literal('slide'),
  by: z.enum(BARS_TURN_BY),
  /** how far the axis of the hole lies above the face that it stands on, mm; half of a flat section where it is not given */
  aboveBaseMm: z.number().positive().max(1000).optional(),
});

/** What a piece is held by. */
export const gripSchema = z.discriminatedUnion('kind', [inJaws, betweenCentres, onArbor, onSlide]);
export type Grip = Readonly<z.infer<typeof gripSchema>>;
export type InJaws = Extract<Grip, { kind: 'jaws' }>;
export type OnSlide = Extract<Grip, { kind: 'slide' }>;
export type BetweenCentres = Extract<Grip, { kind: 'centres' }>;

/** What carries the work besides: overhang and bending decide, nothing, the tail centre, a steady rest, centre and following rest. */
export const SUPPORTS = ['auto', 'none', 'centre', 'steady', 'following'] as const;
export type SupportChoice = (typeof SUPPORTS)[number];

/** What is done in a setup: everything, only the end, roughing for a later one, or the last cuts on what was roughed. */
export const EXTENTS = ['all', 'ends', 'rough', 'finish'] as const;

/** An operation of the plan put directly before another, or at the end; one that is locked stays so when the rest is ordered anew. */
const moveSchema = z.strictObject({
  id: z.string().min(1).max(80),
  before: z.string().min(1).max(80).nullable(),
  locked: z.boolean().optional(),
});
export type Move = Readonly<z.infer<typeof moveSchema>>;
/** Most that a turner moves by hand in a setup, and leaves for later ones. */
const MOST_MOVES = 80;

/** How a piece is put into the lathe, and what is cut of it then; the first time as every other. Lengths in mm. */
export const setupSchema = z.strictObject({
  id: z.uuid(),
  /** which end of the drawing stands at the tailstock */
  tail: z.enum(['left', 'right']),
  grip: gripSchema,
  support: z.enum(SUPPORTS),
  /** how far the middle of a steady stands from the finished tail end, mm; Whelk chooses where it is not given */
  restMm: z.number().positive().max(5000).optional(),
  /** all that can be reached; only the end with its centre hole; roughing alone, or the last cuts alone; all where it is not given */
  extent: z.enum(EXTENTS).optional(),
  /** what the turner ordered otherwise than it is planned, one after another */
  moves: z.array(moveSchema).max(MOST_MOVES).optional(),
  /** surfaces that are left for a later holding though they could be made in this one */
  leave: z.array(surfaceIdSchema).max(MOST_MOVES).optional(),
});
export type Setup = Readonly<z.infer<typeof setupSchema>>;
/** Most setups that a job may have. */
export const MOST_SETUPS = 8;

/** What each way of holding in jaws is chosen by. */
const JAW_WAYS: Readonly<Record<(typeof JAW_METHODS)[number], Pick<Setup, 'support'> & { by?: 'inside' | 'step' }>> = {
  chuck: { support: 'none' },
  chuckAndCentre: { support: 'centre' },
  chuckAndSteady: { support: 'steady' },
  followingRest: { support: 'following' },
  insideJaws: { support: 'none', by: 'inside' },
  stepJaws: { support: 'none', by: 'step' },
};

/** Ways of boring over the cross-slide, by what turns. */
const OVER_SLIDE: Readonly<Record<BarTurnsBy, HoldMethod>> = { centres: 'barOverSlide', head: 'headOverSlide' };
/** What turns while the work stands on the cross-slide; undefined where the work turns. */
export const turnsOver = (method: HoldMethod): BarTurnsBy | undefined =>
  BARS_TURN_BY.find((by) => OVER_SLIDE[by] === method);

/** A setup's way of holding by one word; `auto` where overhang and bending decide on the centre. */
export function methodOf({ grip, support }: Pick<Setup, 'grip' | 'support'>): HoldMethod | 'auto' {
  if (grip.kind === 'centres') return 'betweenCentres';
  if (grip.kind === 'slide') return OVER_SLIDE[grip.by];
  if (grip.kind !== 'jaws') return grip.kind;
  if (grip.by === 'inside') return 'insideJaws';
  if (grip.by === 'step') return 'stepJaws';
  return JAW_METHODS.find((m) => JAW_WAYS[m].support === support && JAW_WAYS[m].by === undefined) ?? 'auto';
}

/** A setup held in another way; chuck and length of grip stay as far as they mean something there. */
export function heldBy<S extends Pick<Setup, 'grip' | 'support'>>(setup: S, method: HoldMethod | 'auto'): S {
  const protect = setup.grip.kind === 'jaws' || setup.grip.kind === 'centres' ? setup.grip.protect : undefined;
  const between = protect ? { protect } : {};
  if (method === 'betweenCentres') return { ...setup, grip: { kind: 'centres', ...between }, support: 'centre' };
  const turning = method === 'auto' ? undefined : turnsOver(method);
  if (turning) {
    const base = setup.grip.kind === 'slide' && setup.grip.aboveBaseMm;
    return { ...setup, grip: { kind: 'slide', by: turning, ...(base ? { aboveBaseMm: base } : {}) }, support: 'none' };
  }
  const way = method === 'auto' ? ({ support: 'auto' } as const) : method in JAW_WAYS && JAW_WAYS[method as 'chuck'];
  if (!way) return { ...setup, grip: { kind: method as Arbor }, support: method === 'mandrel' ? 'centre' : 'none' };
  const { by: _by, ...grip } =
    setup.grip.kind === 'jaws' ? setup.grip : ({ kind: 'jaws', mm: 0, ...between } as InJaws);
  const by = 'by' in way && way.by ? { by: way.by } : {};
  return { ...setup, grip: { ...grip, ...by }, support: way.support };
}

/** What a shop usually leaves for holding and facing; a job takes it over when it is begun. */
export const holdHabitsSchema = allowancesSchema.extend({
  /** grip on spare stock left of the part, or on the part's own left end */
  gripOn: z.enum(['spare', 'part']),
  /** settings of older versions have no usual grip */
  gripMm: z.number().min(0).max(500).optional(),
  /** how fast a centre hole is drilled; by its mouth where it is not given */
  centreSpeed: z.enum(CENTRE_SPEEDS).optional(),
});
export type HoldHabits = z.infer<typeof holdHabitsSchema>;

/** The usual way: on spare stock, a grip as long as is usual. */
export const usualHabits: HoldHabits = {
  ...{ gripOn: 'spare', gripMm: 0, clearanceMm: 5, faceTailMm: 1, faceHeadMm: 1, kerfMm: 3 },
};

/** The first setup of a new job, by the shop's habits. */
export const firstSetup = (id: string, habits: Pick<HoldHabits, 'gripOn' | 'gripMm'> = usualHabits): Setup => ({
  id,
  tail: 'right',
  grip: { kind: 'jaws', ...(habits.gripOn === 'spare' ? { on: 'spare' as const } : {}), mm: habits.gripMm ?? 0 },
  support: 'auto',
});
