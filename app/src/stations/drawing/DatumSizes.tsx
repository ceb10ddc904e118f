import type { Job, PlannedJob } from '@whelk/core/job';
import { type Dimension, type Drawing, faceId, floorId, PART, type SurfaceId, surfaceName } from '@whelk/core/part';
import { Plus, Trash2 } from 'lucide-react';
import { TextField } from '../../ui/number-field/TextField.tsx';

interface Props {
  readonly job: Job;
  readonly planned: PlannedJob;
  readonly fresh: () => string;
  readonly onChange: (dimensions: readonly Dimension[], field: string) => void;
}

/** Every face that a size along the work can go from or to, named as it is seen. */
function planesOf(drawing: Drawing): (readonly [key: string, name: string])[] {
  const named = (f: { readonly name: string; readonly diameter: { readonly text: string } }, i: number) =>
    f.name || (f.diameter.text ? `Ø${f.diameter.text}` : `${i + 1}`);
  return [
    [faceId(PART, 'left'), 'headstock end'],
    ...drawing.features
      .slice(1)
      .map((f, i) => [faceId(f.id, 'left'), `${named(drawing.features[i]!, i)} | ${named(f, i + 1)}`] as const),
    [faceId(PART, 'right'), 'tailstock end'],
    ...(['left', 'right'] as const).flatMap((side) =>
      drawing.bores[side].map((b, i) => [floorId(b.id), `bottom of ${named(b, i)}`] as const),
    ),
  ];
}

/** Sizes beside the chain: from a datum, over several lengths, from a face to a hole's bottom. What is left open follows. */
export function DatumSizes({ job, planned, fresh, onChange }: Props) {
  const { drawing } = job;
  const { dimensions, unit } = drawing;
  const planes = planesOf(drawing);
  const problemOf = (i: number) =>
    planned.problems.find((p) => p.path[0] === 'drawing' && p.path[1] === 'dimensions' && p.path[2] === i);
  const put = (i: number, change: Partial<Dimension>, field: string) =>
    onChange(dimensions.with(i, { ...dimensions[i]!, ...change }), field);
  // a side of a feature other than its left is the next one's left: both name the same face
  const shown = (p: SurfaceId): string => {
    const { of, end } = surfaceName(p);
    const at = drawing.features.findIndex((f) => f.id === of);
    if (at < 0) return p;
    if (end === 'left') return at === 0 ? faceId(PART, 'left') : p;
    const next = drawing.features[at + 1];
    return next ? faceId(next.id, 'left') : faceId(PART, 'right');
  };
  return (
    <section aria-labelledby="datums" className="mx-5 mt-4 border-t border-[var(--line)] pt-2">
      <h2 id="datums" className="text-base">
        Sizes from datums
      </h2>
      <p className="muted text-sm">Lengths left empty above follow from these and from the whole.</p>
      <ol className="mt-1 flex flex-col gap-1">
        {dimensions.map((d, i) => (
          <li key={d.id} className="flex flex-wrap items-start gap-2">
            {(['from', 'to'] as const).map((end) => (
              <label key={end} className="flex items-center gap-1.5 text-sm">
                {end}
                <select
                  className="select select-sm h-9 w-52"
                  value={shown(d[end])}
                  data-field={`${d.id}-${end}`}
                  onChange={(e) => put(i, { [end]: e.target.value }, `${d.id}-${end}`)}
                >
                  {planes.map(([key, name]) => (
                    <option key={key} value={key}>
                      {name}
                    </option>
                  ))}
                </select>
              </label>
            ))}
            <TextField
              className="w-56"
              inline
              label={`Size, ${unit}`}
              value={d.size.text}
              problem={problemOf(i)}
              data={`${d.id}-size`}
              inputClass="input-sm h-9"
              onChange={(text) => put(i, { size: { ...d.size, text } }, `${d.id}-size`)}
            />
            <button
              type="button"
              className="quiet"
              aria-label={`Remove size ${i + 1}`}
              onClick={() => onChange(dimensions.toSpliced(i, 1), `${d.id}-remove`)}
            >
              <Trash2 size={16} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ol>
      <button
        type="button"
        className="btn btn-sm mt-1 h-9"
        onClick={() =>
          onChange(
            [
              ...dimensions,
              {
                id: fresh(),
                from: faceId(PART, 'left'),
                to: faceId(PART, 'right'),
                size: { text: '', unit },
                limits: '',
              },
            ],
            'dimensions',
          )
        }
      >
        <Plus size={15} aria-hidden="true" /> Add a size
      </button>
    </section>
  );
}
