import type { Job, Shop, Way } from '@whelk/core/job';
import { useState } from 'react';
import { reasonText, wayName } from '../../messages/ways.ts';
import { minutes } from '../../ui/format.ts';
import { useUnit } from '../../ui/unit.ts';
import { OtherEnd } from './OtherEnd.tsx';
import { useWays } from './useWays.ts';

/** How many that do not do are shown before the rest is asked for. */
const SHOWN = 3;

/** Ways of holding this part on this lathe in order of merit, each with its reasons and what they cost. */
export default function Proposals({
  job,
  shop,
  number,
  onHold,
  onTail,
}: {
  job: Job;
  shop: Shop;
  /** of the holding, 1 for the first */
  number: number;
  onHold: (way: Way) => void;
  /** the end of the drawing that stands at the tailstock first */
  onTail: (tail: 'left' | 'right') => void;
}) {
  const pageUnit = useUnit();
  const ways = useWays(job, shop, number);
  const [all, setAll] = useState(false);
  if (!ways) return <p className="muted">Comparing the ways…</p>;
  const good = ways.filter((w) => w.does && w.owned);
  const rest = ways.filter((w) => !(w.does && w.owned));
  if (ways.length === 0) return <p className="muted">Choose a lathe and a bar: the ways to hold it follow.</p>;
  return (
    <>
      {number === 1 && <OtherEnd job={job} shop={shop} onTail={onTail} />}
      <ol className="rows" aria-label="Ways of holding, best first">
        {good.map((way, i) => (
          <Row key={way.id} way={way} place={i + 1} best={good[0]!} onHold={onHold} />
        ))}
      </ol>
      <h3 className="mt-4 font-bold">Not for this part, or not owned</h3>
      <ul className="rows" aria-label="Other ways">
        {(all ? rest : rest.slice(0, SHOWN)).map((way) => (
          <li key={way.id} className="py-1.5">
            <b>{wayName(way)}</b>{' '}
            <span className="muted">
              {way.does ? '▲ would do, not owned: ' : way.owned ? '✕ ' : '✕ not owned; '}
              {way.reasons.map((r) => reasonText(r, pageUnit)).join('; ')}
            </span>
          </li>
        ))}
      </ul>
      {rest.length > SHOWN && (
        <button type="button" className="quiet mt-1 text-sm" onClick={() => setAll(!all)}>
          {all ? 'Fewer' : `All ${rest.length}`}
        </button>
      )}
    </>
  );
}

function Row({ way, place, best, onHold }: { way: Way; place: number; best: Way; onHold: (way: Way) => void }) {
  const pageUnit = useUnit();
  return (
    <li
      className={`flex flex-wrap items-start gap-x-4 gap-y-1 px-2 py-2 ${way.chosen ? 'bg-[var(--brass-soft)]' : ''}`}
    >
      <div className="min-w-72 flex-1">
        <b className="text-lg">
          {place}. {wayName(way)}
        </b>
        {way.costMin !== undefined && (
          <span className="muted">
            {' '}
            · {minutes(way.costMin)} in all
            {best.costMin !== undefined && way.costMin - best.costMin >= 1
              ? `, ${minutes(way.costMin - best.costMin)} more than the first`
              : ''}
          </span>
        )}
        <ul>
          {way.reasons.map((r) => (
            <li key={r.code} className="text-[0.95rem]">
              {reasonText(r, pageUnit)}
              {r.minutes >= 0.5 && <span className="muted"> · {minutes(r.minutes)}</span>}
            </li>
          ))}
        </ul>
      </div>
      {way.chuckId || way.method ? (
        way.chosen ? (
          <span className="self-center font-bold">✓ held so</span>
        ) : (
          <button
            type="button"
            className="btn btn-sm h-11 self-center"
            aria-label={`Hold it so: ${wayName(way)}`}
            onClick={() => onHold(way)}
          >
            Hold it so
          </button>
        )
      ) : null}
    </li>
  );
}
