import { type Job, materialIn, type PlannedJob, type PlannedSetup, type Shop } from '@whelk/core/job';
import { depthRing } from '@whelk/core/lathe';
import { outsides } from '@whelk/core/part';
import { stripPicture } from '@whelk/core/picture';
import type { Operation } from '@whelk/core/route';
import type { Traveller, TravellerRow } from '@whelk/core/sheet';
import { cutOffMm } from '@whelk/core/stock';
import { operationTitle } from '../../desks/operation/kinds.ts';
import { cautionText, noteText } from '../../messages/cautions.ts';
import { barText } from '../../messages/stock.ts';
import { endText, heldText } from '../../messages/words.ts';
import { aimed, feed, feedUnit, measure, minutes, ringText } from '../../ui/format.ts';
import { namesOf } from '../frame/names.ts';

/** Boxes for readings that are printed at most; a larger batch goes on on the next sheet. */
const MOST_BOXES = 60;

function numbersOf(o: Operation, setup: PlannedSetup, unit: 'mm' | 'in'): string {
  const passes = o.passes.map(
    (p) => `Ø${aimed(p.diameterAfterMm, unit)} (in ${ringText(depthRing(setup.means.lathe), p.depthMm)})`,
  );
  const limits = o.limits
    ? `limits ${measure(o.limits.lowerMm, unit)} … ${measure(o.limits.upperMm, unit)} ${unit}`
    : '';
  const stop =
    o.passes.length > 0
      ? `feed out ${aimed(setup.piece.part.lengthMm - o.zFromMm, unit)} ${unit} from the faced end`
      : '';
  return [passes.join(' · '), stop, limits].filter(Boolean).join('; ');
}

function rowOf(
  o: Operation,
  index: number,
  setup: PlannedSetup,
  job: Job,
  nameOf: (id: string | undefined) => string,
  said: Set<string>,
): TravellerRow {
  const { unit } = job.drawing;
  const { lathe, tools, instruments } = setup.means;
  const { setting } = o;
  const gauge = instruments.find((i) => i.id === o.instrumentId)?.name;
  const speed = setting ? `${setting.speedLabel}, ${setting.rpm} rpm` : '';
  const fed = setting
    ? `${setting.feedLabel ?? 'by hand'}, ${feed(setting.feedMmPerRev, lathe.unit)} ${feedUnit(lathe.unit)}`
    : '';
  // what holds for all that follows is written once
  const notes = (o.notes ?? []).map((n) => noteText(n, unit)).filter((n) => !said.has(n));
  for (const note of notes) said.add(note);
  const cautions = [cautionText(o.caution), ...notes];
  return {
    number: index + 1,
    title: operationTitle(o, { unit, name: nameOf(o.featureId), setupNumber: setup.number }),
    setting: [speed, fed].filter(Boolean).join(' · '),
    tool: tools.find((t) => t.id === o.toolId)?.name ?? gauge ?? '',
    numbers: numbersOf(o, setup, unit),
    caution: cautions.filter(Boolean).join(' '),
    boxes: o.kind === 'measure' ? Math.min(MOST_BOXES, job.quantity) : 0,
    minutes: minutes(o.minutes),
  };
}

/** What is fetched from the rack: the blanks, and what they take of the bar with all their cuts; a casting has none. */
function stockLines(job: Job, planned: PlannedJob, material: string, blank: string): readonly string[] {
  const { unit } = job.drawing;
  const each = [material, blank, `${job.quantity} off`].filter(Boolean).join(' · ');
  const left = job.quantity - (job.stock.sawn ?? 0);
  if (!planned.blank || !planned.bar || planned.bar.shape === 'casting' || left <= 0) return [each];
  const cutMm = cutOffMm(job.stock.allow, planned.blank.diameterMm);
  const allMm = left * (planned.blank.lengthMm + cutMm);
  const cuts = `${left} × ${aimed(planned.blank.lengthMm, unit)} and ${left === 1 ? 'a cut' : `${left} cuts`} of ${aimed(cutMm, unit)}`;
  return [
    each,
    `from the bar ${barText(planned.bar)}${planned.bar.note ? ` (${planned.bar.note})` : ''}: ${aimed(allMm, unit)} ${unit}, that is ${cuts}`,
  ];
}

