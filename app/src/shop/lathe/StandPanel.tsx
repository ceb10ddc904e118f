import type { Control, Lathe, Stand } from '@whelk/core/lathe';
import type { Tool } from '@whelk/core/tool';
import { useState } from 'react';
import { ask } from '../../ui/api.ts';
import { TextField } from '../../ui/number-field/TextField.tsx';
import { SelectField } from '../../ui/SelectField.tsx';

const lockNames = {
  carriage: 'carriage',
  crossSlide: 'cross-slide',
  compound: 'compound',
  quill: 'quill',
  tailstock: 'tailstock',
} as const;
const slideNames = { crossSlide: 'Cross-slide', carriage: 'Carriage', compound: 'Compound' } as const;

interface Props {
  readonly lathe: Lathe;
  readonly tools: readonly Tool[];
  readonly given: Stand;
}

/** The lathe as it stands now. Runs leave it as they set it; whoever moves a lever by hand says so here. */
export function StandPanel({ lathe, tools, given }: Props) {
  const [stand, setStand] = useState(given);
  const [told, setTold] = useState('');
  const save = async (next: Stand) => {
    setStand(next);
    const result = await ask<{ stand: Stand }>('PUT', `/api/lathes/${lathe.id}/stand`, { stand: next });
    setTold(result.ok ? 'Kept.' : result.problems.map((p) => `${p.what} ${p.right}`).join(' '));
  };
  const perUnit = lathe.unit === 'in' ? 25.4 : 1;
  const groups: [string, readonly Control[]][] = [
    ['Spindle', lathe.spindle.controls],
    ['Feed', lathe.feeds.controls],
  ];
  return (
    <section aria-labelledby="stands" className="sheet p-5">
      <div className="flex flex-wrap items-baseline gap-3">
        <h2 id="stands">As it stands</h2>
        <span role="status" className="muted text-sm">
          {told || 'a step at the lathe tells only what has to be changed from here'}
        </span>
      </div>
      <div className="mt-3 flex flex-wrap gap-x-10 gap-y-4">
        {groups.map(([title, controls]) =>
          controls.map((control) => (
            <Positions
              key={`${title}${control.id}`}
              control={control}
              at={stand.controls[control.id]}
              onChange={(position) => void save({ ...stand, controls: { ...stand.controls, [control.id]: position } })}
            />
          )),
        )}
        <Positions
          control={{ name: 'Spindle turns', positions: ['forward', 'reverse', 'stopped'] }}
          at={stand.direction}
          onChange={(direction) => void save({ ...stand, direction: direction as Stand['direction'] })}
        />
      </div>
      <div className="mt-4 flex flex-wrap items-end gap-4">
        <SelectField
          label="On the spindle"
          className="w-48"
          value={stand.chuckId ?? ''}
          choices={[['', 'nothing, or not known'], ...lathe.holding.chucks.map((c) => [c.id, c.name] as const)]}
          onPick={(chuckId) => void save({ ...stand, chuckId: chuckId || null })}
        />
        <SelectField
          label="In the tool post"
          className="w-56"
          value={stand.toolId ?? ''}
          choices={[['', 'nothing, or not known'], ...tools.map((t) => [t.id, t.name] as const)]}
          onPick={(toolId) => void save({ ...stand, toolId: toolId || null })}
        />
        <Figure
          label={`Tailstock set over, ${lathe.unit}`}
          value={Number((stand.setOverMm / perUnit).toFixed(4))}
          most={100 / perUnit}
          onChange={(setOver) => void save({ ...stand, setOverMm: Number((setOver * perUnit).toFixed(4)) })}
        />
        <Figure
          label="Compound’s scale, °"
          value={stand.compoundDeg}
          most={180}
          onChange={(compoundDeg) => void save({ ...stand, compoundDeg })}
        />
        {(Object.keys(slideNames) as (keyof typeof slideNames)[]).map((slide) => (
          <TextField
            key={slide}
            className="w-28"
            label={`${slideNames[slide]} left at`}
            value={stand.slides[slide]}
            hint="not noted"
            onChange={(text) => void save({ ...stand, slides: { ...stand.slides, [slide]: text.slice(0, 16) } })}
          />
        ))}
      </div>
      <fieldset className="mt-4 flex flex-wrap gap-x-6 gap-y-1">
        <legend className="text-sm">Locked</legend>
        {(Object.keys(lockNames) as (keyof typeof lockNames)[]).map((lock) => (
          <label key={lock} className="flex min-h-10 cursor-pointer items-center gap-2">
            <input
              type="checkbox"
              className="h-4 w-4"
              checked={stand.locks[lock]}
              onChange={(e) => void save({ ...stand, locks: { ...stand.locks, [lock]: e.target.checked } })}
            />
            {lockNames[lock]}
          </label>
        ))}
      </fieldset>
    </section>
  );
}

/** A belt or lever with its positions side by side, as on the headstock. */
function Positions({
  control,
  at,
  onChange,
}: {
  control: Pick<Control, 'name' | 'positions'>;
  at: string | undefined;
  onChange: (position: string) => void;
}) {
  return (
    <fieldset>
      <legend className="text-sm">
        {control.name}
        {at === undefined ? ', not known' : ''}
      </legend>
      <div className="mt-0.5 flex flex-wrap gap-1">
        {control.positions.map((position) => (
          <button
            key={position}
            type="button"
            className="position"
            aria-pressed={position === at}
            onClick={() => onChange(position)}
          >
            {position}
          </button>
        ))}
      </div>
    </fieldset>
  );
}

function Figure({
  label,
  value,
  most,
  onChange,
}: {
  label: string;
  value: number;
  most: number;
  onChange: (value: number) => void;
}) {
  const [text, setText] = useState(String(value));
  const read = /^-?\d{1,3}(\.\d{0,3})?$/.test(text.trim()) ? Number(text) : undefined;
  const good = read !== undefined && Math.abs(read) <= most;
  return (
    <TextField
      className="w-36"
      label={label}
      value={text}
      inputMode="decimal"
      problem={good ? undefined : { code: 'input.tooBig', path: [], limit: `${most}, towards either side` }}
      onChange={(typed) => {
        setText(typed);
        const now = Number(typed);
        if (/^-?\d{1,3}(\.\d{0,3})?$/.test(typed.trim()) && Math.abs(now) <= most) onChange(now);
      }}
    />
  );
}
