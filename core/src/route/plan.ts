import { z } from 'zod';
import type { School, SpeedPolicy, SpeedReason } from '../cutting/index.ts';
import type { CentreSpeed, Held, Waiting } from '../hold/index.ts';
import type { Fineness } from '../lathe/index.ts';
import type { Limits } from '../limit/index.ts';
import type { Problem } from '../quantity/index.ts';
import type { Workpiece } from '../work/index.ts';

/** The turner's own choice for an operation: at most so deep, fed so; the speed follows from both. */
export const ownCutSchema = z.strictObject({
  depthMm: z.number().positive().max(30),
  feedMmPerRev: z.number().positive().max(5),
});
export type OwnCut = Readonly<z.infer<typeof ownCutSchema>>;

/** What the turner wants of a plan, beside what is drawn and what is there. */
export interface Wishes {
  readonly school: School;
  /** how to choose among the lathe's speeds; the usual way where it is not given */
  readonly policy?: SpeedPolicy;
  /** depth and feed that the turner chose for an operation, by its id */
  readonly own?: Readonly<Record<string, OwnCut>>;
  /** positions of the lathe's controls before the first operation */
  readonly standing?: Readonly<Record<string, string>>;
  /** what the tool keeps from the jaws, mm */
  readonly clearanceMm: number;
  /** by which diameter a centre drill's speed is chosen; by its mouth where it is not given */
  readonly centreSpeed?: CentreSpeed;
}

/** What a measurement follows: roughing, the cut that leaves the rest to the compound, the first of two equal cuts, the last cut. */
export type MeasuredAfter = 'rough' | 'near' | 'semi' | 'finish';

/** Usual cautions, told at the step where the act is; each has words of its own outside core. */
export const CAUTIONS = [
  'keyOut',
  'gentleStart',
  'lockCarriage',
  'centreOil',
  'stopToMeasure',
  'throwOutShort',
  'nearJaws',
  'easeCentre',
  'feedOutwards',
  'dogClear',
  'halfCentre',
  'smallEndFirst',
  'drawnUpOnly',
  'arborStays',
  'filmCures',
  'clampsClear',
  'edgesSharp',
] as const;
export type Caution = (typeof CAUTIONS)[number];

export interface Pass {
  readonly depthMm: number;
  readonly diameterBeforeMm: number;
  readonly diameterAfterMm: number;
  readonly minutes: number;
}

/** Speed and feed as settings of the lathe, with what was ideal. */
export interface Setting {
  readonly rpm: number;
  readonly idealRpm: number;
  readonly off: number;
  readonly reason: SpeedReason | 'staying';
  readonly speedLabel: string;
  readonly speedAt: Readonly<Record<string, string>>;
  readonly cuttingSpeedMPerMin: number;
  readonly feedMmPerRev: number;
  /** undefined: fed by hand */
  readonly feedLabel?: string;
  readonly feedAt?: Readonly<Record<string, string>>;
}

/** What the cut asks of motor, work and jaws against what they bear. Bend is the error of diameter. */
export interface Loads {
  readonly powerKw: number;
  readonly availableKw: number;
  readonly bendMm: number;
  readonly bendAllowedMm: number;
  readonly gripShare: number;
  /** share of a cut's depth by which work, tool and lathe are reckoned to spring; missing in plans of earlier versions */
  readonly springShare?: number;
}
export type Limiter = 'stock' | 'usual' | 'tool' | 'lathe' | 'power' | 'bend' | 'grip' | 'finish' | 'own';

export interface SchoolAnswer {
  readonly school: School;
  readonly cuttingSpeedMPerMin: number;
  readonly idealRpm: number;
  readonly rpm: number;
  readonly speedLabel: string;
  readonly feedMmPerRev: number;
  readonly passes: number;
  readonly depthMm: number;
  readonly minutes: number;
}

/** What each kind of operation has of its own. Lengths in mm. */
export type OwnOfKind =
  | { readonly kind: 'mount'; readonly gripMm: number; readonly overhangMm: number }
  /** what comes off the end */
  | { readonly kind: 'face'; readonly offMm: number }
  | {
      readonly kind: 'centre';
      readonly pilotMm: number;
      readonly mouthMm: number;
      /** of the whole piece, and the cut's push at its very end: what the hole was chosen by */
      readonly massKg: number;
      readonly forceN: number;
    }
  /** the angle that the compound is swung to before, where it is */
  | { readonly kind: 'touchOff'; readonly compoundDeg?: number }
  | { readonly kind: 'rough' }
  | { readonly kind: 'semiFinish' }
  | { readonly kind: 'measure' }
  | { readonly kind: 'finish' }
  | { readonly kind: 'shoulder'; readonly fromDiameterMm: number; readonly toDiameterMm: number }
  /** length along Z, angle from Z, depth on the radius */
  | { readonly kind: 'chamfer'; readonly lengthMm: number; readonly angleDeg: number; readonly depthMm: number };
export type OperationKind = OwnOfKind['kind'];
/** Every kind, in the order in which they usually come. */
export const OPERATION_KINDS = [
  'mount',
  'face',
  'centre',
  'touchOff',
  'rough',
  'measure',
  'semiFinish',
  'finish',
  'shoulder',
  'chamfer',
] as const satisfies readonly OperationKind[];
/** An operation of one kind. */
export type OperationOf<Kind extends OperationKind> = AnyOperation & Extract<OwnOfKind, { kind: Kind }>;
export type Operation = AnyOperation & OwnOfKind;

/** What every operation has, of whatever kind. */
export interface AnyOperation {
  readonly id: string;
  readonly featureId?: string;
  /** zPart, left and right end of what is machined */
  readonly zFromMm: number;
  readonly zToMm: number;
  readonly toolId?: string;
  readonly setting?: Setting;
  readonly passes: readonly Pass[];
  readonly loads?: Loads;
  readonly decidedBy?: Limiter;
  /** constraints that even the lightest cut breaks; empty when all hold */
  readonly exceeds: readonly ('power' | 'bend' | 'grip')[];
  readonly schools: readonly SchoolAnswer[];
  readonly minutes: number;
  readonly caution?: Caution;
  /** for measure and finish: what is aimed at */
  readonly limits?: Limits;
  readonly targetMm?: number;
  readonly instrumentId?: string;
  /** measure: whether the last cut has been taken */
  readonly last?: boolean;
  /** measure: what was cut before it */
  readonly after?: MeasuredAfter;
  /** last cuts: how finely the size is set */
  readonly fineness?: Fineness['means'];
  /** a cut by the cross-slide before the compound takes over: what it leaves on the diameter, mm */
  readonly leavesMm?: number;
}

/** What is done in one setup: how it is held, the operations in their order, and the workpiece that they leave. */
export interface Plan {
  /** undefined where the piece cannot be held so */
  readonly held: Held | undefined;
  readonly operations: readonly Operation[];
  /** the piece when all of it is done, as it lies */
  readonly after: Workpiece;
  readonly waiting: readonly Waiting[];
  readonly problems: readonly Problem[];
  readonly minutes: number;
  readonly changes: number;
}
