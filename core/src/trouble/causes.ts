import type { Conditions, Symptom } from './conditions.ts';

/** What to do about a cause; the face says it with this lathe's own settings. */
export type Change =
  | 'slower'
  | 'faster'
  | 'moreFeed'
  | 'lessFeed'
  | 'lessDepth'
  | 'moreDepth'
  | 'tailSupport'
  | 'shortenTool'
  | 'smallerNose'
  | 'sharpen'
  | 'adjustGibs'
  | 'onCentre'
  | 'moreClearance'
  | 'chipBreaker'
  | 'coolant'
  | 'trueTailstock'
  | 'springPasses'
  | 'clearHole'
  | 'stopInChuck'
  | 'easeCentre'
  | 'squareBlade'
  | 'lockSlides';

/** The condition that makes a cause likely, with its value and what it should be. */
export interface Evidence {
  readonly condition: keyof Conditions;
  readonly value: number;
  readonly limit: number;
}
/** Causes of trouble; each has words of its own outside core. */
export const CAUSES = [
  'workOverhang',
  'toolOverhang',
  'tooFast',
  'feedTooFine',
  'noseTooLarge',
  'blunt',
  'looseSlide',
  'offCentre',
  'noBreaker',
  'feedTooFineForChip',
  'tooSlow',
  'dry',
  'feedTooCoarse',
  'tailstockOff',
  'workSprings',
  'barSprings',
  'chipsInHole',
  'poorGrip',
  'heavyFeed',
  'heat',
  'tooMuchMetal',
  'bladeNotSquare',
] as const;
export type CauseId = (typeof CAUSES)[number];

export interface Cause {
  readonly id: CauseId;
  readonly symptoms: readonly Symptom[];
  readonly changes: readonly Change[];
  /** how likely it is where nothing is known, 0 to 1 */
  readonly base: number;
  /** what in the conditions speaks for it; nothing when they speak neither for nor against */
  readonly evidence?: (c: Conditions) => Evidence | 'against' | undefined;
}

/** Evidence when a condition is above (or below) what is right; against when it is well inside. */
function beyond(condition: keyof Conditions, limit: number, way: 'above' | 'below' = 'above') {
  return (c: Conditions): Evidence | 'against' | undefined => {
    const value = c[condition];
    if (typeof value !== 'number') return undefined;
    const over = way === 'above' ? value > limit : value < limit;
    if (over) return { condition, value, limit };
    const inside = way === 'above' ? value < limit * 0.7 : value > limit * 1.4;
    return inside ? 'against' : undefined;
  };
}
/** The same against another of the conditions instead of a fixed figure. */
function against(condition: keyof Conditions, other: keyof Conditions, times: number, way: 'above' | 'below') {
  return (c: Conditions): Evidence | 'against' | undefined => {
    const limit = c[other];
    return typeof limit === 'number' ? beyond(condition, limit * times, way)(c) : undefined;
  };
}

/**
 * Usual causes and what shows them.
 * @source FIELD 1, troubles and their usual causes
 */
