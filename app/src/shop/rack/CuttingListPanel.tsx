import { materialIn, type WaitingBlanks } from '@whelk/core/job';
import type { Material } from '@whelk/core/material';
import { cuttingListPicture } from '@whelk/core/picture';
import { type LengthUnit, parseLength, shortLength } from '@whelk/core/quantity';
import { type Bar, barSizes, type CuttingList, nearestBar, sectionKey, USUAL_KEEP_MM } from '@whelk/core/stock';
import { useMemo, useState } from 'react';
import { barText } from '../../messages/stock.ts';
import { ask } from '../../ui/api.ts';
import { AllowanceField } from '../../ui/number-field/AllowanceField.tsx';
import { TextField } from '../../ui/number-field/TextField.tsx';
import { PictureView } from '../../ui/strip/PictureView.tsx';
import { useWidth } from '../../ui/useWidth.ts';
import { useCuttingList } from './useCuttingList.ts';

interface Props {
  readonly bars: readonly Bar[];
  readonly waiting: readonly WaitingBlanks[];
  readonly own: readonly Material[];
  readonly unit: LengthUnit;
  readonly onBooked: (changed: readonly Bar[], sawn: ReadonlyMap<string, number>) => void;
}
/** Blanks that no job waits for. */
const OTHER = 'other';

