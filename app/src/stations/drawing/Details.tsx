import { DETAIL_KINDS, type Detail, detailShape, emptyDetail } from '@whelk/core/part';
import type { Problem, TypedLength } from '@whelk/core/quantity';
import { Trash2 } from 'lucide-react';
import { shownDetail } from '../../messages/detail/kinds.ts';
import type { Choice } from '../../messages/detail/shown.ts';
import { TextField } from '../../ui/number-field/TextField.tsx';

interface Props {
  readonly owner: string;
  readonly details: readonly Detail[];
  readonly unit: 'mm' | 'in';
  readonly problems: readonly Problem[];
  /** of a hole: what is not cut into holes is not offered */
  readonly inside?: boolean;
  readonly fresh: () => string;
  readonly onFocus: () => void;
  readonly onChange: (details: readonly Detail[], field: string) => void;
}
const textIn = (d: Detail, key: string): string => {
  const value = (d as unknown as Record<string, string | TypedLength | undefined>)[key] ?? '';
  return typeof value === 'string' ? value : value.text;
};
const withText = (d: Detail, key: string, text: string): Detail => {
  const value = (d as unknown as Record<string, string | TypedLength>)[key]!;
  return { ...d, [key]: typeof value === 'string' ? text : { ...value, text } } as Detail;
};

/** From which end of the length a detail is placed. */
const COUNTED: Choice = {
  ...{ key: 'from', label: 'Counted' },
  options: [
    ['right', 'right end'],
    ['left', 'left end'],
  ],
};

/** Grooves, threads and knurls cut into one length, edited where that length is. */
export function Details({ owner, details, unit, problems, inside, fresh, onFocus, onChange }: Props) {
  const choose = (i: number, key: string, value: string) =>
    onChange(
      details.map((d, k) => (k === i ? ({ ...d, [key]: value } as Detail) : d)),
      `${details[i]!.id}-${key}`,
    );
  const problemOf = (i: number, key: string) =>
    problems.find((p) => p.path.includes('details') && p.path.at(-1) === key && p.path.at(-2) === i);
  return (
    <div className="mt-2">
      {details.map((d, i) => (
        <fieldset key={d.id} className="mt-1 border-t border-[var(--line)] pt-1">
          <legend className="visually-hidden">{`${shownDetail(d.kind).name} ${i + 1}`}</legend>
          <div className="flex items-center text-sm font-semibold">
            <span className="flex-1">{shownDetail(d.kind).name}</span>
            <button
              type="button"
              className="quiet"
              aria-label={`Remove ${shownDetail(d.kind).name.toLowerCase()} ${i + 1}`}
              onClick={() => onChange(details.toSpliced(i, 1), `${owner}-details`)}
            >
              <Trash2 size={15} aria-hidden="true" />
            </button>
          </div>
          {[...shownDetail(d.kind).choices, COUNTED].map(({ key, label, options }) => (
            <label key={key} className="grid grid-cols-[4.4rem_1fr] items-center gap-x-1.5 text-[0.82rem]">
              {label}
              <select
                className="select select-sm my-0.5 h-8 w-full text-base"
                value={textIn(d, key)}
                data-field={`${d.id}-${key}`}
                onFocus={onFocus}
                onChange={(e) => choose(i, key, e.target.value)}
              >
                {options.map(([option, name]) => (
                  <option key={option} value={option}>
                    {name}
                  </option>
                ))}
              </select>
            </label>
          ))}
          {shownDetail(d.kind)
            .lines(d, unit)
            .map(({ key, label, hint }) => (
              <TextField
                key={key}
                inline
                label={label}
                hint={hint}
                value={textIn(d, key)}
                problem={problemOf(i, key)}
                data={`${d.id}-${key}`}
                inputClass="input-sm h-8 text-base"
                onFocus={onFocus}
                onChange={(text) => onChange(details.with(i, withText(d, key, text)), `${d.id}-${key}`)}
              />
            ))}
        </fieldset>
      ))}
      <div className="mt-1 flex flex-wrap gap-1">
        {DETAIL_KINDS.filter((kind) => !inside || detailShape(kind).inHoles).map((kind) => (
          <button
            key={kind}
            type="button"
            className="quiet text-sm underline"
            onClick={() => onChange([...details, emptyDetail(fresh(), kind, unit)], `${owner}-details`)}
          >
            + {shownDetail(kind).name.toLowerCase()}
          </button>
        ))}
      </div>
    </div>
  );
}
