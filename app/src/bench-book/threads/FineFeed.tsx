import type { Lathe } from '@whelk/core/lathe';
import { parseLength } from '@whelk/core/quantity';
import { trainLabel, trainsFor } from '@whelk/core/threading';
import { useState } from 'react';
import { GearTrain } from '../../desks/thread/GearTrain.tsx';
import { feed, feedUnit } from '../../ui/format.ts';

const MOST = 4;

/** A fine feed by change gears and leadscrew: the trains that come nearest to what is wanted. */
export function FineFeed({ lathe }: { lathe: Lathe }) {
  const [text, setText] = useState(lathe.unit === 'mm' ? '0.1' : '0.005');
  const read = parseLength(text, lathe.unit);
  const trains = read.ok && read.mm.valueOf() > 0 ? trainsFor(lathe, read.mm, MOST) : [];
  const [best] = trains;
  return (
    <div className="mt-6">
      <h3 className="text-lg">A fine feed by its gears</h3>
      <div className="mt-2 grid items-start gap-x-10 gap-y-4 xl:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <div>
          <label className="text-sm">
            Wanted, {feedUnit(lathe.unit)}
            <input
              className="input mt-0.5 flex h-12 w-40"
              value={text}
              onChange={(e) => setText(e.target.value)}
              inputMode="decimal"
              data-field="fine-feed"
              aria-invalid={!read.ok}
            />
          </label>
          {trains.length === 0 ? (
            <p className="mt-2 max-w-md text-base">
              No train of its gears, one pair or two, gives that within two parts in a hundred: the finest is{' '}
              {finestText(lathe)}.
            </p>
          ) : (
            <ul className="mt-2 text-base">
              {trains.map((train) => (
                <li key={trainLabel(train)}>
                  gears <b>{trainLabel(train)}</b>:{' '}
                  {feed(read.ok ? read.mm.valueOf() * (1 + train.errorPpm / 1e6) : 0, lathe.unit)}{' '}
                  {feedUnit(lathe.unit)}
                </li>
              ))}
            </ul>
          )}
        </div>
        {best && <GearTrain drivers={best.drivers} driven={best.driven} />}
      </div>
    </div>
  );
}

/** The finest feed that two pairs give: the two smallest drive the two largest. */
function finestText(lathe: Lathe): string {
  const gears = lathe.threads.gears.toSorted((a, b) => a - b);
  const screw = parseLength(lathe.threads.leadscrewLead.text, lathe.threads.leadscrewLead.unit);
  if (!screw.ok || gears.length < 4) return 'not known';
  const [a, b, c, d] = [gears[0]!, gears[1]!, gears.at(-1)!, gears.at(-2)!];
  return `about ${feed((screw.mm.valueOf() * a * b) / (c * d), lathe.unit)} ${feedUnit(lathe.unit)}`;
}