/** Which blanks to saw from which bars of one section: chosen, worked out in the background, booked when they are sawn. */
export function CuttingListPanel({ bars, waiting, own, unit, onBooked }: Props) {
  const [ref, width] = useWidth<HTMLDivElement>(1100);
  const sections = useMemo(() => sectionsOf(bars, own), [bars, own]);
  const first = sections.find((s) => waiting.some((w) => w.section === s.key)) ?? sections[0];
  const [chosen, setChosen] = useState<string>();
  const section = sections.find((s) => s.key === chosen) ?? first;
  const jobs = waiting.filter((w) => w.section === section?.key);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [kerf, setKerf] = useState<number>();
  const [keepMm, setKeep] = useState(USUAL_KEEP_MM);
  const [other, setOther] = useState({ length: '', count: '1' });
  const [told, setTold] = useState<string>();
  const { busy, progress, found, solve, stop, forget } = useCuttingList();
  const shown = (mm: number) => `${shortLength(mm, unit, unit === 'mm' ? 1 : 2)} ${unit}`;
  const kerfMm = kerf ?? Math.max(0, ...jobs.map((w) => w.kerfMm), jobs.length === 0 ? 2 : 0);
  const otherRead = other.length.trim() === '' ? undefined : parseLength(other.length, unit);
  const otherCount = Math.min(500, Math.max(0, Math.trunc(Number(other.count) || 0)));
  const nameOf = (id: string) => waiting.find((w) => w.jobId === id)?.title ?? 'other';
  const toggle = (id: string) => {
    const next = new Set(left);
    if (!next.delete(id)) next.add(id);
    setLeft(next);
    forget();
  };
  if (!section)
    return (
      <section aria-labelledby="cutting" className="mt-10">
        <h2 id="cutting">Cutting list</h2>
        <p className="muted">Add a bar first: the list says which blanks to saw from which bars.</p>
      </section>
    );
  const taken = section.bars.filter((b) => !left.has(b.id));
  const blanks = [
    ...jobs.filter((w) => !left.has(w.jobId)).map((w) => ({ id: w.jobId, lengthMm: w.lengthMm, count: w.count })),
    ...(otherRead?.ok && otherCount > 0 ? [{ id: OTHER, lengthMm: otherRead.mm.valueOf(), count: otherCount }] : []),
  ];
  const work = () =>
    void solve({
      bars: taken.map((b) => ({ id: b.id, lengthMm: b.sizes.lengthMm, count: b.sizes.pieces })),
      blanks,
      kerfMm,
    });
  const book = async (list: CuttingList) => {
    const result = await ask<{ bars: Bar[] }>('POST', '/api/stock/sawn', {
      keepMm,
      bars: list.bars.map(({ barId, lengthMm, leftMm, cuts }) => ({
        ...{ barId, lengthMm, leftMm },
        cuts: cuts.map((c) => ({ jobId: c.id === OTHER ? null : c.id, count: c.count, lengthMm: c.lengthMm })),
      })),
    });
    if (!result.ok) return setTold(result.problems.map((p) => `${p.what} ${p.right}`).join(' '));
    const sawn = new Map<string, number>();
    for (const cut of list.bars.flatMap((b) => b.cuts)) sawn.set(cut.id, (sawn.get(cut.id) ?? 0) + cut.count);
    setTold(`Booked: ${list.bars.length} ${list.bars.length === 1 ? 'bar' : 'bars'} cut, what is left is on the rack.`);
    setOther({ length: '', count: '1' });
    forget();
    onBooked(result.data.bars, sawn);
  };
  return (
    <section aria-labelledby="cutting" className="mt-10" ref={ref}>
      <h2 id="cutting">Cutting list</h2>
      <p className="muted text-sm">
        Which blanks to saw from which bars, so that as little bar as can be is cut into: remnants are used up, long
        bars stay whole.
      </p>
      {told && (
        <p role="status" className="notice mt-2 rounded">
          {told}
        </p>
      )}
      <label className="mt-3 block text-sm">
        Material and section
        <select
          className="select mt-0.5 flex"
          value={section.key}
          onChange={(e) => {
            setChosen(e.target.value);
            forget();
          }}
        >
          {sections.map((s) => (
            <option key={s.key} value={s.key}>
              {s.name}
              {waiting.some((w) => w.section === s.key) ? ', blanks wait' : ''}
            </option>
          ))}
        </select>
      </label>
      <div className="mt-4 grid gap-8 lg:grid-cols-2">
        <fieldset>
          <legend className="font-bold">Blanks</legend>
          {jobs.length === 0 && <p className="muted text-sm">No job waits for blanks of this section.</p>}
          {jobs.map((w) => (
            <Choice key={w.jobId} on={!left.has(w.jobId)} onToggle={() => toggle(w.jobId)}>
              {w.count} × {shown(w.lengthMm)} · {w.title}
            </Choice>
          ))}
          <div className="mt-2 flex flex-wrap items-start gap-3">
            <TextField
              className="w-36"
              label={`Others, length, ${unit}`}
              value={other.length}
              problem={
                otherRead && !otherRead.ok ? { code: otherRead.code, path: [], value: otherRead.value } : undefined
              }
              onChange={(length) => {
                setOther({ ...other, length });
                forget();
              }}
              data="other-length"
            />
            <TextField
              className="w-24"
              label="How many"
              value={other.count}
              onChange={(count) => {
                setOther({ ...other, count });
                forget();
              }}
              data="other-count"
            />
          </div>
        </fieldset>
        <fieldset>
          <legend className="font-bold">From these bars</legend>
          {section.bars.map((b) => (
            <Choice key={b.id} on={!left.has(b.id)} onToggle={() => toggle(b.id)}>
              {b.sizes.pieces > 1 ? `${b.sizes.pieces} × ` : ''}
              {shown(b.sizes.lengthMm)} {b.bar.note && <span className="muted text-sm">· {b.bar.note}</span>}
            </Choice>
          ))}
          <div className="mt-2 flex flex-wrap items-start gap-3">
            <AllowanceField
              label="Saw cut"
              value={kerfMm}
              most={20}
              onChange={(mm) => {
                setKerf(mm);
                forget();
              }}
            />
            <AllowanceField label="Keep what is left from" value={keepMm} most={5000} onChange={setKeep} />
          </div>
        </fieldset>
      </div>
      <Working
        {...{ busy, progress, shown, stop }}
        ready={blanks.length > 0 && taken.length > 0}
        none={blanks.length === 0}
        onWork={work}
      />
      {found && (
        <FoundList {...{ found, section, width, keepMm, nameOf, shown }} onBook={() => void book(found.list)} />
      )}
    </section>
  );
}

type Search = ReturnType<typeof useCuttingList>;

/** Working it out: begun, how far it is, stopped with the best so far. */
function Working({
  busy,
  progress,
  shown,
  stop,
  ready,
  none,
  onWork,
}: Pick<Search, 'busy' | 'progress' | 'stop'> & {
  shown: (mm: number) => string;
  ready: boolean;
  /** no blanks are chosen */
  none: boolean;
  onWork: () => void;
}) {
  return (
    <div className="mt-4 flex items-center gap-3">
      <button type="button" className="btn btn-primary" disabled={busy || !ready} onClick={onWork}>
        Work out
      </button>
      {busy && (
        <>
          <button type="button" className="btn" onClick={stop}>
            Stop with the best so far
          </button>
          <span role="status" className="muted text-sm">
            {progress
              ? `${progress.nodes.toLocaleString('en-GB')} tries; ${progress.openedMm > 0 ? `${shown(progress.openedMm)} of bar, not less than ${shown(progress.boundMm)}` : 'no list yet'}`
              : 'Searching'}
          </span>
        </>
      )}
      {none && <span className="muted text-sm">Choose or type blanks first.</span>}
    </div>
  );
}

