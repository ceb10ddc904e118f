import {
  FREE_DIAMETERS,
  HOLD_METHODS,
  type HoldMethod,
  heldBy,
  helpedByHolding,
  inChuck,
  JAW_METHODS,
  onTailCentre,
  runsAt,
  type Setup,
  turnsOver,
} from '../hold/index.ts';
import { type Chuck, chuckOf, type Lathe } from '../lathe/index.ts';
import { insides, outsides, type Part, surfaceOf } from '../part/index.ts';
import type { Plan } from '../route/index.ts';
import { acrossMm } from './concentric.ts';
import { BORE_SOFT_MIN, trueMin, unevenMin } from './hold-costs.ts';
import { otherWays } from './other-ways.ts';
import { type PlannedJob, planJob } from './plan-job.ts';
import type { Job, Shop } from './schema.ts';
import type { PlannedSetup } from './setups.ts';
import { AT_RISK_MIN, WAY_CODES, type Way, type WayKind, type WayReason } from './way.ts';

/** Above this share of what jaws or work bear a cut is watched. */
const NEAR = 0.8;
/** Overhang in diameters beyond which a steady, and slenderness beyond which a following rest, is wanted. FIELD 2 */
const STEADY_DIAMETERS = 10;
const FOLLOW_DIAMETERS = 12;

/** Marks on finished work are dressed out, minutes a piece, where nothing goes between. */
const MARKS_MIN = 2;

/**
 * All ways of holding a piece in one of its setups, best first. Chucks with and without the tail centre are compared by what can be cut,
 * planned anew with each, for all pieces; of later setups the ways without jaws too. What is not owned comes last.
 * @param number of the setup, 1 for the first
 * @returns none while the job cannot be planned for want of lathe, bar or drawing
 */
export function waysOfHolding(job: Job, shop: Shop, number = 1): readonly Way[] {
  const lathe = shop.lathes.find((l) => l.id === job.hold.latheId);
  const now = job.hold.setups[number - 1];
  const planned = planJob(job, shop, undefined, { upTo: number });
  if (!lathe || !now || !planned.barSizes || outsides(planned.part).length === 0) return [];
  const chosen = planned.setups[number - 1];
  const { setups: known } = planned;
  const tried = (setup: Setup): PlannedJob =>
    planJob(
      { ...job, hold: { ...job.hold, setups: job.hold.setups.with(number - 1, setup) as Job['hold']['setups'] } },
      shop,
      undefined,
      { known, upTo: number },
    );
  const method = chosen?.plan.held?.method;
  const inChucks = lathe.holding.chucks.flatMap((chuck) =>
    (['chuck', 'chuckAndCentre'] as const).map((by) => {
      const held = heldBy(now, by);
      const grip = held.grip.kind === 'jaws' ? { ...held.grip, chuckId: chuck.id } : held.grip;
      const head = {
        ...{ id: `${chuck.id}${by === 'chuckAndCentre' ? '-centre' : ''}`, kind: chuck.kind, name: chuck.name },
        ...{ chuckId: chuck.id, tailCentre: by === 'chuckAndCentre', owned: true, method: by },
        chosen: chosen?.chuck.id === chuck.id && method === by,
      };
      return plannedWay(job, head, tried({ ...held, grip }), number, { lathe, chuck });
    }),
  );
  const byMeans = (number === 1 ? FIRST : HOLD_METHODS).flatMap((by): TriedWay[] => {
    if (by === 'chuck' || by === 'chuckAndCentre') return [];
    // what turns in the work wants a hole to turn in
    if (turnsOver(by) && insides(planned.part).length === 0) return [];
    const again = tried(heldBy(now, by));
    const owned = !again.problems.some((p) => LACKING.includes(p.code));
    const head = { id: by, kind: by, method: by, owned, chosen: method === by, tailCentre: onTailCentre(by) };
    const chuckOn = inChuck(by) ? { lathe, chuck: again.setups[number - 1]?.chuck ?? chuckOf(lathe) } : undefined;
    return [plannedWay(job, head, again, number, chuckOn)];
  });
  const ways = [
    ...leftCharged([...inChucks, ...byMeans], job.quantity),
    ...(number === 1 ? otherWays(planned, lathe) : []),
  ];
  const rank = (way: Way) => (way.does ? 0 : 1) + (way.owned ? 0 : 4);
  return ways.toSorted(
    (a, b) => rank(a) - rank(b) || (a.costMin ?? 1e6) - (b.costMin ?? 1e6) || a.reasons.length - b.reasons.length,
  );
}
/** Ways that a piece is held in first, planned in full; of the others it is said what speaks for them. */
const FIRST: readonly HoldMethod[] = [...JAW_METHODS, 'barOverSlide', 'headOverSlide'];
/** What says that a way takes something that the shop has not got. */
const LACKING = [
  'hold.noRest',
  'hold.noStep',
  'hold.jawsInsideUnknown',
  'hold.noArbor',
  'hold.noFaceplate',
  'hold.noDog',
  'hold.noSlots',
  'hold.noTurningBar.centres',
  'hold.noTurningBar.head',
];

