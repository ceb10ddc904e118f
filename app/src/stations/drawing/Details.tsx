import { type Detail, emptyDetail, GROOVE_SHAPES } from '@whelk/core/part';
import type { Problem, TypedLength } from '@whelk/core/quantity';
import { Trash2 } from 'lucide-react';
import { detailNames, grooveNames } from '../../messages/shapes.ts';
import { TextField } from '../../ui/number-field/TextField.tsx';

interface Props {
  readonly owner: string;
  readonly details: readonly Detail[];
  readonly unit: 'mm' | 'in';
  readonly problems: readonly Problem[];
  /** a hole has no knurls */
  readonly inside?: boolean;
  readonly fresh: () => string;
  readonly onFocus: () => void;
  readonly onChange: (details: readonly Detail[], field: string) => void;
}
interface Line {
  readonly key: string;
  readonly label: string;
  readonly hint?: string;
}

/** What is typed for each kind; lengths carry the drawing's unit. */
function linesOf(d: Detail, unit: string): Line[] {
  switch (d.kind) {
    case 'groove':
      return [
        { key: 'at', label: `At, ${unit}`, hint: '0' },
        {
          key: 'width',
          label: `Width, ${unit}`,
          hint: d.shape === 'round' || d.shape === 'vee' ? 'follows' : undefined,
        },
        { key: 'floor', label: d.by === 'floor' ? `Floor Ø, ${unit}` : `Depth, ${unit}` },
        { key: 'floorLimits', label: 'its limits', hint: 'none' },
        ...(d.shape === 'vee' ? [{ key: 'angle', label: 'Angle, °', hint: '60' }] : []),
        ...(d.shape === 'angled' ? [{ key: 'angle', label: 'Lean, °', hint: '15' }] : []),
      ];
    case 'thread':
      return [
        { key: 'designation', label: 'Thread', hint: 'M24x2' },
        { key: 'length', label: `Length, ${unit}`, hint: 'all' },
        { key: 'class', label: 'Class', hint: '6g' },
      ];
    case 'knurl':
      return [
        { key: 'pitch', label: `Pitch, ${unit}` },
        { key: 'at', label: `At, ${unit}`, hint: '0' },
        { key: 'length', label: `Length, ${unit}`, hint: 'all' },
      ];
  }
}
const textIn = (d: Detail, key: string): string => {
  const value = (d as unknown as Record<string, string | TypedLength>)[key]!;
  return typeof value === 'string' ? value : value.text;
};
const withText = (d: Detail, key: string, text: string): Detail => {
  const value = (d as unknown as Record<string, string | TypedLength>)[key]!;
  return { ...d, [key]: typeof value === 'string' ? text : { ...value, text } } as Detail;
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
  const selects = (
    d: Detail,
  ): (readonly [key: string, label: string, value: string, options: readonly (readonly [string, string])[]])[] => [
    ...(d.kind === 'groove'
      ? [
          ['shape', 'Shape', d.shape, GROOVE_SHAPES.map((s) => [s, grooveNames[s]] as const)] as const,
          [
            'by',
            'By',
            d.by,
            [
              ['floor', 'floor Ø'],
              ['depth', 'depth'],
            ],
          ] as const,
        ]
      : []),
    ...(d.kind === 'thread'
      ? [
          [
            'hand',
            'Hand',
            d.hand,
            [
              ['right', 'right'],
              ['left', 'left'],
            ],
          ] as const,
        ]
      : []),
    ...(d.kind === 'knurl'
      ? [
          [
            'pattern',
            'Pattern',
            d.pattern,
            [
              ['crossed', 'crossed'],
              ['straight', 'straight'],
            ],
          ] as const,
        ]
      : []),
    [
      'from',
      'Counted',
      d.from,
      [
        ['right', 'right end'],
        ['left', 'left end'],
      ],
    ] as const,
  ];
  return (
    <div className="mt-2">
      {details.map((d, i) => (
        <fieldset key={d.id} className="mt-1 border-t border-[var(--line)] pt-1">
          <legend className="visually-hidden">{`${detailNames[d.kind]} ${i + 1}`}</legend>
          <div className="flex items-center text-sm font-semibold">
            <span className="flex-1">{detailNames[d.kind]}</span>
            <button
              type="button"
              className="quiet"
              aria-label={`Remove ${detailNames[d.kind].toLowerCase()} ${i + 1}`}
              onClick={() => onChange(details.toSpliced(i, 1), `${owner}-details`)}
            >
              <Trash2 size={15} aria-hidden="true" />
            </button>
          </div>
          {selects(d).map(([key, label, value, options]) => (
            <label key={key} className="grid grid-cols-[4.4rem_1fr] items-center gap-x-1.5 text-[0.82rem]">
              {label}
              <select
                className="select select-sm my-0.5 h-8 w-full text-base"
                value={value}
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
          {linesOf(d, unit).map(({ key, label, hint }) => (
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
        {(inside ? (['groove', 'thread'] as const) : (['groove', 'thread', 'knurl'] as const)).map((kind) => (
          <button
            key={kind}
            type="button"
            className="quiet text-sm underline"
            onClick={() => onChange([...details, emptyDetail(fresh(), kind, unit)], `${owner}-details`)}
          >
            + {detailNames[kind].toLowerCase()}
          </button>
        ))}
      </div>
    </div>
  );
}