/** What goes with a job to the lathe, worded: of each setup its strip and its operations, then what is to be fetched. */
export function travellerOf(job: Job, planned: PlannedJob, shop: Shop, date: string): Traveller {
  const nameOf = namesOf(job, planned);
  const said = new Set<string>();
  const { unit } = job.drawing;
  const lathe = shop.lathes.find((l) => l.id === job.hold.latheId)?.name ?? '';
  const material = planned.bar ? (materialIn(shop, planned.bar.materialId)?.name ?? '') : '';
  const blank = planned.blank
    ? `blank Ø${aimed(planned.blank.diameterMm, unit)} × ${aimed(planned.blank.lengthMm, unit)} ${unit}`
    : '';
  const used = new Set(planned.setups.flatMap((s) => s.plan.operations.flatMap((o) => [o.toolId, o.instrumentId])));
  const owned = (list: readonly { readonly id: string; readonly name: string }[]) =>
    list.filter((t) => used.has(t.id)).map((t) => t.name);
  return {
    title: job.title,
    facts: [
      [`${job.quantity} off`, material, blank, lathe, date].filter(Boolean).join(' · '),
      'The machine’s manual, local rules and qualified instruction come first. Nothing is measured while it turns.',
    ],
    setups: planned.setups.map((setup) => ({
      heading: `Holding ${setup.number}: ${heldText(setup)}`,
      under: `${endText(setup.setup)} · ${setup.plan.operations.length} operations, about ${minutes(setup.plan.minutes)} a piece`,
      strip: stripPicture(setup.piece.part, {
        ...{ width: 900, height: 170, textSize: 13, overall: '', besides: true },
        labels: outsides(setup.piece.part).map((f) => ({ id: f.id, text: nameOf(f.id) })),
        ...{ held: setup.plan.held, metal: setup.piece.contour },
      }),
      rows: setup.plan.operations.map((o, i) => rowOf(o, i, setup, job, nameOf, said)),
    })),
    lists: [
      { heading: 'Tools', lines: owned(shop.tools) },
      { heading: 'Gauges', lines: owned(shop.instruments) },
      { heading: 'Stock', lines: stockLines(job, planned, material, blank) },
    ].filter((l) => l.lines.length > 0),
    foot: `${job.title} · ${date}`,
    page: (number, count) => `page ${number} of ${count}`,
  };
}

/** The route as rows of a table, one an operation, its numbers in millimetres. */
export function routeRows(job: Job, planned: PlannedJob): readonly (readonly (string | number)[])[] {
  const nameOf = namesOf(job, planned);
  const { unit } = job.drawing;
  const head = [
    ...['holding', 'number', 'operation', 'kind', 'surface', 'tool', 'speed', 'rpm', 'feed', 'mm per rev', 'passes'],
    ...['last diameter mm', 'lower limit mm', 'upper limit mm', 'minutes'],
  ];
  const rows = planned.setups.flatMap((s) =>
    s.plan.operations.map((o, i) => [
      ...[s.number, i + 1, operationTitle(o, { unit, name: nameOf(o.featureId), setupNumber: s.number }), o.kind],
      ...[nameOf(o.featureId), s.means.tools.find((t) => t.id === o.toolId)?.name ?? ''],
      ...[o.setting?.speedLabel ?? '', o.setting?.rpm ?? '', o.setting ? (o.setting.feedLabel ?? 'by hand') : ''],
      ...[o.setting?.feedMmPerRev ?? '', o.passes.length, o.passes.at(-1)?.diameterAfterMm ?? ''],
      ...[o.limits?.lowerMm ?? '', o.limits?.upperMm ?? '', Number(o.minutes.toFixed(2))],
    ]),
  );
  return [head, ...rows];
}