/** A way with what is finished in it, and how long its route takes a piece. */
interface TriedWay {
  readonly way: Way;
  readonly made: readonly string[];
  readonly eachMin: number;
}

/** To put a piece in once more for what is left costs about so long, minutes. */
const ANOTHER_MIN = 10;

/**
 * What one way leaves and another one cuts has to be cut all the same: each is charged with a further holding, and the time by which the
 * quickest of those that cut most takes longer.
 */
function leftCharged(tried: readonly TriedWay[], count: number): readonly Way[] {
  const good = tried.filter(({ way }) => way.does && way.owned);
  const most = Math.max(0, ...good.map((t) => t.made.length));
  const fullest = good.filter((t) => t.made.length === most).toSorted((a, b) => a.eachMin - b.eachMin)[0];
  return tried.map(({ way, made, eachMin }) => {
    const left = (fullest?.made ?? []).filter((id) => !made.includes(id)).length;
    if (!way.does || left === 0) return way;
    const minutes = (ANOTHER_MIN + Math.max(0, fullest!.eachMin - eachMin)) * count;
    const reasons: readonly WayReason[] = [...way.reasons, { code: 'way.leaves', minutes, values: { count: left } }];
    return { ...way, reasons, costMin: (way.costMin ?? 0) + minutes };
  });
}

/** A way as its own plan shows it. */
function plannedWay(
  job: Job,
  head: Omit<Way, 'does' | 'reasons'>,
  planned: PlannedJob,
  number: number,
  inChuck?: { readonly lathe: Lathe; readonly chuck: Chuck },
): TriedWay {
  const setup = planned.setups[number - 1];
  // what is wrong with another setup does not speak against this way
  const error = (number === 1 ? planned.problems : (setup?.problems ?? [])).find((p) => p.severity !== 'warning');
  const cut = setup?.plan.operations.filter((o) => o.kind !== 'mount') ?? [];
  if (error || !setup || cut.length === 0) {
    const values = { value: error?.value ?? '', limit: error?.limit ?? '', unit: error?.unit ?? '' };
    const why: WayReason = error
      ? { code: error.code, minutes: 0, values }
      : { code: 'way.nothingReached', minutes: 0 };
    return { way: { ...head, does: false, reasons: [why] }, made: [], eachMin: 0 };
  }
  const { plan } = setup;
  const count = job.quantity;
  const reasons: WayReason[] = [
    { code: 'way.route', minutes: plan.minutes * count, values: { eachMin: plan.minutes, count } },
    ...(inChuck ? chuckReasons(inChuck.lathe, inChuck.chuck, plan, count) : []),
    ...restReasons(setup, planned.part),
    ...pressedReasons(setup),
    ...(number === 1
      ? firstReasons(planned, setup, head.tailCentre, inChuck?.chuck, count)
      : laterReasons(planned, setup, head.kind, inChuck?.chuck, count)),
  ];
  const { finished } = plan.after;
  return {
    way: { ...head, does: true, reasons, costMin: reasons.reduce((total, r) => total + r.minutes, 0) },
    // a centre hole that the drawing does not ask for is none of what is wanted
    made: Object.keys(finished).filter((id) => finished[id]!.setup === number && surfaceOf(planned.part, id)),
    eachMin: plan.minutes,
  };
}

/** What jaws do to thin work: it is bored lobed, or they may be tightened a little only. */
function pressedReasons({ problems }: PlannedSetup): WayReason[] {
  return problems.flatMap(({ code, value = '', limit = '', unit = '' }): WayReason[] =>
    code === 'hold.lobes' || code === 'hold.tightenLess'
      ? [{ code, minutes: code === 'hold.lobes' ? AT_RISK_MIN : 0, values: { value, limit, unit } }]
      : [],
  );
}

