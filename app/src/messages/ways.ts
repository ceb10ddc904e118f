import type { Begun, FirstEnd, Way, WayCode, WayKind, WayReason } from '@whelk/core/job';
import type { LengthUnit } from '@whelk/core/quantity';
import { type InUnit, inUnit, valuesIn } from './in-unit.ts';
import { wordProblem } from './problems.ts';
import { methodNames } from './words.ts';

export const wayNames: Record<WayKind, string> = {
  threeJaw: 'three-jaw chuck',
  fourJaw: 'four-jaw chuck',
  fineAdjusting: 'fine-adjusting body',
  soft: 'soft jaws',
  collet: 'collet chuck',
  ...methodNames,
};

/** A way's name: the chuck's own, with its centre. */
export const wayName = (way: Way): string =>
  `${way.name ?? wayNames[way.kind]}${way.name && way.tailCentre ? ' and tail centre' : ''}`;

type V = Readonly<Record<string, number | string>>;
const n = (value: number | string | undefined, digits = 2): string =>
  typeof value === 'number' ? String(Number(value.toFixed(digits))) : String(value ?? '');
const words: Record<WayCode, (v: V, u: InUnit) => string> = {
  'way.route': (v) => `${n(v.eachMin, 0)} min a piece as planned in it`,
  'way.true.threeJaw': (v, u) => `set at once, runs out ${u.size(v.runoutMm, 2)} ${u.mm}`,
  'way.true.fourJaw': (v, u) => `each piece is trued, to about ${u.size(v.runoutMm, 2)} ${u.mm}`,
  'way.true.fineAdjusting': (v, u) => `trued once for a diameter, then a touch: about ${u.size(v.runoutMm, 2)} ${u.mm}`,
  'way.true.soft': (v, u) => `set at once in bored jaws, runs out ${u.size(v.runoutMm, 2)} ${u.mm}, leaves no marks`,
  'way.true.collet': (v, u) => `set at once, runs out ${u.size(v.runoutMm, 2)} ${u.mm}, leaves no marks`,
  'way.mount': () => 'the chuck is changed',
  'way.boreSoft': () => 'its jaws are bored to the work once',
  'way.grip': (v) => `uses ${n(v.percent, 0)} % of what the jaws safely hold at speed`,
  'way.bends': (v) => `bends ${n(v.percent, 0)} % of what may be`,
  'way.overhang': (v) => `${n(v.diameters, 1)} diameters stand out without a centre`,
  'way.loses': (v, u) =>
    `what is turned after holding it again runs out ${u.size(v.runoutMm, 2)} ${u.mm} against limits of ${u.size(v.wantedMm, 3)} ${u.mm}: turn what belongs together in one holding, or true it again`,
  'way.across': (v, u) => `within ${u.size(v.runoutMm, 2)} ${u.mm} of what the first holding turned`,
  'way.across.betweenCentres': (v, u) =>
    `true to both centre holes, within ${u.size(v.runoutMm, 2)} ${u.mm} of what is turned on them`,
  'way.across.mandrel': (v, u) => `true to the hole within ${u.size(v.runoutMm, 3)} ${u.mm}`,
  'way.across.expandingMandrel': (v, u) => `true to the hole within ${u.size(v.runoutMm, 3)} ${u.mm}`,
  'way.across.stubArbor': (v, u) =>
    `true to the hole within ${u.size(v.runoutMm, 3)} ${u.mm}, as long as the arbor stays where it was turned`,
  'way.across.adhesiveArbor': (v, u) => `clocked in, to about ${u.size(v.runoutMm, 2)} ${u.mm}`,
  'way.across.barOverSlide': (v, u) => `its axis picked up to about ${u.size(v.runoutMm, 2)} ${u.mm}`,
  'way.across.headOverSlide': (v, u) => `its axis picked up to about ${u.size(v.runoutMm, 2)} ${u.mm}`,
  'way.across.faceplate': (v, u) => `clocked in, to about ${u.size(v.runoutMm, 2)} ${u.mm}`,
  'way.leaves': (v) =>
    `leaves ${v.count === 1 ? 'one surface' : `${n(v.count, 0)} surfaces`} that can be cut here for yet another holding`,
  'way.marks': () => 'jaws would mark a finished surface: soft sheet under them',
  'way.nothingReached': () => 'nothing of the part can be turned so',
  'way.staysTrue': () => 'everything turned so stays true to the same axis, end for end, as often as it is taken off',
  'way.dogInTheWay': () => 'the dog covers the end it is on: that is turned the other way round',
  'way.hollowNoCentres': () => 'a hollow end has nothing for a centre',
  'way.tooLong': (v, u) =>
    `${u.size(v.lengthMm, 0)} ${u.mm} do not go between the centres, ${u.size(v.mostMm, 0)} ${u.mm}`,
  'way.noDog': (v, u) => `no dog takes Ø${u.size(v.diameterMm, 1)} ${u.mm}`,
  'way.noThroughHole': () => 'the part has no hole all through',
  'way.trueToBore': (v, u) => `the outside comes true to the hole of Ø${u.size(v.holeMm, 2)} ${u.mm}`,
  'way.boreNotFit': () => 'the hole has no limits of its own: bore or ream it to size first',
  'way.takesRoughBores': () => 'takes holes that are a little off size',
  'way.longForArbor': (v) => `${n(v.share, 1)} times as long as thick: too long to sit on a stub`,
  'way.arborInPlace': (v, u) => `turned where it stands to Ø${u.size(v.holeMm, 2)} ${u.mm}, so it runs true; used once`,
  'way.secondFace': () => 'the second face comes square to the hole',
  'way.thinDisc': (v, u) =>
    `a disc of ${u.size(v.lengthMm, 1)} by Ø${u.size(v.diameterMm, 0)} ${u.mm} is not bent by jaws`,
  'way.lightCuts': () => 'light cuts only, kept cool; warmed to come off',
  'way.notThin': (v) => `${n(v.share, 1)} times as long as thick: no thin disc`,
  'way.aboveJaws': (v, u) =>
    `Ø${u.size(v.diameterMm, 0)} ${u.mm} is more than the jaws reach, Ø${u.size(v.reachMm, 0)} ${u.mm}; balance it, turn slowly`,
  'way.jawsReach': (v, u) =>
    `the jaws reach Ø${u.size(v.reachMm, 0)} ${u.mm}: not needed for Ø${u.size(v.diameterMm, 0)} ${u.mm}`,
  'way.wantsSteady': (v) => `${n(v.diameters, 1)} diameters stand out: more than a centre alone carries`,
  'way.standsWithout': (v) => `${n(v.diameters, 1)} diameters stand out: not needed`,
  'way.slender': (v) => `${n(v.diameters, 1)} times as long as thin: it goes with the tool`,
  'way.notSlender': (v) => `${n(v.diameters, 1)} times as long as thin: not needed`,
};

