import type { Job, PlannedJob } from '@whelk/core/job';
import { parseLimits } from '@whelk/core/limit';
import { type Feature, readEdge } from '@whelk/core/part';
import type { FeatureEnd } from '@whelk/core/picture';
import { formatLength, readTyped } from '@whelk/core/quantity';
import type { Recorder } from '@whelk/core/working';
import { ArrowLeft, ArrowRight, Plus, Trash2 } from 'lucide-react';
import { TextField } from '../../ui/number-field/TextField.tsx';
import { Working } from '../../ui/working/Working.tsx';

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
}
type Key = 'name' | 'diameter' | 'limits' | 'length' | 'lengthLimits' | 'finish' | 'faceFinish' | 'left' | 'right';
const ORDER: Key[] = ['name', 'diameter', 'limits', 'length', 'lengthLimits', 'finish', 'faceFinish', 'left', 'right'];
const LABELS: Record<Key, string> = {
  name: 'Name',
  diameter: 'Ø',
  limits: 'Limits',
  length: 'Length',
  lengthLimits: 'its limits',
  finish: 'Finish',
  faceFinish: 'Faces',
  left: 'Left edge',
  right: 'Right edge',
};

/** Sizes that belong to a face or an edge: while they are typed it stands out on the strip. */
const endOf: Partial<Record<Key, FeatureEnd>> = { left: 'left', right: 'right', faceFinish: 'face' };

function textOf(feature: Feature, key: Key): string {
  if (key === 'diameter' || key === 'length') return feature[key].text;
  if (key === 'left' || key === 'right') return feature.edges[key];
  return feature[key];
}
function withText(feature: Feature, key: Key, text: string): Feature {
  if (key === 'diameter' || key === 'length') return { ...feature, [key]: { ...feature[key], text } };
  if (key === 'left' || key === 'right') return { ...feature, edges: { ...feature.edges, [key]: text } };
  return { ...feature, [key]: text };
}

/** One feature's sizes. Enter: next size; Alt+arrows: the same size of the neighbour; Insert: a feature after; all by keyboard. */
export function FeatureColumn(props: Props) {
  const { job, planned, feature, at, selected, folded, width, onSelect, onChange } = props;
  const on = feature.id === selected;
  const { unit } = feature.diameter;
  const turned = planned.part.features.find((f) => f.id === feature.id);
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
      const next = ORDER[ORDER.indexOf(key) + 1];
      if (next) document.querySelector<HTMLInputElement>(`[data-field="${feature.id}-${next}"]`)?.focus();
      else if (job.drawing.features[at + 1]) props.onStep(at, 1, 'diameter');
    } else if (event.key === 'Insert') props.onAdd(at + 1);
    else if (event.altKey && event.key === 'ArrowRight') props.onStep(at, 1, key);
    else if (event.altKey && event.key === 'ArrowLeft') props.onStep(at, -1, key);
    else return;
    event.preventDefault();
  };
  const problemOf = (key: Key) => {
    const path = key === 'left' || key === 'right' ? ['edges', key] : [key];
    return planned.problems.find(
      (p) => p.path[0] === 'drawing' && p.path[2] === at && path.every((part, i) => p.path[3 + i] === part),
    );
  };
  const places = unit === 'mm' ? 3 : 4;
  const noteOf = (key: Key): string | undefined => {
    if (!turned) return undefined;
    const limits =
      key === 'limits'
        ? turned.limits
        : key === 'lengthLimits' && feature.lengthLimits
          ? turned.lengthLimits
          : (key === 'left' || key === 'right') && turned[key]?.limits?.how !== 'general'
            ? turned[key]?.limits
            : undefined;
    if (limits)
      return `${formatLength(limits.upperMm, unit, places)} / ${formatLength(limits.lowerMm, unit, places)}${limits.how === 'general' ? ', general' : ''}`;
    return undefined;
  };
  const workingOf = (key: Key): ((record: Recorder) => void) | undefined => {
    const { generalClass } = job.drawing;
    if (key === 'limits' || key === 'lengthLimits') {
      const of = key === 'limits' ? feature.diameter : feature.length;
      return (record) => {
        const nominal = readTyped(of);
        if (nominal.ok) parseLimits(feature[key], nominal.mm, of.unit, generalClass, record);
      };
    }
    if ((key === 'left' || key === 'right') && turned?.[key])
      return (record) => void readEdge(feature.edges[key], feature.length.unit, generalClass, record);
    return undefined;
  };
  const field = (key: Key) => (
    <div key={key} className="relative">
      <TextField
        label={key === 'diameter' || key === 'length' ? `${LABELS[key]}, ${unit}` : LABELS[key]}
        value={textOf(feature, key)}
        problem={problemOf(key)}
        note={noteOf(key)}
        inline
        after={workingOf(key) && <Working of={`${LABELS[key]}, ${number}`} tell={workingOf(key)!} />}
        hint={
          key === 'limits' || key === 'lengthLimits'
            ? 'general'
            : key === 'finish' || key === 'faceFinish'
              ? 'Ra 3.2'
              : key === 'left' || key === 'right'
                ? 'broken'
                : undefined
        }
        data={`${feature.id}-${key}`}
        inputClass="input-sm h-8 text-base"
        onFocus={() => onSelect(feature.id, endOf[key])}
        onKeyDown={keys(key)}
        onChange={(text) => onChange(at, withText(feature, key, text), `${feature.id}-${key}`)}
      />
    </div>
  );
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
      <div className="flex flex-col gap-0.5">{ORDER.map(field)}</div>
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
