import type { Setup } from '@whelk/core/hold';
import type { Alternative, Job, Shop } from '@whelk/core/job';
import type { Remote } from 'comlink';
import { useCallback, useState } from 'react';
import { endText, methodText } from '../../messages/words.ts';
import { byRule, measure, minutes } from '../../ui/format.ts';
import type { WaysApi } from '../../workers/ways.ts';
import { waysDoor } from '../frame/ways-door.ts';
import { useAnswer } from '../frame/worker-door.ts';

interface Props {
  readonly job: Job;
  readonly shop: Shop;
  readonly onTake: (setups: readonly Setup[]) => void;
}

/** Other courses of work, each planned to its end off the page's own thread: compared when asked, taken by one click. */
export function Courses(props: Props) {
  const [open, setOpen] = useState(false);
  return (
    <details className="px-5 pb-3" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="cursor-pointer py-1">
        <b>Other ways to make it</b>: either end first, other chucks, between centres, on a mandrel
      </summary>
      {open && <Compared {...props} />}
    </details>
  );
}

const holdingsText = ({ holdings }: Alternative): readonly string[] =>
  holdings.map(({ setup, chuck, method }, i) => {
    const jaws = setup.grip.kind === 'jaws';
    const on = !jaws || i > 0 ? '' : setup.grip.on === 'spare' ? ' on spare stock' : ' on the part itself';
    return `${methodText(chuck.name, method)}${on}, ${endText(setup)}`;
  });

function Compared({ job, shop, onTake }: Props) {
  const found = useAnswer(
    waysDoor,
    useCallback((door: Remote<WaysApi>) => door.courses(job, shop), [job, shop]),
  );
  const { unit } = job.drawing;
  if (!found) return <p className="muted py-2">Each is planned to its end…</p>;
  if (found.length < 2) return <p className="muted py-2">No other way makes as much of it on this lathe.</p>;
  const fewest = Math.min(...found.map((a) => a.leftCount));
  return (
    <div className="overflow-x-auto">
      <table className="table table-sm">
        <caption className="visually-hidden">Ways to make it, the cheapest first</caption>
        <thead>
          <tr>
            <th scope="col">Held, one after another</th>
            <th scope="col" className="text-right">
              {job.quantity === 1 ? 'Time' : `Time, ${job.quantity} pieces`}
            </th>
            <th scope="col" className="text-right">
              Close sizes run out, {unit}
            </th>
            <th scope="col" className="text-right">
              Measured
            </th>
            <th scope="col" className="text-right">
              Of what is borne
            </th>
            <th scope="col" className="text-right">
              Bar a piece, {unit}
            </th>
            <th scope="col">
              <span className="visually-hidden">Take it</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {found.map((a) => (
            <tr key={a.key} className={a.chosen ? 'bg-[var(--bench)] font-semibold' : ''}>
              <th scope="row" className="font-normal">
                <ol className="list-inside list-decimal">
                  {holdingsText(a).map((text) => (
                    <li key={text}>{text}</li>
                  ))}
                </ol>
                {a.lostCount > 0 && (
                  <span className="field-warning block">
                    ▲ {a.lostCount === 1 ? 'one truth' : `${a.lostCount} truths`} that the drawing asks for is not kept
                  </span>
                )}
                {a.leftCount > fewest && (
                  <span className="field-warning block">▲ leaves more unmade than the others</span>
                )}
              </th>
              <td className="whitespace-nowrap text-right">{minutes(a.minutes)}</td>
              <td className="text-right">
                {a.runoutMm === 0 ? 'in one holding' : measure(a.runoutMm, unit, unit === 'mm' ? 2 : 3)}
              </td>
              <td className="text-right">{a.measureCount} ×</td>
              <td className="text-right">{Math.round(a.nearestShare * 100)} %</td>
              <td className="text-right">{byRule(a.stockMm, unit)}</td>
              <td>
                {a.chosen ? (
                  'as planned'
                ) : (
                  <button type="button" className="btn btn-sm" onClick={() => onTake(a.setups)}>
                    Take this one
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="muted text-sm">
        Time counts putting in, bringing true and changing chucks. Of what is borne: the nearest that any cut comes to
        what jaws, motor or work bear.
      </p>
    </div>
  );
}