/** The list that was found: how good it is, what finds no room, bar by bar. */
function FoundList({
  found,
  section,
  width,
  keepMm,
  nameOf,
  shown,
  onBook,
}: {
  found: NonNullable<Search['found']>;
  section: ReturnType<typeof sectionsOf>[number];
  width: number;
  keepMm: number;
  nameOf: (id: string) => string;
  shown: (mm: number) => string;
  onBook: () => void;
}) {
  return (
    <div className="mt-4">
      <p className="text-lg" role="status">
        <b>{found.list.bars.length === 1 ? 'One bar is' : `${found.list.bars.length} bars are`} cut into</b>,{' '}
        {shown(found.list.openedMm)} together.{' '}
        {found.list.lacking.length === 0 && (
          <span className={found.list.gap === 0 ? 'ok' : ''}>
            {found.list.gap === 0
              ? '✓ Nothing shorter does.'
              : `A better list could save at most ${(found.list.gap * 100).toFixed(1)} % (${shown(found.list.openedMm - found.list.boundMm)}).`}
          </span>
        )}
      </p>
      {found.list.lacking.length > 0 && (
        <p className="field-problem mt-1 text-base">
          ✕ The bars are too short for all. No room is left for{' '}
          {found.list.lacking.map((l) => `${l.count} × ${nameOf(l.id)}`).join(', ')}. {buyText(found, section, shown)}
        </p>
      )}
      <PictureView
        className="mt-3 w-full"
        label={`${found.list.bars.length} bars with the blanks that are sawn from them`}
        picture={cuttingListPicture(found.list, found.problem.kerfMm, width, nameOf, shown)}
      />
      <ol className="mt-2 list-decimal pl-6" aria-label="Cuts bar by bar">
        {found.list.bars.map((bar, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: equal bars may come twice, and the list is made afresh
          <li key={i} className="py-0.5">
            <b>{shown(bar.lengthMm)} bar:</b>{' '}
            {bar.cuts.map((c) => `${c.count} × ${shown(c.lengthMm)} ${nameOf(c.id)}`).join(', ')};{' '}
            {bar.leftMm >= keepMm ? `${shown(bar.leftMm)} goes back` : `${shown(bar.leftMm)} of scrap`}
          </li>
        ))}
      </ol>
      <button type="button" className="btn mt-3" onClick={onBook}>
        It is sawn: book it
      </button>
    </div>
  );
}

function Choice({ on, onToggle, children }: { on: boolean; onToggle: () => void; children: React.ReactNode }) {
  return (
    <label className="flex min-h-10 cursor-pointer items-center gap-2">
      <input type="checkbox" className="checkbox" checked={on} onChange={onToggle} />
      <span>{children}</span>
    </label>
  );
}

/** What to buy for the blanks that find no room. */
function buyText(
  {
    list,
    problem,
  }: { list: CuttingList; problem: { blanks: readonly { id: string; lengthMm: number }[]; kerfMm: number } },
  section: { readonly sizes: { readonly shape: string; readonly acrossMm: number } },
  shown: (mm: number) => string,
): string {
  const needMm = list.lacking.reduce(
    (sum, l) => sum + l.count * ((problem.blanks.find((b) => b.id === l.id)?.lengthMm ?? 0) + problem.kerfMm),
    0,
  );
  const { shape, acrossMm } = section.sizes;
  const standard =
    shape === 'casting' || shape === 'tube'
      ? undefined
      : (nearestBar(shape as 'round', 'mm', acrossMm) ?? nearestBar(shape as 'round', 'in', acrossMm));
  return `Another ${shown(needMm)} of ${standard && standard.acrossMm === acrossMm ? standard.text : 'it'} is wanted.`;
}

/** Sections that lie on the rack, each with its bars, longest last. */
function sectionsOf(bars: readonly Bar[], own: readonly Material[]) {
  const found = new Map<string, { bar: Bar; id: string; sizes: NonNullable<ReturnType<typeof barSizes>> }[]>();
  for (const bar of bars) {
    const key = sectionKey(bar);
    const sizes = barSizes(bar);
    if (!key || !sizes || sizes.shape === 'casting') continue;
    found.set(key, [...(found.get(key) ?? []), { bar, id: bar.id, sizes }]);
  }
  return [...found.entries()].map(([key, list]) => {
    const [{ bar, sizes }] = list as [(typeof list)[number]];
    return {
      key,
      sizes,
      name: `${materialIn({ materials: own }, bar.materialId)?.name ?? bar.materialId}, ${barText(bar)}`,
      bars: list.toSorted((a, b) => a.sizes.lengthMm - b.sizes.lengthMm),
    };
  });
}
