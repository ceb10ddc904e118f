import {
  type Holder,
  type HolderRecord,
  type Insert,
  type InsertRecord,
  isCodeFault,
  type Misfit,
  misfits,
  readHolder,
  readInsert,
} from '@whelk/core/tool';
import { misfitText } from '../../messages/inserts.ts';

interface Props {
  readonly insert?: Insert;
  readonly holder?: Holder;
  readonly seatMm?: number;
  readonly holders: readonly HolderRecord[];
  readonly inserts: readonly InsertRecord[];
}
/** How many that do not fit are explained. */
const NEAREST = 3;

/** What of the drawer goes with this insert or holder, and why the nearest others do not. */
export function WhatFits({ insert, holder, seatMm, holders, inserts }: Props) {
  const lines: { key: string; name: string; note: string; wrong: readonly Misfit[] }[] = insert
    ? holders.flatMap((h) => {
        const read = readHolder(h.code);
        if (isCodeFault(read)) return [];
        const wrong = misfits(insert, { holder: read, thicknessMm: h.seatMm });
        return [{ key: h.id, name: read.code, note: h.note, wrong }];
      })
    : inserts.flatMap((i) => {
        const read = readInsert(i.code);
        if (isCodeFault(read)) return [];
        const wrong = misfits(read, { holder: holder!, thicknessMm: seatMm });
        return [{ key: i.id, name: read.code, note: `${i.count} there${i.note ? `, ${i.note}` : ''}`, wrong }];
      });
  const fit = lines.filter((l) => l.wrong.length === 0);
  const near = lines
    .filter((l) => l.wrong.length > 0)
    .toSorted((a, b) => a.wrong.length - b.wrong.length)
    .slice(0, NEAREST);
  const what = insert ? 'holder' : 'insert';
  return (
    <section aria-labelledby="fits" className="mt-6">
      <h2 id="fits">{insert ? 'Holders that take it' : 'Inserts that go into it'}</h2>
      {fit.length === 0 ? (
        <p className="muted">
          {lines.length === 0 ? (
            <>
              No {what} is in the drawer yet; add them under{' '}
              <a className="link" href="/tools">
                Tools & gauges
              </a>
              .
            </>
          ) : (
            `None in the drawer.`
          )}
        </p>
      ) : (
        <ul className="rows">
          {fit.map((l) => (
            <li key={l.key} className="py-1">
              <b className="ok">✓ {l.name}</b> <span className="muted">{l.note}</span>
            </li>
          ))}
        </ul>
      )}
      {fit.length > 0 && insert && (
        <p className="muted text-sm">Look that the seat’s shim suits a thickness of {insert.thicknessMm} mm.</p>
      )}
      {near.length > 0 && (
        <>
          <h3 className="mt-3 font-bold">Nearest that do not fit</h3>
          <ul>
            {near.map((l) => (
              <li key={l.key} className="py-0.5">
                ✕ <b>{l.name}</b>: {l.wrong.map(misfitText).join('; ')}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
