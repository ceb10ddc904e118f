import { HOLD_METHODS, runsAt, type Setup } from '../hold/index.ts';
import { type Chuck, chuckOf, type Lathe } from '../lathe/index.ts';
import { outsides } from '../part/index.ts';
import { acrossMm } from './concentric.ts';
import { planJob } from './plan-job.ts';
import type { Job, Shop } from './schema.ts';
import type { PlannedSetup } from './setups.ts';
import { AT_RISK_MIN, type Way, type WayReason } from './way.ts';
import { chuckReasons } from './ways.ts';

/** Marks on finished work are dressed out, minutes a piece, where nothing goes between. */
const MARKS_MIN = 2;

/**
 * All ways of holding a piece again in one of its later holdings, best first: every chuck with and without the tail centre, between
 * centres, by the hole, on a face. Each is compared by what can be cut in it, planned anew.
 * @param number of the holding, 2 for the first that comes again
 */
export function waysAgain(job: Job, shop: Shop, number: number): readonly Way[] {
  const lathe = shop.lathes.find((l) => l.id === job.hold.latheId);
  const now = job.hold.further?.[number - 2];
  if (!lathe || !now) return [];
  const planned = planJob(job, shop).setups[number - 1];
  const tried = (method: Setup['method'], chuckId: string | undefined) => {
    const further = job.hold.further!.map((s, i) => (i === number - 2 ? { ...s, method, chuckId } : s));
    const again = planJob({ ...job, hold: { ...job.hold, further } }, shop);
    return { setup: again.setups[number - 1], across: acrossMm(again.setups, number, 1) };
  };
  const chosen = planned?.plan.holding.method;
  const chosenId = chuckOf(lathe, now.chuckId).id;
  const inChucks = lathe.holding.chucks.flatMap((chuck) =>
    (['chuck', 'chuckAndCentre'] as const).map((method) => {
      const { setup, across } = tried(method, chuck.id);
      const head = {
        ...{ id: `${chuck.id}${method === 'chuckAndCentre' ? '-centre' : ''}`, kind: chuck.kind, name: chuck.name },
        ...{ chuckId: chuck.id, tailCentre: method === 'chuckAndCentre', owned: true, method },
        chosen: chuck.id === chosenId && chosen === method,
      };
      return wayOf(job, head, setup, across, { lathe, chuck });
    }),
  );
  const others = HOLD_METHODS.filter((m) => m !== 'chuck' && m !== 'chuckAndCentre').map((method) => {
    const { setup, across } = tried(method, now.chuckId);
    const lacks = setup?.problems.find(
      (p) => p.code === 'hold.noArbor' || p.code === 'hold.noFaceplate' || p.code === 'hold.noDog',
    );
    const head = {
      ...{ id: method, kind: method, method, owned: lacks === undefined, chosen: chosen === method },
      tailCentre: method === 'betweenCentres' || method === 'mandrel',
    };
    return wayOf(job, head, setup, across);
  });
  const rank = (way: Way) => (way.does ? 0 : 1) + (way.owned ? 0 : 4);
  return [...inChucks, ...others].toSorted(
    (a, b) => rank(a) - rank(b) || (a.costMin ?? 1e6) - (b.costMin ?? 1e6) || a.reasons.length - b.reasons.length,
  );
}

function wayOf(
  job: Job,
  head: Omit<Way, 'does' | 'reasons'>,
  setup: PlannedSetup | undefined,
  across: number,
  inChuck?: { readonly lathe: Lathe; readonly chuck: Chuck },
): Way {
  const error = setup?.problems.find((p) => p.severity !== 'warning');
  const cut = setup?.plan.operations.filter((o) => o.kind !== 'mount') ?? [];
  if (error || !setup || cut.length === 0)
    return {
      ...head,
      does: false,
      reasons: [
        error
          ? {
              ...{ code: error.code, minutes: 0 },
              values: { value: error.value ?? '', limit: error.limit ?? '', unit: error.unit ?? '' },
            }
          : { code: 'way.nothingReached', minutes: 0 },
      ],
    };
  const { plan } = setup;
  const chuck = inChuck?.chuck;
  const count = job.quantity;
  const reasons: WayReason[] = [
    { code: 'way.route', minutes: plan.minutes * count, values: { eachMin: plan.minutes, count } },
    ...(inChuck ? chuckReasons(inChuck.lathe, inChuck.chuck, plan, count) : []),
    {
      code: chuck ? 'way.across' : `way.across.${head.kind}`,
      minutes: 0,
      values: { runoutMm: chuck ? Math.max(across, runsAt(chuck)) : across },
    },
  ];
  const closest = Math.min(
    ...outsides(setup.part)
      .filter((f) => f.limits.how !== 'general' && plan.operations.some((o) => o.featureId === f.id))
      .map((f) => f.limits.upperMm - f.limits.lowerMm),
  );
  if (across > closest)
    reasons.push({
      ...{ code: 'way.loses', minutes: AT_RISK_MIN },
      values: { runoutMm: across, wantedMm: closest, count: 1 },
    });
  if ((setup.setup?.protect ?? 'none') === 'none' && chuck && chuck.kind !== 'soft' && chuck.kind !== 'collet')
    reasons.push({ code: 'way.marks', minutes: MARKS_MIN * count });
  const left = plan.waiting.filter((w) => w.what === 'feature' && w.why === 'inJaws').length;
  if (left > 0) reasons.push({ code: 'way.leaves', minutes: 10 * count, values: { count: left } });
  return { ...head, does: true, reasons, costMin: reasons.reduce((total, r) => total + r.minutes, 0) };
}
