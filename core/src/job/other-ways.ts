import { throughHoleMm } from '../hold/index.ts';
import { chuckReachMm, type Lathe } from '../lathe/index.ts';
import { insides, outsides, type Part } from '../part/index.ts';
import type { PlannedJob } from './plan-job.ts';
import type { Way, WayKind, WayReason } from './way.ts';

/** Shorter than this share of its diameter a hollow piece is a ring for a stub arbor, and a thin one for an adhesive arbor. */
const STUB_SHARE = 1.5;
const THIN_SHARE = 0.25;

/** The work as a way of holding is chosen by. */
interface Work {
  readonly part: Part;
  /** through hole, mm; 0 where there is none */
  readonly holeMm: number;
  readonly lengthMm: number;
  /** what it swings, and what a dog takes hold of, mm */
  readonly swingsMm: number;
  readonly dogOnMm: number;
}
/** A reason with nothing to say against it, or the first that speaks against the way. */
type Said = readonly [does: boolean, ...reasons: WayReason[]];

const tell = (code: WayReason['code'], values?: WayReason['values']): WayReason => ({ code, minutes: 0, values });
const takes = (ranges: readonly { readonly fromMm: number; readonly toMm: number }[], mm: number): boolean =>
  ranges.some((r) => r.fromMm <= mm && mm <= r.toMm);
const share = (mm: number, ofMm: number): number => Number((mm / ofMm).toFixed(1));

function betweenCentres({ part, lengthMm, dogOnMm }: Work, { sizes, holding }: Lathe): Said {
  if (insides(part).length > 0) return [false, tell('way.hollowNoCentres')];
  if (lengthMm > sizes.betweenCentresMm)
    return [false, tell('way.tooLong', { lengthMm, mostMm: sizes.betweenCentresMm })];
  if (!takes(holding.drivers, dogOnMm)) return [false, tell('way.noDog', { diameterMm: dogOnMm })];
  return [true, tell('way.staysTrue'), tell('way.dogInTheWay')];
}
function mandrel({ part, holeMm }: Work): Said {
  if (holeMm === 0) return [false, tell('way.noThroughHole')];
  const boreIsFit = insides(part).some((b) => b.limits.how !== 'general');
  return boreIsFit ? [true, tell('way.trueToBore', { holeMm })] : [false, tell('way.boreNotFit')];
}
function expandingMandrel({ holeMm }: Work): Said {
  if (holeMm === 0) return [false, tell('way.noThroughHole')];
  return [true, tell('way.trueToBore', { holeMm }), tell('way.takesRoughBores')];
}
function stubArbor({ part, holeMm }: Work): Said {
  if (holeMm === 0) return [false, tell('way.noThroughHole')];
  if (part.lengthMm > STUB_SHARE * part.largestMm)
    return [false, tell('way.longForArbor', { share: share(part.lengthMm, part.largestMm) })];
  return [true, tell('way.arborInPlace', { holeMm }), tell('way.secondFace')];
}
function adhesiveArbor({ part: { lengthMm, largestMm } }: Work): Said {
  if (lengthMm > THIN_SHARE * largestMm) return [false, tell('way.notThin', { share: share(lengthMm, largestMm) })];
  return [true, tell('way.thinDisc', { lengthMm, diameterMm: largestMm }), tell('way.lightCuts')];
}
function faceplate({ swingsMm }: Work, { holding }: Lathe): Said {
  const reachMm = Math.max(...holding.chucks.map(chuckReachMm));
  if (swingsMm <= reachMm) return [false, tell('way.jawsReach', { diameterMm: swingsMm, reachMm })];
  const fits = holding.faceplate !== null && swingsMm < holding.faceplate.diameterMm * 1.1;
  return [fits, tell('way.aboveJaws', { diameterMm: swingsMm, reachMm })];
}
/** Ways that take more than a chuck: what speaks for them, what they take, and whether that is there. */
export function otherWays({ part, barSizes, stockMm = 0, blank }: PlannedJob, lathe: Lathe): readonly Way[] {
  const { holding } = lathe;
  const work: Work = {
    ...{ part, holeMm: throughHoleMm(part) },
    lengthMm: blank?.lengthMm ?? part.lengthMm,
    swingsMm: barSizes ? barSizes.cornersMm : part.largestMm,
    dogOnMm: outsides(part)[0]?.diameterMm ?? stockMm,
  };
  const way = (kind: WayKind, owned: boolean, [does, ...reasons]: Said, tailCentre = false): Way => ({
    ...{ id: kind, kind, owned, does, reasons, tailCentre, chosen: false },
  });
  const arbor = (kind: 'mandrel' | 'expandingMandrel'): boolean =>
    takes(
      (holding.arbors ?? []).filter((a) => a.kind === kind),
      work.holeMm,
    );
  const centres = holding.drivers.length > 0 && holding.centres.length > 0;
  return [
    way('betweenCentres', centres, betweenCentres(work, lathe), true),
    way('mandrel', arbor('mandrel'), mandrel(work), true),
    way('expandingMandrel', arbor('expandingMandrel'), expandingMandrel(work)),
    way('stubArbor', true, stubArbor(work)),
    way('adhesiveArbor', true, adhesiveArbor(work)),
    way('faceplate', holding.faceplate !== null, faceplate(work, lathe)),
  ];
}