/** Whether a rest is wanted at all: by what stands out, or by how slender the part is. */
function restReasons({ plan: { held } }: PlannedSetup, part: Part): WayReason[] {
  const told = (code: WayReason['code'], diameters: number): WayReason[] => [
    { code, minutes: 0, values: { diameters: Number(diameters.toFixed(1)) } },
  ];
  if (held?.rest?.kind === 'steady') {
    const out = held.overhangMm / held.onMm;
    return told(out > STEADY_DIAMETERS ? 'way.wantsSteady' : 'way.standsWithout', out);
  }
  if (held?.rest?.kind !== 'following') return [];
  const slender = part.lengthMm / Math.max(1, Math.min(...outsides(part).map((f) => f.diameterMm)));
  return told(slender > FOLLOW_DIAMETERS ? 'way.slender' : 'way.notSlender', slender);
}

/** What speaks for and against a chuck for the bar's piece, beside its route. */
function firstReasons(
  { part, problems }: PlannedJob,
  { plan, setup }: PlannedSetup,
  tailCentre: boolean,
  chuck: Chuck | undefined,
  count: number,
): WayReason[] {
  const reasons: WayReason[] = [];
  const out = plan.held?.overhangDiameters ?? 0;
  if (!tailCentre && out > FREE_DIAMETERS)
    reasons.push({ code: 'way.overhang', minutes: AT_RISK_MIN / 3, values: { diameters: Number(out.toFixed(1)) } });
  // diameters that are turned in another holding; an end that is only faced there runs as it will
  const lengths = new Set([...outsides(part), ...insides(part)].map((f) => f.id));
  const again = plan.waiting.filter((w) => helpedByHolding(w) && lengths.has(w.id)).length;
  // where nothing is turned yet there is nothing that the rest could run out against
  const turnsHere = plan.operations.some((o) => o.passes.length > 0);
  const strictMm = tightestMm(part, turnsHere && again > 0);
  if (chuck && strictMm !== undefined && runsAt(chuck) > strictMm)
    reasons.push({
      ...{ code: 'way.loses', minutes: AT_RISK_MIN },
      values: { runoutMm: runsAt(chuck), wantedMm: strictMm, count: again },
    });
  const on = plan.held?.onId;
  // what is still to be turned bears marks
  const stays = plan.waiting.every((w) => w.id !== on || w.why === 'asBar');
  const onPart = setup.grip.kind === 'jaws' && setup.grip.on !== 'spare';
  if (problems.some((p) => p.code === 'hold.castingUneven'))
    reasons.push({ code: 'hold.castingUneven', minutes: unevenMin(count) });
  if (onPart && stays && (chuck?.kind === 'threeJaw' || chuck?.kind === 'fourJaw'))
    reasons.push({ code: 'way.marks', minutes: MARKS_MIN * count });
  return reasons;
}

/** What speaks for and against a way of holding a piece again: what it runs out, what it marks, what it leaves. */
function laterReasons(
  { setups }: PlannedJob,
  { number, piece, plan, setup }: PlannedSetup,
  kind: WayKind,
  chuck: Chuck | undefined,
  count: number,
): WayReason[] {
  const across = acrossMm(setups, number, 1);
  const reasons: WayReason[] = [
    {
      // a chuck of any kind runs out as it does
      code: WAY_CODES.find((c) => c === `way.across.${kind}`) ?? 'way.across',
      ...{ minutes: 0, values: { runoutMm: chuck ? Math.max(across, runsAt(chuck)) : across } },
    },
  ];
  const closest = Math.min(
    ...outsides(piece.part)
      .filter((f) => f.limits.how !== 'general' && plan.operations.some((o) => o.featureId === f.id))
      .map((f) => f.limits.upperMm - f.limits.lowerMm),
  );
  if (across > closest)
    reasons.push({
      ...{ code: 'way.loses', minutes: AT_RISK_MIN },
      values: { runoutMm: across, wantedMm: closest, count: 1 },
    });
  const bare = setup.grip.kind === 'jaws' && (setup.grip.protect ?? 'none') === 'none';
  if (bare && chuck && chuck.kind !== 'soft' && chuck.kind !== 'collet')
    reasons.push({ code: 'way.marks', minutes: MARKS_MIN * count });
  return reasons;
}

/** What a chuck costs and gives besides the route: truing, changing and boring it, grip and bend that are near what is borne. */
function chuckReasons(lathe: Lathe, chuck: Chuck, plan: Plan, count: number): WayReason[] {
  const cuts = plan.operations.filter((o) => o.loads);
  const worst = (pick: (o: (typeof cuts)[number]) => number) => Math.max(0, ...cuts.map(pick));
  const grip = worst((o) => o.loads!.gripShare);
  const bend = worst(({ loads }) => (loads!.bendMm ?? 0) / (loads!.bendAllowedMm ?? 1));
  const reasons: WayReason[] = [
    { code: `way.true.${chuck.kind}`, minutes: trueMin(chuck, count), values: { runoutMm: runsAt(chuck) } },
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
