import { runsAt, throughHoleMm } from '../hold/index.ts';
import { type Chuck, chuckOf, chuckReachMm, type Lathe } from '../lathe/index.ts';
import type { Part } from '../part/index.ts';
import { insides, outsides } from '../part/index.ts';
import type { Plan } from '../route/index.ts';
import { type PlannedJob, planJob } from './plan-job.ts';
import type { Job, Shop } from './schema.ts';
import { AT_RISK_MIN, type Way, type WayKind, type WayReason } from './way.ts';

/** Minutes to bring a piece true, by kind of chuck; practice of a turner used to it. */
const TRUE_MIN: Readonly<Record<Chuck['kind'], number>> = {
  threeJaw: 0.5,
  fourJaw: 8,
  fineAdjusting: 3,
  soft: 0.5,
  collet: 0.5,
};
/** Soft jaws are bored to the work once for a batch. */
const BORE_SOFT_MIN = 20;
/** Above this share of what jaws or work bear a cut is watched. */
const NEAR = 0.8;
/** Overhang in diameters beyond which a steady, and slenderness beyond which a following rest, is wanted. FIELD 2 */
const STEADY_DIAMETERS = 10;
const FOLLOW_DIAMETERS = 12;
/** Shorter than this share of its diameter a hollow piece is a ring for a stub arbor, and a thin one for an adhesive arbor. */
const STUB_SHARE = 1.5;
const THIN_SHARE = 0.25;

/**
 * All ways of holding a job's part on its lathe, best first. Chucks are compared by their whole route, planned anew with each, for all
 * pieces; the others by what they take and what speaks for and against them. What is not owned comes last.
 * @returns none while the job cannot be planned in any chuck for want of lathe, bar or drawing
 */
export function waysOfHolding(job: Job, shop: Shop): readonly Way[] {
  const lathe = shop.lathes.find((l) => l.id === job.hold.latheId);
  const planned = planJob(job, shop);
  if (!lathe || !planned.barSizes || outsides(planned.part).length === 0) return [];
  const chosenId = job.hold.choice.chuckId ?? chuckOf(lathe).id;
  const chucks = lathe.holding.chucks.flatMap((chuck) =>
    (['chuck', 'chuckAndCentre'] as const).map((method) => {
      const choice = { ...job.hold.choice, method, chuckId: chuck.id };
      const tried = planJob({ ...job, hold: { ...job.hold, choice } }, shop);
      const now = planned.plan?.holding.method;
      return chuckWay(job, lathe, chuck, method === 'chuckAndCentre', tried, chuck.id === chosenId && now === method);
    }),
  );
  const others = otherWays(planned, lathe);
  const rank = (way: Way) => (way.does ? 0 : 1) + (way.owned ? 0 : 4);
  return [...chucks, ...others].toSorted(
    (a, b) => rank(a) - rank(b) || (a.costMin ?? 1e6) - (b.costMin ?? 1e6) || a.reasons.length - b.reasons.length,
  );
}

function chuckWay(
  job: Job,
  lathe: Lathe,
  chuck: Chuck,
  tailCentre: boolean,
  { plan, problems, part }: PlannedJob,
  chosen: boolean,
): Way {
  const base = {
    ...{ id: `${chuck.id}${tailCentre ? '-centre' : ''}`, kind: chuck.kind, name: chuck.name, chuckId: chuck.id },
    ...{ tailCentre, owned: true, chosen },
  };
  const error = problems.find((p) => p.severity !== 'warning');
  if (error || !plan || plan.operations.length === 0)
    return {
      ...base,
      does: false,
      reasons: [
        error
          ? {
              code: error.code,
              minutes: 0,
              values: { value: error.value ?? '', limit: error.limit ?? '', unit: error.unit ?? '' },
            }
          : { code: 'way.nothingReached', minutes: 0 },
      ],
    };
  const count = job.quantity;
  const reasons: WayReason[] = [
    { code: 'way.route', minutes: plan.minutes * count, values: { eachMin: plan.minutes, count } },
    ...chuckReasons(lathe, chuck, plan, count),
  ];
  if (!tailCentre && plan.holding.overhangDiameters > 4)
    reasons.push({
      code: 'way.overhang',
      minutes: AT_RISK_MIN / 3,
      values: { diameters: Number(plan.holding.overhangDiameters.toFixed(1)) },
    });
  const again = plan.waiting.filter((w) => w.why === 'otherEnd' || w.why === 'behindLarger').length;
  const strictMm = tightestMm(part, again > 0);
  if (strictMm !== undefined && runsAt(chuck) > strictMm)
    reasons.push({
      code: 'way.loses',
      minutes: AT_RISK_MIN,
      values: { runoutMm: runsAt(chuck), wantedMm: strictMm, count: again },
    });
  if (job.hold.choice.gripOn === 'part' && (chuck.kind === 'threeJaw' || chuck.kind === 'fourJaw'))
    reasons.push({ code: 'way.marks', minutes: 2 * count });
  return { ...base, does: true, reasons, costMin: reasons.reduce((sum, r) => sum + r.minutes, 0) };
}