export const causes: readonly Cause[] = [
  {
    id: 'workOverhang',
    symptoms: ['chatter', 'tapers'],
    changes: ['tailSupport', 'lessDepth'],
    base: 0.5,
    evidence: (c) => (c.tailCentre ? beyond('overhangDiameters', 10)(c) : beyond('overhangDiameters', 4)(c)),
  },
  {
    id: 'toolOverhang',
    symptoms: ['chatter', 'bellMouth'],
    changes: ['shortenTool'],
    base: 0.45,
    evidence: beyond('toolOverhangRatio', 3),
  },
  {
    id: 'tooFast',
    symptoms: ['chatter', 'burntEdge', 'squeal'],
    changes: ['slower'],
    base: 0.4,
    evidence: against('speedMPerMin', 'rightMPerMin', 1.15, 'above'),
  },
  {
    id: 'feedTooFine',
    symptoms: ['chatter', 'squeal'],
    changes: ['moreFeed'],
    base: 0.4,
    evidence: against('chipThicknessMm', 'thinnestChipMm', 2, 'below'),
  },
  {
    id: 'noseTooLarge',
    symptoms: ['chatter'],
    changes: ['smallerNose', 'moreDepth'],
    base: 0.3,
    evidence: beyond('noseRadiusMm', 1.2),
  },
  {
    id: 'blunt',
    symptoms: ['chatter', 'tornFinish', 'burntEdge', 'tapers', 'squeal'],
    changes: ['sharpen'],
    base: 0.35,
    evidence: against('edgeUsedMin', 'edgeLifeMin', 0.8, 'above'),
  },
  { id: 'looseSlide', symptoms: ['chatter', 'bladeGrabs'], changes: ['adjustGibs', 'lockSlides'], base: 0.3 },
  {
    id: 'offCentre',
    symptoms: ['squeal', 'bladeGrabs', 'tornFinish'],
    changes: ['onCentre', 'moreClearance'],
    base: 0.3,
  },
  { id: 'noBreaker', symptoms: ['stringyChip'], changes: ['chipBreaker'], base: 0.35 },
  {
    id: 'feedTooFineForChip',
    symptoms: ['stringyChip'],
    changes: ['moreFeed', 'lessDepth'],
    base: 0.5,
    evidence: beyond('feedMmPerRev', 0.15, 'below'),
  },
  {
    id: 'tooSlow',
    symptoms: ['tornFinish'],
    changes: ['faster'],
    base: 0.4,
    evidence: against('speedMPerMin', 'builtUpBelowMPerMin', 1, 'below'),
  },
  {
    id: 'dry',
    symptoms: ['tornFinish', 'burntEdge', 'squeal'],
    changes: ['coolant'],
    base: 0.25,
    evidence: (c) =>
      c.wantsWet && c.wet === false ? { condition: 'wet', value: 0, limit: 1 } : c.wet ? 'against' : undefined,
  },
  {
    id: 'feedTooCoarse',
    symptoms: ['feedMarks'],
    changes: ['lessFeed'],
    base: 0.6,
    evidence: against('feedMmPerRev', 'noseRadiusMm', 0.5, 'above'),
  },
  {
    id: 'tailstockOff',
    symptoms: ['tapers', 'reamedLarge'],
    changes: ['trueTailstock'],
    base: 0.4,
    evidence: (c) => (c.operation === 'reaming' || c.tailCentre ? undefined : 'against'),
  },
  {
    id: 'workSprings',
    symptoms: ['tapers', 'chatter'],
    changes: ['lessDepth', 'tailSupport', 'springPasses'],
    base: 0.4,
    evidence: beyond('bendShare', 0.8),
  },
  {
    id: 'barSprings',
    symptoms: ['bellMouth'],
    changes: ['shortenTool', 'springPasses', 'lessDepth'],
    base: 0.6,
    evidence: beyond('toolOverhangRatio', 4),
  },
  { id: 'chipsInHole', symptoms: ['reamedLarge'], changes: ['clearHole'], base: 0.45 },
  {
    id: 'poorGrip',
    symptoms: ['workPushed', 'stalls'],
    changes: ['stopInChuck', 'lessFeed', 'lessDepth'],
    base: 0.5,
    evidence: beyond('gripShare', 0.7),
  },
  {
    id: 'heavyFeed',
    symptoms: ['workPushed', 'bladeGrabs'],
    changes: ['lessFeed'],
    base: 0.4,
    evidence: beyond('feedMmPerRev', 0.3),
  },
  {
    id: 'heat',
    symptoms: ['workPushed', 'tapers'],
    changes: ['easeCentre'],
    base: 0.25,
    evidence: (c) => (c.tailCentre === false ? 'against' : undefined),
  },
  {
    id: 'tooMuchMetal',
    symptoms: ['stalls'],
    changes: ['lessDepth', 'lessFeed', 'slower'],
    base: 0.6,
    evidence: beyond('powerShare', 0.9),
  },
  { id: 'bladeNotSquare', symptoms: ['bladeGrabs'], changes: ['squareBlade', 'lockSlides'], base: 0.5 },
];