const isWay = (code: WayReason['code']): code is WayCode => code in words;
/** A reason in a few words; what keeps a chuck from it is a problem of the plan. */
export function reasonText(reason: WayReason, lengths: LengthUnit): string {
  const word = isWay(reason.code) ? words[reason.code] : undefined;
  if (word) return word(valuesIn(reason.values ?? {}, lengths), inUnit(lengths));
  const { value, limit, unit } = reason.values ?? {};
  return wordProblem(
    {
      ...{ code: reason.code, path: [], value: value === '' ? undefined : value },
      ...{ limit: limit === '' ? undefined : limit, unit: unit ? String(unit) : undefined },
    },
    lengths,
  ).what;
}

const begunText = ({ setupCount, leftCount, minutes }: Begun): string =>
  `${setupCount === 1 ? 'one holding' : `${setupCount} holdings`}, ${Math.round(minutes)} min${leftCount > 0 ? `, ${leftCount === 1 ? 'one surface is' : `${leftCount} surfaces are`} left` : ''}`;
/** Why a job is better begun with its other end. */
export const firstEndText = ({ tail, better, now }: FirstEnd): string =>
  `Begun with the ${tail === 'left' ? 'left' : 'right'} end of the drawing at the tailstock it takes ${begunText(better)}; as it stands, ${begunText(now)}.`;
