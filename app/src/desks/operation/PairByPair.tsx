import { type ReactNode, useEffect, useId, useState } from 'react';

/** Where a hand is in its pairs of numbers: kept for this tab, so that a page that is loaded again goes on there. */
function usePlace(key: string, count: number): readonly [number, (place: number) => void] {
  const [place, setPlace] = useState(0);
  // after the first paint, which is the server's: it does not know this tab
  useEffect(() => {
    const kept = Number(sessionStorage.getItem(key) ?? 0);
    if (Number.isInteger(kept) && kept > 0 && kept < count) setPlace(kept);
  }, [key, count]);
  return [
    place,
    (next) => {
      sessionStorage.setItem(key, String(next));
      setPlace(next);
    },
  ];
}

/** Pairs of numbers that are set one after the other: the one that is next, large, and all of them under it. */
export function PairByPair({
  keptAs,
  heads,
  rows,
  picture,
}: {
  readonly keptAs: string;
  /** what each number of a pair is */
  readonly heads: readonly string[];
  readonly rows: readonly (readonly string[])[];
  readonly picture: (place: number) => ReactNode;
}) {
  const [place, setPlace] = usePlace(keptAs, rows.length);
  const id = useId();
  const now = rows[place] ?? [];
  return (
    <div className="grid gap-x-8 gap-y-3 lg:grid-cols-[minmax(0,1.35fr)_minmax(0,1fr)]">
      <div className="flex flex-col gap-3">
        <div className="flex flex-wrap items-center gap-3">
          <p className="muted mr-auto" id={id} aria-live="polite">
            Pair <b className="figure">{place + 1}</b> of {rows.length}
          </p>
          <button type="button" className="act" disabled={place === 0} onClick={() => setPlace(place - 1)}>
            Back
          </button>
          <button
            type="button"
            className="act"
            disabled={place === rows.length - 1}
            onClick={() => setPlace(place + 1)}
          >
            Next pair
          </button>
        </div>
        <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2" aria-labelledby={id}>
          {heads.map((head, i) => (
            <div key={head}>
              <dt className="muted">{head}</dt>
              <dd className={`figure font-bold ${i < 2 ? 'text-4xl' : 'text-2xl'}`}>{now[i]}</dd>
            </div>
          ))}
        </dl>
        <details>
          <summary className="cursor-pointer">All pairs</summary>
          <ol className="mt-1 grid max-h-60 grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] overflow-y-auto">
            {rows.map((numbers, i) => (
              <li key={numbers.join()}>
                <button
                  type="button"
                  className={`figure cursor-pointer px-1 ${i === place ? 'font-bold' : ''}`}
                  aria-current={i === place ? 'step' : undefined}
                  onClick={() => setPlace(i)}
                >
                  {i + 1}. {numbers.join(' · ')}
                </button>
              </li>
            ))}
          </ol>
        </details>
      </div>
      <div className="max-w-[30rem]">{picture(place)}</div>
    </div>
  );
}
