import type { DrawnFaceGroove } from '@whelk/core/part';
import type { Problem } from '@whelk/core/quantity';
import { Trash2 } from 'lucide-react';
import { wordProblem } from '../../messages/problems.ts';
import { TextField } from '../../ui/number-field/TextField.tsx';

const sizes = [
  ['outer', 'Outer Ø', ''],
  ['inner', 'Inner Ø', 'a recess'],
  ['depth', 'Deep', ''],
] as const;

/** A ring groove or a recess in a face. */
export function FaceGrooveRow({
  groove: g,
  faces,
  title,
  unit,
  problemOf,
  put,
  onRemove,
}: {
  groove: DrawnFaceGroove;
  /** shoulders and bottoms of holes that look the same way as the end, by their words */
  faces: readonly (readonly [id: string, words: string])[];
  title: string;
  unit: 'mm' | 'in';
  problemOf: (field: string) => Problem | undefined;
  put: (change: Partial<DrawnFaceGroove>, field: string) => void;
  onRemove: () => void;
}) {
  const lost = problemOf('on');
  return (
    <fieldset className="ml-32 flex flex-wrap items-start gap-3 pl-3">
      <legend className="visually-hidden">{title}</legend>
      {(faces.length > 0 || g.on !== undefined) && (
        <label className="text-sm">
          In
          <select
            className="select select-sm mt-0.5 flex h-10 w-44"
            value={g.on ?? ''}
            data-field={`${g.id}-on`}
            aria-invalid={lost !== undefined}
            onChange={(e) => put({ on: e.target.value || undefined }, 'on')}
          >
            <option value="">the end face</option>
            {faces.map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
            {g.on !== undefined && !faces.some(([id]) => id === g.on) && <option value={g.on}>no longer drawn</option>}
          </select>
          {lost && <span className="field-problem block">{wordProblem(lost, unit).right}</span>}
        </label>
      )}
      {sizes.map(([key, label, hint]) => (
        <TextField
          key={key}
          className="w-32"
          label={`${label}, ${unit}`}
          hint={hint}
          value={g[key].text}
          problem={problemOf(key)}
          data={`${g.id}-${key}`}
          onChange={(text) => put({ [key]: { ...g[key], text: text.slice(0, 64) } }, key)}
        />
      ))}
      <TextField
        className="w-28"
        label="its limits"
        hint="general"
        value={g.depthLimits}
        problem={problemOf('depthLimits')}
        data={`${g.id}-depthLimits`}
        onChange={(depthLimits) => put({ depthLimits: depthLimits.slice(0, 64) }, 'depthLimits')}
      />
      <button type="button" className="quiet mt-6" aria-label={`Remove ${title.toLowerCase()}`} onClick={onRemove}>
        <Trash2 size={16} aria-hidden="true" />
      </button>
    </fieldset>
  );
}
