import type { Lathe } from '@whelk/core/lathe';
import type { LengthUnit } from '@whelk/core/quantity';
import { exactLeadMm, type NamedThread } from '@whelk/core/thread';
import { engagesFor, hasTrains, leadSettings, startsBy, trainLabel } from '@whelk/core/threading';
import { GearTrain } from '../../desks/thread/GearTrain.tsx';
import { ThreadDial } from '../../desks/thread/ThreadDial.tsx';
import { engagesText, startText } from '../../messages/thread.ts';
import { measure } from '../../ui/format.ts';
import { FineFeed } from './FineFeed.tsx';

/** As many ways are shown. */
const MOST = 6;

/** How a lathe gives the lead, and where its half-nuts close again. */
export function OnLathe({ thread, lathe, unit }: { thread: NamedThread; lathe: Lathe; unit: LengthUnit }) {
  const lead = exactLeadMm(thread);
  const ways = leadSettings(lathe, lead).slice(0, MOST);
  const engages = engagesFor(lathe, lead);
  const told =
    engages.kind === 'marks'
      ? {
          ...{ kind: 'marks' as const, wheelTeeth: engages.wheel.teeth, marks: engages.wheel.marks },
          right: [...engages.again.marks],
        }
      : engages;
  const f = (mm: number) => measure(mm, unit, unit === 'mm' ? 3 : 4);
  return (
    <section aria-label="On the lathe" className="mt-8">
      <h2>{lathe.name}</h2>
      <div className="mt-2 grid items-start gap-x-10 gap-y-4 xl:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)]">
        {ways.length === 0 ? (
          <p className="text-lg">
            Neither its levers nor its change gears give this lead nearer than two parts in a hundred.
          </p>
        ) : (
          <table className="table text-base">
            <thead>
              <tr>
                <th scope="col">Set</th>
                <th scope="col" className="text-right">
                  off by
                </th>
                <th scope="col" className="text-right">
                  over {unit === 'mm' ? '25 mm' : '1 in'}, {unit}
                </th>
              </tr>
            </thead>
            <tbody>
              {ways.map((way) => {
                const label = way.kind === 'marked' ? way.label : trainLabel(way.train);
                return (
                  <tr key={label}>
                    <td className={way.errorPpm === 0 ? 'font-bold' : ''}>
                      {way.kind === 'train' ? 'gears ' : ''}
                      {label}
                    </td>
                    <td className="figure text-right">
                      {way.errorPpm === 0 ? 'exact' : `${Math.round(way.errorPpm)} in a million`}
                    </td>
                    <td className="figure text-right">
                      {way.errorPpm === 0 ? '' : f((way.errorPpm / 1e6) * (unit === 'mm' ? 25 : 25.4))}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        )}
        <div>
          {ways.length === 0 ? null : told.kind === 'marks' ? (
            <ThreadDial marks={told.marks} right={told.right} />
          ) : (
            <p className="text-lg font-semibold">{engagesText(told)}</p>
          )}
          {ways.length > 0 && told.kind === 'never' && (
            <p className="mt-1 max-w-lg text-base">
              At the end of each pass: stop, draw out, run back in reverse with the nuts shut, in again. Open them only
              when it is proved.
            </p>
          )}
          {thread.starts > 1 && (
            <p className="mt-2 max-w-lg text-base">
              The next start:{' '}
              {startsBy(lathe, lead, thread.starts, 1)
                .map((way) => startText(way, f, unit))
                .join(', or ')}
              .
            </p>
          )}
        </div>
      </div>
      {ways[0]?.kind === 'train' && (
        <div className="mt-4">
          <GearTrain drivers={ways[0].train.drivers} driven={ways[0].train.driven} />
        </div>
      )}
      {hasTrains(lathe) && <FineFeed lathe={lathe} />}
    </section>
  );
}
