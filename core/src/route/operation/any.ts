import type { SpeedReason } from '../../cutting/index.ts';
import type { Fineness } from '../../lathe/index.ts';
import type { Limits } from '../../limit/index.ts';

/** What a measurement follows: roughing, the cut that leaves the rest to the compound, the first of two equal cuts, the last cut, the reamer. */
export type MeasuredAfter = 'rough' | 'near' | 'semi' | 'finish' | 'ream';

/** Usual cautions, told at the step where the act is; each has words of its own outside core. */
export const CAUTIONS = [
  'keyOut',
  'gentleStart',
  'lockCarriage',
  'centreOil',
  'stopToMeasure',
  'throwOutShort',
  'nearJaws',
  'cornersFirst',
  'easeCentre',
  'feedOutwards',
  'steadySet',
  'barBehind',
  'restFollows',
  'dogClear',
  'halfCentre',
  'smallEndFirst',
  'drawnUpOnly',
  'arborStays',
  'filmCures',
  'clampsClear',
  'barTurns',
  'packedSquare',
  'edgesSharp',
  'clearDrill',
  'breaksThrough',
  'drillTurns',
  'neverBackwards',
  'barClear',
  'partOff',
  'partStub',
  'sawStopped',
  'bladeSquare',
  'faceBlade',
  'formSqueals',
  'blendWithFile',
  'knurlWet',
  'nutsStayShut',
  'scratchFirst',
  'traverseFirst',
  'marksOnly',
  'drawOut',
  'handTurned',
  'squareOn',
  'onCentreHeight',
  'evenByHand',
  'slackBeforeCut',
] as const;
export type Caution = (typeof CAUTIONS)[number];

/** What is worth knowing at an operation, with the figure it is about: mm, µm of Ra, or per cent; each has words of its own outside core. */
export const NOTES = [
  'tightenLess',
  'wet',
  'dry',
  'belowSkin',
  'interrupted',
  'finishBeyond',
  'noseInCorner',
  'quillAgain',
  'barLong',
  'letCool',
  'swingTool',
  'halfCentre',
  'knurlPushes',
  'leadOff',
  'notFull',
  'flankRubs',
] as const;
export interface Note {
  readonly code: (typeof NOTES)[number];
  /** what is, in mm or µm */
  readonly value?: number;
  /** what would be right, or is the best there is, in the same */
  readonly limit?: number;
}

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
  /** error of diameter, of what cuts along a wall; none of a drill */
  readonly bendMm?: number;
  readonly bendAllowedMm?: number;
  readonly gripShare: number;
  /** share of a cut's depth by which work, tool and lathe are reckoned to spring; missing in plans of earlier versions */
  readonly springShare?: number;
}
export type Limiter =
  | 'stock'
  | 'usual'
  | 'tool'
  | 'lathe'
  | 'power'
  | 'bend'
  | 'grip'
  | 'finish'
  | 'own'
  | 'overhang'
  | 'film'
  | 'skin';

/** Where the work is carried while something is done: free out of what grips it, on a centre, in a rest, between two centres. */
export const CARRIED = ['free', 'centre', 'steady', 'centreAndRest', 'centres'] as const;
export type Carried = (typeof CARRIED)[number];

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
  readonly minutes: number;
  /** how it stands meanwhile; missing while it is put in, and in plans of earlier versions */
  readonly carried?: Carried;
  readonly caution?: Caution;
  readonly notes?: readonly Note[];
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
  /** a cut before the last that is not half of what is left: what it leaves on the diameter, mm */
  readonly leavesMm?: number;
  /** the first of two cuts takes two thirds of what is left */
  readonly larger?: true;
  /** short trial cuts, measured, before the run */
  readonly trialFirst?: true;
}
