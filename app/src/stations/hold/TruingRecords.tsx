import type { Job } from '@whelk/core/job';
import type { Lathe } from '@whelk/core/lathe';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { amount } from '../../desks/truing/readings.ts';
import { deskNames, TruingDesk } from '../../desks/truing/TruingDesk.tsx';

type Record = NonNullable<Job['hold']['truings']>[number];
interface Props {
  readonly job: Job;
  readonly lathe: Lathe | undefined;
  readonly betweenMm: number | undefined;
  readonly runoutMm: number;
  readonly onRecords: (records: readonly Record[]) => void;
}
const names: { readonly [K in Record['what']]: string } = { ...deskNames, bedTwist: 'Tailstock and bed' };

/** Truing for this job: the helpers, and what was kept of them. */
export default function TruingRecords({ job, lathe, betweenMm, runoutMm, onRecords }: Props) {
  const { unit } = job.drawing;
  const records = job.hold.truings ?? [];
  const [mayUndo, setMayUndo] = useState<Record>();
  const add = (record: Omit<Record, 'id' | 'at' | 'latheId'>) =>
    onRecords(
      [
        ...records,
        { ...record, id: crypto.randomUUID(), at: new Date().toISOString(), latheId: job.hold.latheId },
      ].slice(-100),
    );
  const typedIn = (mm: number) =>
    unit === 'mm' ? { text: mm.toFixed(3), unit } : { text: (mm / 25.4).toFixed(4), unit };
  const told = (r: Record) =>
    r.what === 'tailstock'
      ? `moved ${amount(Math.abs(r.resultMm), unit)} ${r.resultMm > 0 ? 'towards the tool' : r.resultMm < 0 ? 'away from the tool' : '(it stood well)'}`
      : r.what === 'bedTwist'
        ? `the carriage ran ${amount(Math.abs(r.resultMm), unit)} ${r.resultMm > 0 ? 'away from' : 'towards'} the axis`
        : `runs out ${amount(r.resultMm, unit)} after ${r.rounds.length - 1} ${r.rounds.length === 2 ? 'round' : 'rounds'}`;
  return (
    <>
      <TruingDesk
        chucks={lathe?.holding.chucks ?? []}
        unit={unit}
        wholeMm={betweenMm}
        axisHighMm={lathe && lathe.sizes.swingOverBedMm / 2}
        usualWantedMm={runoutMm}
        onJaws={(what, chuckId, { rounds, wanted, leftMm }) =>
          add({
            ...{ what, chuckId, wanted, resultMm: Number(leftMm.toFixed(4)), note: '' },
            rounds: rounds as Record['rounds'],
          })
        }
        onTailstock={({ what, wantedMm, movedMm, note }) =>
          add({
            ...{ what, chuckId: null, rounds: [], note },
            wanted: typedIn(wantedMm),
            resultMm: Number(movedMm.toFixed(4)),
          })
        }
      />
      {(records.length > 0 || mayUndo) && (
        <>
          <h3 className="mt-6 font-bold">Kept with this job</h3>
          <ul className="rows">
            {records.map((r) => (
              <li key={r.id} className="flex items-center gap-3 py-1">
                <span className="flex-1">
                  <b>{names[r.what]}</b>: {told(r)}
                  {r.note && <span className="muted"> · {r.note}</span>}
                  <span className="muted text-sm"> · {r.at.slice(0, 10)}</span>
                </span>
                <button
                  type="button"
                  className="quiet p-2"
                  aria-label={`Remove ${names[r.what]} of ${r.at.slice(0, 10)}`}
                  onClick={() => {
                    setMayUndo(r);
                    onRecords(records.filter((other) => other.id !== r.id));
                  }}
                >
                  <Trash2 size={17} />
                </button>
              </li>
            ))}
          </ul>
          {mayUndo && (
            <p role="status" className="notice mt-2 rounded">
              Removed.{' '}
              <button
                type="button"
                className="link font-bold"
                onClick={() => {
                  onRecords([...records, mayUndo]);
                  setMayUndo(undefined);
                }}
              >
                Undo
              </button>
            </p>
          )}
        </>
      )}
    </>
  );
}
