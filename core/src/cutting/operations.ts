import type { Material, ToolFamily } from '../material/index.ts';

/** Everything a lathe's spindle is turned on for, each with rules of its own. */
export const CUTTING_OPERATIONS = [
  'turning',
  'facing',
  'boring',
  'drilling',
  'centreDrilling',
  'reaming',
  'parting',
  'grooving',
  'form',
  'threading',
  'knurling',
  'dieOrTap',
  'filing',
] as const;
export type CuttingOperation = (typeof CUTTING_OPERATIONS)[number];
export type Grade = 'rough' | 'semi' | 'finish';

/** What an operation asks for beside turning. */
export interface OperationRule {
  /** share of the turning speed */
  readonly speedShare: number;
  /** which diameter the speed is for: the work's, the drill's, the bore's, or the mouth of a centre hole */
  readonly diameterOf: 'work' | 'rim' | 'drill' | 'bore' | 'mouth';
  /** whether depth and feed correct the speed, as they do for a cut along the work */
  readonly corrected: boolean;
  /** by hand with the spindle turned by hand or at its slowest: no speed is told */
  readonly byHand: boolean;
  /** coarsest feed of an edge that cuts with its whole width, mm/rev; others are bounded by nose and finish */
  readonly mostFeedMmPerRev?: number;
  /** codes of what good turners keep in mind */
  readonly notes: readonly string[];
}

/**
 * Rules by operation.
 * @source FIELD 1, derating: parting, grooving and form half speed; reaming half the drilling speed; threading a quarter to a
 *   third; knurling slow and flooded; provenance: recalled, ordinary workshop values
 */
export const operationRules: Readonly<Record<CuttingOperation, OperationRule>> = {
  turning: { speedShare: 1, diameterOf: 'work', corrected: true, byHand: false, notes: [] },
  facing: { speedShare: 1, diameterOf: 'rim', corrected: true, byHand: false, notes: ['lockCarriage', 'rimIsFastest'] },
  boring: {
    speedShare: 0.8,
    diameterOf: 'bore',
    corrected: true,
    byHand: false,
    notes: ['barOverhang', 'springPasses'],
  },
  drilling: {
    speedShare: 0.8,
    diameterOf: 'drill',
    corrected: false,
    byHand: false,
    notes: ['clearChips', 'lockTailstock'],
  },
  centreDrilling: { speedShare: 0.5, diameterOf: 'mouth', corrected: false, byHand: false, notes: ['weakPilot'] },
  reaming: { speedShare: 0.4, diameterOf: 'drill', corrected: false, byHand: false, notes: ['neverBackwards'] },
  parting: {
    speedShare: 0.5,
    diameterOf: 'work',
    corrected: false,
    byHand: false,
    mostFeedMmPerRev: 0.08,
    notes: ['lockCarriage', 'squareBlade'],
  },
  grooving: {
    speedShare: 0.5,
    diameterOf: 'work',
    corrected: false,
    byHand: false,
    mostFeedMmPerRev: 0.08,
    notes: ['lockCarriage'],
  },
  form: {
    speedShare: 0.5,
    diameterOf: 'work',
    corrected: false,
    byHand: false,
    mostFeedMmPerRev: 0.05,
    notes: ['longContact'],
  },
  threading: { speedShare: 0.3, diameterOf: 'work', corrected: false, byHand: false, notes: ['reaction'] },
  knurling: { speedShare: 0.35, diameterOf: 'work', corrected: false, byHand: false, notes: ['flood'] },
  dieOrTap: { speedShare: 0.15, diameterOf: 'work', corrected: false, byHand: true, notes: ['halfTurnBack'] },
  filing: { speedShare: 1.1, diameterOf: 'work', corrected: false, byHand: false, notes: ['leftHandOnHandle'] },
};

/** Roughing, semi-finishing and finishing feeds that suit a small lathe, mm/rev. provenance: recalled */
const TURNING_FEED: Readonly<Record<Grade, number>> = { rough: 0.2, semi: 0.14, finish: 0.08 };

/** Drills feed by a fiftieth of their diameter while they are small; larger ones gain less. mm, provenance: recalled */
const DRILL_FEED = { share: 0.02, straightToMm: 8, exponent: 0.7 } as const;
/** Short chips let a drill go faster, tough metal holds it back; plastics as steel. ISO 513 groups */
const DRILL_FEED_OF: Readonly<Partial<Record<Material['group'], number>>> = { K: 1.3, N: 1.4, M: 0.7, S: 0.5, H: 0.5 };
/** Steels harder than this are drilled with less feed, HB. */
const HARD_HB = 250;
const HARD_FEED = 0.75;

/**
 * Usual feed of a twist drill, mm per rev.
 * @param diameterMm > 0
 * @source about D/50 up to Ø8, beyond it growing with D^0.7: 0.02 at Ø1, 0.16 at Ø8, 0.3 at Ø20 in steel
 * @example drillFeedMmPerRev(1, { group: 'P', hardnessHb: 190 }) // 0.02
 */
export function drillFeedMmPerRev(diameterMm: number, material: Pick<Material, 'group' | 'hardnessHb'>): number {
  const { share, straightToMm, exponent } = DRILL_FEED;
  const steel =
    diameterMm <= straightToMm ? share * diameterMm : share * straightToMm * (diameterMm / straightToMm) ** exponent;
  const hard = material.group === 'P' && (material.hardnessHb ?? 0) > HARD_HB ? HARD_FEED : 1;
  return steel * (DRILL_FEED_OF[material.group] ?? 1) * hard;
}

/**
 * Feed that an operation usually wants, mm per rev.
 * @param diameterMm of drill or reamer; other operations do not look at it
 * @returns undefined where the feed is the pitch, or the hand's
 * @source reamers two and a half times a drill's; parting and forming 0.03 to 0.08 (FIELD 1)
 * @example usualFeedMmPerRev('parting', 'rough', 20, { group: 'P', hardnessHb: 190 }) // 0.05
 */
export function usualFeedMmPerRev(
  operation: CuttingOperation,
  grade: Grade,
  diameterMm: number,
  material: Pick<Material, 'group' | 'hardnessHb'>,
): number | undefined {
  const drillFeed = drillFeedMmPerRev(diameterMm, material);
  switch (operation) {
    case 'turning':
    case 'facing':
      return TURNING_FEED[grade];
    case 'boring':
      return TURNING_FEED[grade] * 0.7;
    case 'drilling':
      return drillFeed;
    case 'reaming':
      return drillFeed * 2.5;
    case 'centreDrilling':
      return Math.min(0.03, drillFeed);
    case 'parting':
    case 'grooving':
      return 0.05;
    case 'form':
      return 0.03;
    case 'knurling':
      return 0.3;
    default:
      return undefined;
  }
}

/** Usual depth of a cut on the radius, mm: depth comes first, from lathe and tool. */
export function usualDepthMm(grade: Grade, lathe: { readonly usualDepthMm: number }, family: ToolFamily): number {
  if (grade === 'rough') return lathe.usualDepthMm;
  // a rounded carbide edge wants more under it than a keen one
  if (grade === 'semi') return Math.min(lathe.usualDepthMm, 0.5);
  return family === 'carbide' ? 0.25 : 0.15;
}
