import type { Job, PlannedJob } from '@whelk/core/job';
import { FEATURE_KINDS, type Feature, type FeatureKind, outsideShape, outsides } from '@whelk/core/part';
import type { FeatureEnd } from '@whelk/core/picture';
import { ArrowLeft, ArrowRight, Plus, Trash2 } from 'lucide-react';
import { kindNames } from '../../messages/shapes.ts';
import { Details } from './Details.tsx';
import { FeatureField } from './FeatureField.tsx';
import { endOf, type Key, ORDERS, withText } from './feature-fields.ts';
import { IntoMetal } from './IntoMetal.tsx';

interface Props {
  readonly job: Job;
  readonly planned: PlannedJob;
  readonly feature: Feature;
  readonly at: number;
  readonly selected: string | undefined;
  readonly folded: boolean;
  readonly width: number;
  readonly onSelect: (id: string, end?: FeatureEnd) => void;
  readonly onChange: (at: number, feature: Feature, field: string) => void;
  readonly onAdd: (at: number) => void;
  readonly onRemove: (at: number) => void;
  readonly onMove: (at: number, by: 1 | -1) => void;
  readonly onStep: (at: number, by: 1 | -1, field: string) => void;
  /** a name for something new in this drawing */
  readonly fresh: () => string;
}
/** One feature's sizes. Enter: next size; Alt+arrows: the same size of the neighbour; Insert: a feature after; all by keyboard. */
export function FeatureColumn(props: Props) {
  const { job, planned, feature, at, selected, folded, width, onSelect, onChange } = props;
  const on = feature.id === selected;
  const order = ORDERS[feature.kind];
  const { unit } = feature.diameter;
  const turned = outsides(planned.part).find((f) => f.id === feature.id);
  const number = `${at + 1} ${feature.name || (turned ? `Ø${feature.diameter.text}` : 'new')}`;
  const setWidth = (node: HTMLLIElement | null) => node?.style.setProperty('width', `${width}px`);
  if (folded)
    return (
      <li ref={setWidth} className="flex-none border-l border-[var(--line)] px-1 pt-1">
        <button type="button" className="quiet w-full text-left text-sm" onClick={() => onSelect(feature.id)}>
          <span className="block truncate font-semibold">{number}</span>
          <span className="muted block">Ø{feature.diameter.text || '?'}</span>
          <span className="muted block">× {feature.length.text || '?'}</span>
          {planned.problems.some((p) => p.path[2] === at) && <span className="field-problem">▲ look</span>}
        </button>
      </li>
    );
  const keys = (key: Key) => (event: React.KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') {
      const next = order[order.indexOf(key) + 1];
      if (next) document.querySelector<HTMLInputElement>(`[data-field="${feature.id}-${next}"]`)?.focus();
      else if (job.drawing.features[at + 1]) props.onStep(at, 1, 'diameter');
    } else if (event.key === 'Insert') props.onAdd(at + 1);
    else if (event.altKey && event.key === 'ArrowRight') props.onStep(at, 1, key);
    else if (event.altKey && event.key === 'ArrowLeft') props.onStep(at, -1, key);
    else return;
    event.preventDefault();
  };
  const acts = [
    { label: 'Move towards the headstock', icon: ArrowLeft, act: () => props.onMove(at, -1), off: at === 0 },
    {
      label: 'Move towards the tailstock',
      icon: ArrowRight,
      act: () => props.onMove(at, 1),
      off: at === job.drawing.features.length - 1,
    },
    { label: 'Add a feature before', icon: Plus, act: () => props.onAdd(at), off: false },
    { label: `Remove ${number}`, icon: Trash2, act: () => props.onRemove(at), off: false },
  ];
  return (
    <li
      ref={setWidth}
      className={`flex-none border-l border-[var(--line)] px-3 pb-3 ${on ? 'border-t-4 border-t-[var(--brass)] bg-[var(--brass-soft)] pt-0.5' : 'pt-1.5'}`}
    >
      <div className="flex items-center gap-1">
        <button
          type="button"
          className="min-w-0 flex-1 truncate text-left font-bold"
          aria-pressed={on}
          onClick={() => onSelect(feature.id)}
        >
          {number}
        </button>
      </div>
      <label className="my-0.5 grid grid-cols-[4.4rem_1fr] items-center gap-x-1.5 text-[0.82rem]">
        Shape
        <select
          className="select select-sm h-8 w-full text-base"
          value={feature.kind}
          data-field={`${feature.id}-kind`}
          onFocus={() => onSelect(feature.id)}
          onChange={(e) => onChange(at, { ...feature, kind: e.target.value as FeatureKind }, `${feature.id}-kind`)}
        >
          {FEATURE_KINDS.map((kind) => (
            <option key={kind} value={kind}>
              {kindNames[kind]}
            </option>
          ))}
        </select>
      </label>
      <div className="flex flex-col gap-0.5">
        {order.map((key) => (
          <FeatureField
            key={key}
            field={key}
            {...{ job, planned, feature, at, turned, number }}
            onFocus={() => onSelect(feature.id, endOf[key])}
            onKeyDown={keys(key)}
            onChange={(text) => onChange(at, withText(feature, key, text), `${feature.id}-${key}`)}
          />
        ))}
      </div>
      {feature.kind === 'arc' && (
        <IntoMetal
          on={feature.hollow === true}
          data={`${feature.id}-hollow`}
          onChange={(hollow) => onChange(at, { ...feature, hollow }, `${feature.id}-hollow`)}
        />
      )}
      {outsideShape(feature.kind).takesDetails && (on || feature.details.length > 0) && (
        <Details
          owner={feature.id}
          details={feature.details}
          unit={unit}
          problems={planned.problems.filter(
            (p) => p.path[0] === 'drawing' && p.path[1] === 'features' && p.path[2] === at,
          )}
          fresh={props.fresh}
          onFocus={() => onSelect(feature.id)}
          onChange={(details, field) => onChange(at, { ...feature, details: [...details] }, field)}
        />
      )}
      {on && (
        <div className="mt-2 flex flex-wrap gap-0.5">
          {acts.map(({ label, icon: Icon, act, off }) => (
            <button
              key={label}
              type="button"
              className="quiet"
              onClick={act}
              disabled={off}
              aria-label={label}
              title={label}
            >
              <Icon size={16} />
            </button>
          ))}
        </div>
      )}
    </li>
  );
}
