import type { Way, WayKind, WayReason } from '@whelk/core/job';
import { wordProblem } from './problems.ts';
import { methodNames } from './words.ts';

export const wayNames: Record<WayKind, string> = {
  threeJaw: 'three-jaw chuck',
  fourJaw: 'four-jaw chuck',
  fineAdjusting: 'fine-adjusting body',
  soft: 'soft jaws',
  collet: 'collet chuck',
  ...methodNames,
  steady: 'with a steady rest',
  followingRest: 'with a following rest',
  crossSlide: 'on the cross-slide, the tool in the spindle',
};

/** A way's name: the chuck's own, with its centre. */
export const wayName = (way: Way): string =>
  `${way.name ?? wayNames[way.kind]}${way.name && way.tailCentre ? ' and tail centre' : ''}`;

type V = Readonly<Record<string, number | string>>;
const n = (value: number | string | undefined, digits = 2): string =>
  typeof value === 'number' ? String(Number(value.toFixed(digits))) : String(value ?? '');
const words: Record<string, (v: V) => string> = {
  'way.route': (v) => `${n(v.eachMin, 0)} min a piece as planned in it`,
  'way.true.threeJaw': (v) => `set at once, runs out ${n(v.runoutMm)} mm`,
  'way.true.fourJaw': (v) => `each piece is trued, to about ${n(v.runoutMm)} mm`,
  'way.true.fineAdjusting': (v) => `trued once for a diameter, then a touch: about ${n(v.runoutMm)} mm`,
  'way.true.soft': (v) => `set at once in bored jaws, runs out ${n(v.runoutMm)} mm, leaves no marks`,
  'way.true.collet': (v) => `set at once, runs out ${n(v.runoutMm)} mm, leaves no marks`,
  'way.mount': () => 'the chuck is changed',
  'way.boreSoft': () => 'its jaws are bored to the work once',
  'way.grip': (v) => `uses ${n(v.percent, 0)} % of what the jaws safely hold at speed`,
  'way.bends': (v) => `bends ${n(v.percent, 0)} % of what may be`,
  'way.overhang': (v) => `${n(v.diameters, 1)} diameters stand out without a centre`,
  'way.loses': (v) =>
    `what is turned after holding it again runs out ${n(v.runoutMm)} mm against limits of ${n(v.wantedMm, 3)} mm: turn what belongs together in one holding, or true it again`,
  'way.across': (v) => `within ${n(v.runoutMm)} mm of what the first holding turned`,
  'way.across.betweenCentres': (v) => `true to both centre holes, within ${n(v.runoutMm)} mm of what is turned on them`,
  'way.across.mandrel': (v) => `true to the hole within ${n(v.runoutMm, 3)} mm`,
  'way.across.expandingMandrel': (v) => `true to the hole within ${n(v.runoutMm, 3)} mm`,
  'way.across.stubArbor': (v) =>
    `true to the hole within ${n(v.runoutMm, 3)} mm, as long as the arbor stays where it was turned`,
  'way.across.adhesiveArbor': (v) => `clocked in, to about ${n(v.runoutMm)} mm`,
  'way.across.faceplate': (v) => `clocked in, to about ${n(v.runoutMm)} mm`,
  'way.leaves': (v) => `leaves ${n(v.count, 0)} in the jaws for yet another holding`,
  'way.marks': () => 'jaws would mark a finished surface: soft sheet under them',
  'way.nothingReached': () => 'nothing of the part can be turned so',
  'way.staysTrue': () => 'everything turned so stays true to the same axis, end for end, as often as it is taken off',
  'way.dogInTheWay': () => 'the dog covers the end it is on: that is turned the other way round',
  'way.hollowNoCentres': () => 'a hollow end has nothing for a centre',
  'way.tooLong': (v) => `${n(v.lengthMm, 0)} mm do not go between the centres, ${n(v.mostMm, 0)} mm`,
  'way.noDog': (v) => `no dog takes Ø${n(v.diameterMm, 1)} mm`,
  'way.noThroughHole': () => 'the part has no hole all through',
  'way.trueToBore': (v) => `the outside comes true to the hole of Ø${n(v.holeMm)} mm`,
  'way.boreNotFit': () => 'the hole has no limits of its own: bore or ream it to size first',
  'way.takesRoughBores': () => 'takes holes that are a little off size',
  'way.longForArbor': (v) => `${n(v.share, 1)} times as long as thick: too long to sit on a stub`,
  'way.arborInPlace': (v) => `turned where it stands to Ø${n(v.holeMm)} mm, so it runs true; used once`,
  'way.secondFace': () => 'the second face comes square to the hole',
  'way.thinDisc': (v) => `a disc of ${n(v.lengthMm, 1)} by Ø${n(v.diameterMm, 0)} mm is not bent by jaws`,
  'way.lightCuts': () => 'light cuts only, kept cool; warmed to come off',
  'way.notThin': (v) => `${n(v.share, 1)} times as long as thick: no thin disc`,
  'way.aboveJaws': (v) =>
    `Ø${n(v.diameterMm, 0)} mm is more than the jaws reach, Ø${n(v.reachMm, 0)} mm; balance it, turn slowly`,
  'way.jawsReach': (v) => `the jaws reach Ø${n(v.reachMm, 0)} mm: not needed for Ø${n(v.diameterMm, 0)} mm`,
  'way.wantsSteady': (v) => `${n(v.diameters, 1)} diameters stand out: more than a centre alone carries`,
  'way.standsWithout': (v) => `${n(v.diameters, 1)} diameters stand out: not needed`,
  'way.slender': (v) => `${n(v.diameters, 1)} times as long as thin: it goes with the tool`,
  'way.notSlender': (v) => `${n(v.diameters, 1)} times as long as thin: not needed`,
  'way.doesNotSwing': (v) => `Ø${n(v.diameterMm, 0)} mm does not swing over the cross-slide, Ø${n(v.swingMm, 0)} mm`,
  'way.swings': (v) => `Ø${n(v.diameterMm, 0)} mm swings: turn it, it is quicker`,
};

/** A reason in a few words; what keeps a chuck from it is a problem of the plan. */
export function reasonText(reason: WayReason): string {
  const word = words[reason.code];
  if (word) return word(reason.values ?? {});
  const { value, limit, unit } = reason.values ?? {};
  return wordProblem({
    ...{ code: reason.code, path: [], value: value === '' ? undefined : value },
    ...{ limit: limit === '' ? undefined : limit, unit: unit ? String(unit) : undefined },
  }).what;
}
/** Codes that have words of their own. */
export const wayCodes = Object.keys(words);
