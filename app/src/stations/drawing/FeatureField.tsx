import type { Job, PlannedJob } from '@whelk/core/job';
import { decimalTolerance, type Limits, parseLimits } from '@whelk/core/limit';
import { edgeOf, type Feature, lengthLimitsOf, limitsOfMate, type Outside, readEdge } from '@whelk/core/part';
import { formatLength, readTyped, shortLength } from '@whelk/core/quantity';
import type { Recorder } from '@whelk/core/working';
import { limitsFrom } from '../../messages/shapes.ts';
import { TextField } from '../../ui/number-field/TextField.tsx';
import { Working } from '../../ui/working/Working.tsx';
import { hintOf, type Key, LABELS, labelOf, textOf } from './feature-fields.ts';

interface About {
  readonly job: Job;
  readonly planned: PlannedJob;
  readonly feature: Feature;
  /** place in the drawing's list */
  readonly at: number;
  /** as it was solved, where it could be */
  readonly turned: Outside | undefined;
}
interface Props extends About {
  readonly field: Key;
  /** the feature as people call it */
  readonly number: string;
  readonly onFocus: () => void;
  readonly onKeyDown: (event: React.KeyboardEvent<HTMLInputElement>) => void;
  readonly onChange: (text: string) => void;
}

const isEdge = (key: Key): key is 'left' | 'right' => key === 'left' || key === 'right';

function problemOf({ planned, at }: About, key: Key) {
  const path = isEdge(key) ? ['edges', key] : [key];
  const own = ['drawing', 'features', at, ...path];
  return planned.problems.find((p) => own.every((part, i) => p.path[i] === part));
}

function chamferAt({ planned, feature }: About, end: 'left' | 'right') {
  const edge = edgeOf(planned.part, feature.id, end);
  return edge?.kind === 'chamfer' ? edge : undefined;
}

/** Limits of the diameter as soon as it is there, whatever its length will be. */
function limitsNow({ job, feature }: About): Limits | undefined {
  const nominal = readTyped(feature.diameter);
  if (!nominal.ok || (job.drawing.decimals && feature.limits.trim() === '')) return undefined;
  const read = parseLimits(feature.limits, nominal.mm, feature.diameter.unit, job.drawing.generalClass);
  return read.ok ? read.limits : undefined;
}

function limitsOf(about: About, key: Key): Limits | undefined {
  const { turned, feature, planned } = about;
  if (key === 'limits') return turned?.limits ?? limitsNow(about);
  if (!turned) return undefined;
  if (key === 'lengthLimits') return feature.lengthLimits ? lengthLimitsOf(planned.part, turned.id) : undefined;
  const edge = isEdge(key) ? chamferAt(about, key)?.limits : undefined;
  return edge?.how === 'general' ? undefined : edge;
}

/** What was left open and follows from the rest, or the limits that a field stands for. */
function noteOf(about: About, key: Key): string | undefined {
  const { turned, feature } = about;
  const { unit } = feature.diameter;
  const places = unit === 'mm' ? 3 : 4;
  const solved =
    key === 'length' ? turned && turned.zToMm - turned.zFromMm : key === 'end' ? turned?.rightMm : undefined;
  if (solved !== undefined && textOf(feature, key).trim() === '') return `= ${shortLength(solved, unit, places)}`;
  const limits = limitsOf(about, key);
  if (!limits) return undefined;
  const f = (mm: number) => formatLength(mm, unit, places);
  return `${f(limits.upperMm)} / ${f(limits.lowerMm)}${limitsFrom[limits.how] ?? ''}`;
}

/** Tells where the limits of a field come from; undefined where there is nothing to tell. */
function workingOf(about: About, key: Key): ((record: Recorder) => void) | undefined {
  const { job, feature } = about;
  const { generalClass, decimals, mates } = job.drawing;
  if (isEdge(key))
    return chamferAt(about, key)
      ? (record) => void readEdge(feature.edges[key], feature.length.unit, generalClass, record, decimals)
      : undefined;
  if (key !== 'limits' && key !== 'lengthLimits') return undefined;
  const of = key === 'limits' ? feature.diameter : feature.length;
  const toMate = key === 'limits' && about.turned?.limits.how === 'mate';
  const mate = toMate && mates?.find((m) => m.on === feature.id);
  if (mate) return (record) => void limitsOfMate(mate, 'outside', record);
  if (decimals && feature[key].trim() === '') return (record) => void decimalTolerance(of.text, decimals, record);
  return (record) => {
    const nominal = readTyped(of);
    if (nominal.ok) parseLimits(feature[key], nominal.mm, of.unit, generalClass, record);
  };
}

/** One size of a feature, with what it stands for beside it. */
export function FeatureField({ field: key, number, onFocus, onKeyDown, onChange, ...about }: Props) {
  const { feature } = about;
  const working = workingOf(about, key);
  return (
    <div className="relative">
      <TextField
        label={labelOf(feature.kind, key, feature.diameter.unit)}
        value={textOf(feature, key)}
        problem={problemOf(about, key)}
        note={noteOf(about, key)}
        inline
        after={working && <Working of={`${LABELS[key]}, ${number}`} tell={working} />}
        hint={hintOf(feature.kind, key)}
        data={`${feature.id}-${key}`}
        inputClass="input-sm h-8 text-base"
        onFocus={onFocus}
        onKeyDown={onKeyDown}
        onChange={onChange}
      />
    </div>
  );
}
