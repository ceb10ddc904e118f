import type { DrawnFaceGroove } from '@whelk/core/part';
import type { Problem } from '@whelk/core/quantity';
import { Trash2 } from 'lucide-react';
import { TextField } from '../../ui/number-field/TextField.tsx';

const sizes = [
  ['outer', 'Outer Ø', ''],
  ['inner', 'Inner Ø', 'a recess'],
  ['depth', 'Deep', ''],
] as const;

/** A ring groove or a recess in an end face. */
export function FaceGrooveRow({
  groove: g,
  title,
  unit,
  problemOf,
  put,
  onRemove,
}: {
  groove: DrawnFaceGroove;
  title: string;
  unit: 'mm' | 'in';
  problemOf: (field: string) => Problem | undefined;
  put: (change: Partial<DrawnFaceGroove>, field: string) => void;
  onRemove: () => void;
}) {
  return (
    <fieldset className="ml-32 flex flex-wrap items-start gap-3 pl-3">
      <legend className="visually-hidden">{title}</legend>
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
