import type { ToolFamily } from '../material/index.ts';

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
    notes: ['lockCarriage', 'squareBlade'],
  },
  grooving: { speedShare: 0.5, diameterOf: 'work', corrected: false, byHand: false, notes: ['lockCarriage'] },
  form: { speedShare: 0.5, diameterOf: 'work', corrected: false, byHand: false, notes: ['longContact'] },
  threading: { speedShare: 0.3, diameterOf: 'work', corrected: false, byHand: false, notes: ['reaction'] },
  knurling: { speedShare: 0.35, diameterOf: 'work', corrected: false, byHand: false, notes: ['flood'] },
  dieOrTap: { speedShare: 0.15, diameterOf: 'work', corrected: false, byHand: true, notes: ['halfTurnBack'] },
  filing: { speedShare: 1.1, diameterOf: 'work', corrected: false, byHand: false, notes: ['leftHandOnHandle'] },
};

/** Roughing, semi-finishing and finishing feeds that suit a small lathe, mm/rev. provenance: recalled */
const TURNING_FEED: Readonly<Record<Grade, number>> = { rough: 0.2, semi: 0.14, finish: 0.08 };

/**
 * Feed that an operation usually wants, mm per rev.
 * @param diameterMm of drill or reamer; other operations do not look at it
 * @returns undefined where the feed is the pitch, or the hand's
 * @source drills about 0.05·D^0.6 in steel; reamers two and a half times that; parting and forming 0.03 to 0.08 (FIELD 1)
 * @example usualFeedMmPerRev('parting', 'rough', 20) // 0.05
 */
export function usualFeedMmPerRev(operation: CuttingOperation, grade: Grade, diameterMm: number): number | undefined {
  const drillFeed = 0.05 * diameterMm ** 0.6;
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
      return 0.03;
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