/** What a chuck costs and gives besides the route: truing, changing and boring it, grip and bend that are near what is borne. */
export function chuckReasons(lathe: Lathe, chuck: Chuck, plan: Plan, count: number): WayReason[] {
  const cuts = plan.operations.filter((o) => o.loads);
  const worst = (pick: (o: (typeof cuts)[number]) => number) => Math.max(0, ...cuts.map(pick));
  const grip = worst((o) => o.loads!.gripShare);
  const bend = worst((o) => o.loads!.bendMm / o.loads!.bendAllowedMm);
  const reasons: WayReason[] = [
    { code: `way.true.${chuck.kind}`, minutes: TRUE_MIN[chuck.kind] * count, values: { runoutMm: runsAt(chuck) } },
  ];
  if (chuck.id !== chuckOf(lathe).id)
    reasons.push({ code: 'way.mount', minutes: lathe.changeMin.chuck, values: { name: chuck.name } });
  if (chuck.kind === 'soft') reasons.push({ code: 'way.boreSoft', minutes: BORE_SOFT_MIN });
  if (grip > NEAR)
    reasons.push({
      ...{ code: 'way.grip', minutes: grip > 1 ? AT_RISK_MIN : 0 },
      values: { percent: Math.round(grip * 100) },
    });
  if (bend > NEAR)
    reasons.push({
      ...{ code: 'way.bends', minutes: bend > 1 ? AT_RISK_MIN : 0 },
      values: { percent: Math.round(bend * 100) },
    });
  return reasons;
}

/** Narrowest limits of a diameter when the piece is held again: what is turned then runs out against it. */
function tightestMm(part: Part, heldAgain: boolean): number | undefined {
  if (!heldAgain) return undefined;
  const fits = outsides(part).filter((f) => f.limits.how !== 'general');
  return fits.length === 0 ? undefined : Math.min(...fits.map((f) => f.limits.upperMm - f.limits.lowerMm));
}

