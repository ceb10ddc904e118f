import { inChuck, onTailCentre, turnsOver } from '@whelk/core/hold';
import { freezeJob, type Job, type PlannedJob, type PlannedSetup } from '@whelk/core/job';
import { kindOf } from '@whelk/core/route';
import { type LockChange, locksThrough } from '@whelk/core/run';
import { operationName } from '../../desks/operation/kinds.ts';
import { inUnit } from '../../messages/in-unit.ts';
import { byRule } from '../../ui/format.ts';

const slideNames: Record<LockChange['slide'], string> = {
  carriage: 'carriage',
  crossSlide: 'cross-slide',
  compound: 'compound',
  quill: 'quill',
  tailstock: 'tailstock',
};

/** What a holding is measured from, where it is held, and which locks are set and loosened in it. */
export default function AboutSetup({
  job,
  planned,
  setup,
  nameOf,
}: {
  job: Job;
  planned: PlannedJob;
  setup: PlannedSetup;
  nameOf: (featureId: string | undefined) => string;
}) {
  const { unit } = job.drawing;
  const { operations } = setup.plan;
  const held = setup.plan.held!;
  const { tail } = setup.setup;
  const frozen = freezeJob(job, planned, setup.number);
  const locks = frozen ? locksThrough(frozen) : [];
  const faced = operations.some((o) => kindOf(o.kind).makes === 'overall');
  const centre = operations.find((o) => o.kind === 'centre');
  const rest =
    held.rest?.kind === 'steady'
      ? `a steady ${byRule(setup.piece.part.lengthMm - held.rest.zMm, unit)} ${unit} from the finished end, on Ø${byRule(held.rest.onMm, unit)} ${unit}`
      : held.rest && 'a following rest behind the tool, set anew for each diameter';
  const rows: [string, string][] = [
    [
      'Datum',
      faced
        ? `the ${tail} end, faced here first: all lengths count from it${setup.number > 1 ? '; face until the whole length is right' : ''}`
        : `the ${tail} end, finished before: touch it and count from it`,
    ],
    [
      'Held',
      turnsOver(held.method)
        ? held.packMm
          ? `bolted to the cross-slide on ${inUnit(unit).len(held.packMm, 2)} of packing`
          : 'bolted straight to the cross-slide'
        : held.onId !== undefined
          ? `on ${nameOf(held.onId)}, Ø${byRule(held.onMm, unit)}, ${byRule(held.gripMm, unit)} ${unit} long`
          : setup.piece.marks.length > 0
            ? `on ${byRule(held.gripMm, unit)} ${unit} of spare stock`
            : held.gripMm > 0
              ? `by its hole, Ø${byRule(held.onMm, unit)} ${unit}${held.method === 'insideJaws' ? `, ${byRule(held.gripMm, unit)} ${unit} deep` : ': bored to size before'}`
              : 'by its face',
    ],
    ...(turnsOver(held.method)
      ? []
      : [
          [
            'Stands out',
            `${byRule(held.overhangMm, unit)} ${unit}, ${held.overhangDiameters.toFixed(1)} diameters${held.rest?.kind === 'steady' ? ' beyond the steady' : ''}`,
          ] as [string, string],
        ]),
    [
      'Centre',
      !onTailCentre(held.method) && !centre
        ? 'none'
        : centre
          ? `in the ${tail} end, drilled ${inUnit(unit).len(centre.pilotMm)} in this holding`
          : held.method === 'betweenCentres'
            ? 'in both ends, made before: clean and oil them'
            : inChuck(held.method)
              ? `in the ${tail} end, made before: clean and oil it`
              : held.method === 'mandrel'
                ? 'the mandrel’s own'
                : 'none',
    ],
    ...(held.ends ? [['Its end', endText(setup, unit)] as [string, string]] : []),
    ...(rest ? [['Rest', rest] as [string, string]] : []),
    ['Locks', locks.length === 0 ? 'none to set' : lockText(locks)],
  ];
  return (
    <dl className="mt-3 grid grid-cols-[6.5rem_1fr] gap-x-3 gap-y-1">
      {rows.map(([name, text]) => (
        <div key={name} className="contents">
          <dt className="muted text-sm">{name}</dt>
          <dd>{text}</dd>
        </div>
      ))}
    </dl>
  );
}

/** How a long end is carried while it is faced and centred. */
function endText({ plan, piece }: PlannedSetup, unit: Job['drawing']['unit']): string {
  const ends = plan.held!.ends!;
  return ends.kind === 'drawnBack'
    ? `faced and centred drawn back through the spindle, ${byRule(ends.outMm, unit)} ${unit} standing out`
    : `faced and centred in a steady, ${byRule(piece.part.lengthMm - ends.zMm, unit)} ${unit} from the finished end`;
}

/** Locks in the order of the work: what is set and loosened before which operation. */
function lockText(locks: readonly LockChange[]): string {
  const lines = new Map<string, { kind: LockChange['kind']; set: string[]; loose: string[] }>();
  for (const lock of locks) {
    const line = lines.get(lock.operationId) ?? { kind: lock.kind, set: [], loose: [] };
    (lock.set ? line.set : line.loose).push(slideNames[lock.slide]);
    lines.set(lock.operationId, line);
  }
  const few = [...lines.values()];
  const shown = few.slice(0, MOST_LOCKS).map(({ kind, set, loose }) => {
    const parts = [
      set.length > 0 ? `set ${set.join(' and ')}` : '',
      loose.length > 0 ? `loosen ${loose.join(' and ')}` : '',
    ];
    return `${operationName(kind).toLowerCase().split(',')[0]}: ${parts.filter(Boolean).join(', ')}`;
  });
  return `${shown.join('; ')}${few.length > MOST_LOCKS ? `; ${few.length - MOST_LOCKS} more on the way` : ''}`;
}
const MOST_LOCKS = 6;
