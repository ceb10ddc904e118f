import type { CauseId, Change, Conditions, Symptom } from '@whelk/core/trouble';
import type { InUnit } from './in-unit.ts';

export const symptomText: Record<Symptom, string> = {
  chatter: 'It chatters',
  squeal: 'It squeals',
  stringyChip: 'Long stringy chips',
  tornFinish: 'Torn finish',
  feedMarks: 'Rough feed marks',
  tapers: 'It turns a taper',
  bellMouth: 'The bore is bell-mouthed',
  reamedLarge: 'The reamed hole is too large',
  workPushed: 'The work moves in the chuck, the centre comes loose',
  burntEdge: 'The edge burns',
  stalls: 'It stalls',
  bladeGrabs: 'The blade grabs',
};

export const causeText: Record<CauseId, string> = {
  workOverhang: 'The work stands out too far',
  toolOverhang: 'The tool stands out too far',
  tooFast: 'Too fast',
  feedTooFine: 'The feed is too fine: the edge rubs',
  noseTooLarge: 'The nose is too large for this work',
  blunt: 'The edge is worn',
  looseSlide: 'A slide is loose',
  offCentre: 'The edge is off centre, or its clearance too small',
  noBreaker: 'Nothing breaks the chip',
  feedTooFineForChip: 'The chip is too slender to break',
  tooSlow: 'Too slow: metal builds up on the edge and tears',
  dry: 'It is cut dry',
  feedTooCoarse: 'The feed is too coarse for this nose',
  tailstockOff: 'The tailstock is off the axis',
  workSprings: 'The work springs away from the tool',
  barSprings: 'The bar springs',
  chipsInHole: 'Chips in the hole carry the reamer',
  poorGrip: 'The jaws do not hold enough',
  heavyFeed: 'The feed pushes hard',
  heat: 'The work has grown with heat',
  tooMuchMetal: 'More metal than the motor takes',
  bladeNotSquare: 'The blade is not square, or not on centre',
};

export const changeText: Record<Change, string> = {
  slower: 'One step slower',
  faster: 'One step faster',
  moreFeed: 'The next coarser feed',
  lessFeed: 'The next finer feed',
  lessDepth: 'Take less depth',
  moreDepth: 'Take more depth',
  tailSupport: 'Bring up the tail centre, or a rest',
  shortenTool: 'Shorten the tool or bar; a thicker one',
  smallerNose: 'A smaller nose',
  sharpen: 'Sharpen or turn the edge',
  adjustGibs: 'Take up the gibs',
  onCentre: 'Set the edge on centre',
  moreClearance: 'Grind more clearance',
  chipBreaker: 'Grind or fit a chip breaker',
  coolant: 'Cut wet',
  trueTailstock: 'True the tailstock',
  springPasses: 'Take spring passes',
  clearHole: 'Clear the hole, oil, leave less for the reamer',
  stopInChuck: 'A stop in the chuck, more jaw, cleaner jaws',
  easeCentre: 'Ease the tail centre, let it cool',
  squareBlade: 'Square the blade against the face, on centre',
  lockSlides: 'Lock what does not feed',
};

const share = (value: number) => `${Math.round(value * 100)} %`;
const figure = (value: number) => String(Number(value.toFixed(3)));
/** A condition with its value and what it should be. */
export const evidenceText: Partial<Record<keyof Conditions, (value: number, limit: number, u: InUnit) => string>> = {
  overhangDiameters: (v, l) => `${v.toFixed(1)} diameters stand out; up to ${figure(l)} stand freely`,
  toolOverhangRatio: (v, l) => `${v.toFixed(1)} times its height out of the holder; ${figure(l)} is far`,
  speedMPerMin: (v, l, u) => `${u.speedOf(v)} where ${u.speedOf(l)} would be the edge of right`,
  chipThicknessMm: (v, l, u) => `a chip ${u.len(v)} thick; below ${u.len(l)} the edge rubs`,
  noseRadiusMm: (v, l, u) => `a nose of ${u.len(v)}; above ${u.len(l)} it pushes`,
  edgeUsedMin: (v, l) => `the edge has cut ${v.toFixed(0)} min; ${l.toFixed(0)} are most of its life`,
  feedMmPerRev: (v, l, u) => `fed ${u.len(v)} a turn; ${u.len(l)} is the line`,
  powerShare: (v, l) => `${share(v)} of the motor is used; ${share(l)} is near its end`,
  gripShare: (v, l) => `${share(v)} of what the jaws hold; ${share(l)} is much`,
  bendShare: (v, l) => `bends ${share(v)} of what is allowed; ${share(l)} is much`,
  wet: () => 'no coolant on a material that wants it',
};