/** Ways that take more than a chuck: what speaks for them, what they take, and whether that is there. */
function otherWays({ part, plan, barSizes, stockMm = 0 }: PlannedJob, lathe: Lathe): Way[] {
  const { holding, sizes } = lathe;
  const hollow = insides(part).length > 0;
  const hole = throughHoleMm(part);
  const lengthMm = plan?.blank.lengthMm ?? part.lengthMm;
  const slender = part.lengthMm / Math.max(1, Math.min(...outsides(part).map((f) => f.diameterMm)));
  const overhang = plan?.holding.overhangDiameters ?? part.lengthMm / Math.max(1, stockMm);
  const takes = (ranges: readonly { readonly fromMm: number; readonly toMm: number }[], mm: number) =>
    ranges.some((r) => r.fromMm <= mm && mm <= r.toMm);
  const way = (
    kind: WayKind,
    owned: boolean,
    does: boolean,
    reasons: readonly WayReason[],
    tailCentre = false,
  ): Way => ({ id: kind, kind, owned, does, reasons, tailCentre, chosen: false });
  const tell = (code: string, values?: WayReason['values']): WayReason => ({ code, minutes: 0, values });
  const arbors = (kind: 'mandrel' | 'expandingMandrel') =>
    takes(
      (holding.arbors ?? []).filter((a) => a.kind === kind),
      hole,
    );
  const dog = takes(holding.drivers, outsides(part)[0]?.diameterMm ?? stockMm);
  const reach = Math.max(...holding.chucks.map(chuckReachMm));
  const boreIsFit = insides(part).some((b) => b.limits.how !== 'general');
  const longEnough = lengthMm <= sizes.betweenCentresMm;
  const large = barSizes ? barSizes.cornersMm : part.largestMm;
  return [
    way(
      'betweenCentres',
      holding.drivers.length > 0 && holding.centres.length > 0,
      !hollow && longEnough && dog,
      hollow
        ? [tell('way.hollowNoCentres')]
        : !longEnough
          ? [tell('way.tooLong', { lengthMm, mostMm: sizes.betweenCentresMm })]
          : !dog
            ? [tell('way.noDog', { diameterMm: outsides(part)[0]?.diameterMm ?? stockMm })]
            : [tell('way.staysTrue'), tell('way.dogInTheWay')],
      true,
    ),
    way(
      'mandrel',
      arbors('mandrel'),
      hole > 0 && boreIsFit,
      hole === 0
        ? [tell('way.noThroughHole')]
        : boreIsFit
          ? [tell('way.trueToBore', { holeMm: hole })]
          : [tell('way.boreNotFit')],
      true,
    ),
    way(
      'expandingMandrel',
      arbors('expandingMandrel'),
      hole > 0,
      hole === 0
        ? [tell('way.noThroughHole')]
        : [tell('way.trueToBore', { holeMm: hole }), tell('way.takesRoughBores')],
    ),
    way(
      'stubArbor',
      true,
      hole > 0 && part.lengthMm <= STUB_SHARE * part.largestMm,
      hole === 0
        ? [tell('way.noThroughHole')]
        : part.lengthMm > STUB_SHARE * part.largestMm
          ? [tell('way.longForArbor', { share: Number((part.lengthMm / part.largestMm).toFixed(1)) })]
          : [tell('way.arborInPlace', { holeMm: hole }), tell('way.secondFace')],
    ),
    way(
      'adhesiveArbor',
      true,
      part.lengthMm <= THIN_SHARE * part.largestMm,
      part.lengthMm <= THIN_SHARE * part.largestMm
        ? [tell('way.thinDisc', { lengthMm: part.lengthMm, diameterMm: part.largestMm }), tell('way.lightCuts')]
        : [tell('way.notThin', { share: Number((part.lengthMm / part.largestMm).toFixed(1)) })],
    ),
    way(
      'faceplate',
      holding.faceplate !== null,
      large > reach && holding.faceplate !== null && large < holding.faceplate.diameterMm * 1.1,
      large > reach
        ? [tell('way.aboveJaws', { diameterMm: large, reachMm: reach })]
        : [tell('way.jawsReach', { diameterMm: large, reachMm: reach })],
    ),
    way(
      'steady',
      takes(
        holding.rests.filter((r) => r.kind === 'steady'),
        stockMm,
      ),
      overhang > STEADY_DIAMETERS,
      overhang > STEADY_DIAMETERS
        ? [tell('way.wantsSteady', { diameters: Number(overhang.toFixed(1)) })]
        : [tell('way.standsWithout', { diameters: Number(overhang.toFixed(1)) })],
    ),
    way(
      'followingRest',
      takes(
        holding.rests.filter((r) => r.kind === 'following'),
        stockMm,
      ),
      slender > FOLLOW_DIAMETERS,
      slender > FOLLOW_DIAMETERS
        ? [tell('way.slender', { diameters: Number(slender.toFixed(1)) })]
        : [tell('way.notSlender', { diameters: Number(slender.toFixed(1)) })],
      true,
    ),
    way(
      'crossSlide',
      true,
      hollow && large > sizes.swingOverCrossSlideMm,
      hollow && large > sizes.swingOverCrossSlideMm
        ? [tell('way.doesNotSwing', { diameterMm: large, swingMm: sizes.swingOverCrossSlideMm })]
        : [tell('way.swings', { diameterMm: large, swingMm: sizes.swingOverCrossSlideMm })],
    ),
  ];
}
