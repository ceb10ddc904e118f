import type { Job, PlannedJob } from '@whelk/core/job';
import { decimalTolerance, parseLimits } from '@whelk/core/limit';
import {
  edgeOf,
  FEATURE_KINDS,
  type Feature,
  type FeatureKind,
  lengthLimitsOf,
  limitsOfMate,
  outsides,
  readEdge,
} from '@whelk/core/part';
import type { FeatureEnd } from '@whelk/core/picture';
import { formatLength, readTyped, shortLength } from '@whelk/core/quantity';
import type { Recorder } from '@whelk/core/working';
import { ArrowLeft, ArrowRight, Plus, Trash2 } from 'lucide-react';
import { kindNames, limitsFrom } from '../../messages/shapes.ts';
import { TextField } from '../../ui/number-field/TextField.tsx';
import { Working } from '../../ui/working/Working.tsx';
import { Details } from './Details.tsx';

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
type Length = 'diameter' | 'end' | 'radius' | 'length';
type Key = Length | 'name' | 'limits' | 'taper' | 'lengthLimits' | 'finish' | 'faceFinish' | 'left' | 'right';
const REST: Key[] = ['length', 'lengthLimits', 'finish', 'faceFinish', 'left', 'right'];
/** Fields of each kind, in the order in which a drawing is read. */
const ORDERS: Record<FeatureKind, Key[]> = {
  cylinder: ['name', 'diameter', 'limits', ...REST],
  taper: ['name', 'diameter', 'end', 'limits', 'taper', ...REST],
  arc: ['name', 'diameter', 'end', 'limits', 'radius', ...REST],
  ball: ['name', 'diameter', 'limits', 'length', 'finish'],
};
const isLength = (key: Key): key is Length =>
  key === 'diameter' || key === 'length' || key === 'end' || key === 'radius';
const LABELS: Record<Key, string> = {
  name: 'Name',
  diameter: 'Ø',
  end: 'Ø right',
  radius: 'Radius',
  taper: 'Taper',
  limits: 'Limits',
  length: 'Length',
  lengthLimits: 'its limits',
  finish: 'Finish',
  faceFinish: 'Finish of faces',
  left: 'Left edge',
  right: 'Right edge',
};

/** Sizes that belong to a face or an edge: while they are typed it stands out on the strip. */
const endOf: Partial<Record<Key, FeatureEnd>> = { left: 'left', right: 'right', faceFinish: 'face' };

function textOf(feature: Feature, key: Key): string {
  if (isLength(key)) return feature[key]?.text ?? '';
  if (key === 'left' || key === 'right') return feature.edges[key];
  return feature[key] ?? '';
}
function withText(feature: Feature, key: Key, text: string): Feature {
  if (isLength(key)) return { ...feature, [key]: { ...(feature[key] ?? { unit: feature.diameter.unit }), text } };
  if (key === 'left' || key === 'right') return { ...feature, edges: { ...feature.edges, [key]: text } };
  return { ...feature, [key]: text };
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
  const problemOf = (key: Key) => {
    const path = key === 'left' || key === 'right' ? ['edges', key] : [key];
    return planned.problems.find(
      (p) =>
        p.path[0] === 'drawing' &&
        p.path[1] === 'features' &&
        p.path[2] === at &&
        path.every((part, i) => p.path[3 + i] === part),
    );
  };
  const places = unit === 'mm' ? 3 : 4;
  // limits are shown as soon as the diameter is there, whatever its length will be
  const limitsNow = () => {
    const nominal = readTyped(feature.diameter);
    if (!nominal.ok) return undefined;
    if (job.drawing.decimals && feature.limits.trim() === '') return undefined;
    const read = parseLimits(feature.limits, nominal.mm, unit, job.drawing.generalClass);
    return read.ok ? read.limits : undefined;
  };
  const chamferAt = (end: 'left' | 'right') => {
    const edge = edgeOf(planned.part, feature.id, end);
    return edge?.kind === 'chamfer' ? edge : undefined;
  };
  const noteOf = (key: Key): string | undefined => {
    // what was left open and follows from the rest is told
    const solved =
      key === 'length' ? turned && turned.zToMm - turned.zFromMm : key === 'end' ? turned?.rightMm : undefined;
    if (solved !== undefined && textOf(feature, key).trim() === '') return `= ${shortLength(solved, unit, places)}`;
    const limits =
      key === 'limits'
        ? (turned?.limits ?? limitsNow())
        : !turned
          ? undefined
          : key === 'lengthLimits' && feature.lengthLimits
            ? lengthLimitsOf(planned.part, turned.id)
            : (key === 'left' || key === 'right') && chamferAt(key)?.limits?.how !== 'general'
              ? chamferAt(key)?.limits
              : undefined;
    if (limits)
      return `${formatLength(limits.upperMm, unit, places)} / ${formatLength(limits.lowerMm, unit, places)}${limitsFrom[limits.how] ?? ''}`;
    return undefined;
  };
  const workingOf = (key: Key): ((record: Recorder) => void) | undefined => {
    const { generalClass } = job.drawing;
    if (key === 'limits' || key === 'lengthLimits') {
      const of = key === 'limits' ? feature.diameter : feature.length;
      const { decimals, mates } = job.drawing;
      const mate = key === 'limits' && turned?.limits.how === 'mate' && mates?.find((m) => m.on === feature.id);
      if (mate) return (record) => void limitsOfMate(mate, 'outside', record);
      if (decimals && feature[key].trim() === '') return (record) => void decimalTolerance(of.text, decimals, record);
      return (record) => {
        const nominal = readTyped(of);
        if (nominal.ok) parseLimits(feature[key], nominal.mm, of.unit, generalClass, record);
      };
    }
    if ((key === 'left' || key === 'right') && chamferAt(key))
      return (record) =>
        void readEdge(feature.edges[key], feature.length.unit, generalClass, record, job.drawing.decimals);
    return undefined;
  };
  const field = (key: Key) => (
    <div key={key} className="relative">
      <TextField
        label={
          isLength(key)
            ? `${key === 'diameter' && feature.kind !== 'cylinder' && feature.kind !== 'ball' ? 'Ø left' : LABELS[key]}, ${unit}`
            : LABELS[key]
        }
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
                : key === 'taper'
                  ? '1:20, 5°'
                  : key === 'length' && feature.kind !== 'arc'
                    ? feature.kind === 'cylinder'
                      ? 'from the rest'
                      : 'follows'
                    : key === 'end' && feature.kind === 'taper'
                      ? 'follows'
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
      <div className="flex flex-col gap-0.5">{order.map(field)}</div>
      {feature.kind === 'arc' && (
        <label className="flex min-h-8 cursor-pointer items-center gap-2 text-[0.82rem]">
          <input
            type="checkbox"
            className="h-4 w-4"
            checked={feature.hollow === true}
            onChange={(e) => onChange(at, { ...feature, hollow: e.target.checked }, `${feature.id}-hollow`)}
          />
          curved into the metal
        </label>
      )}
      {feature.kind === 'cylinder' && (on || feature.details.length > 0) && (
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
