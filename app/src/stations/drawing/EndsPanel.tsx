import type { Job, PlannedJob } from '@whelk/core/job';
import { type Drawing, emptyFaceGroove, facesOf, PART, type PartEnd } from '@whelk/core/part';
import { Plus } from 'lucide-react';
import { faceWords } from '../../messages/faces.ts';
import { TextField } from '../../ui/number-field/TextField.tsx';
import { FaceGrooveRow } from './FaceGrooveRow.tsx';

interface Props {
  readonly job: Job;
  readonly planned: PlannedJob;
  readonly fresh: () => string;
  readonly onChange: (ends: Drawing['ends'], field: string) => void;
}
const names = { left: 'Headstock end', right: 'Tailstock end' } as const;

/** How each end of the part is made: faced, parted or left; its centre hole; a spigot that is taken off at last. */
export function EndsPanel({ job, planned, fresh, onChange }: Props) {
  const { ends, unit } = job.drawing;
  const blank = { text: '', unit };
  const problemOf = (side: string, ...rest: (string | number)[]) =>
    planned.problems.find(
      (p) =>
        p.path[0] === 'drawing' &&
        p.path[1] === 'ends' &&
        p.path[2] === side &&
        rest.every((r, k) => p.path[3 + k] === r),
    );
  const put = (side: 'left' | 'right', change: Partial<PartEnd>, field: string) =>
    onChange({ ...ends, [side]: { ...ends[side], ...change } }, `${side}-${field}`);
  return (
    <section aria-labelledby="ends" className="mx-5 mt-4 border-t border-[var(--line)] pt-2">
      <h2 id="ends" className="text-base">
        Ends
      </h2>
      {(['left', 'right'] as const).map((side) => {
        const end = ends[side];
        return (
          <fieldset key={side} className="mt-1">
            <legend className="visually-hidden">{names[side]}</legend>
            <div className="flex flex-wrap items-start gap-3">
              <p className="w-32 pt-6 font-bold">{names[side]}</p>
              <label className="text-sm">
                Made
                <select
                  className="select select-sm mt-0.5 flex h-10 w-40"
                  value={end.made}
                  data-field={`${side}-made`}
                  onChange={(e) => put(side, { made: e.target.value as PartEnd['made'] }, 'made')}
                >
                  <option value="faced">faced</option>
                  <option value="parted">parted off</option>
                  <option value="asBar">left as sawn</option>
                </select>
              </label>
              <TextField
                className="w-36"
                label="Centre hole"
                hint="as needed"
                value={end.centre}
                problem={problemOf(side, 'centre')}
                data={`${side}-centre`}
                onChange={(centre) => put(side, { centre: centre.slice(0, 16) }, 'centre')}
              />
              <label className="flex min-h-10 cursor-pointer items-center gap-2 self-end text-sm">
                <input
                  type="checkbox"
                  className="h-4 w-4"
                  checked={end.centreStays}
                  onChange={(e) => put(side, { centreStays: e.target.checked }, 'stays')}
                />
                it may stay
              </label>
              <label className="flex min-h-10 cursor-pointer items-center gap-2 self-end text-sm">
                <input
                  type="checkbox"
                  className="h-4 w-4"
                  checked={end.spigot !== null}
                  data-field={`${side}-spigot`}
                  onChange={(e) =>
                    put(side, { spigot: e.target.checked ? { diameter: blank, length: blank } : null }, 'spigot')
                  }
                />
                a spigot to grip, taken off at last
              </label>
              <button
                type="button"
                className="btn btn-sm h-10 self-end"
                disabled={(end.grooves ?? []).length >= 8}
                onClick={() =>
                  put(side, { grooves: [...(end.grooves ?? []), emptyFaceGroove(fresh(), unit)] }, 'groove')
                }
              >
                <Plus size={15} aria-hidden="true" /> Ring groove
              </button>
              {end.spigot &&
                (['diameter', 'length'] as const).map((key) => (
                  <TextField
                    key={key}
                    className="w-32"
                    label={`${key === 'diameter' ? 'Its Ø' : 'Its length'}, ${unit}`}
                    value={end.spigot![key].text}
                    problem={problemOf(side, 'spigot', key)}
                    data={`${side}-spigot-${key}`}
                    onChange={(text) =>
                      put(
                        side,
                        { spigot: { ...end.spigot!, [key]: { ...end.spigot![key], text: text.slice(0, 64) } } },
                        key,
                      )
                    }
                  />
                ))}
            </div>
            {(end.grooves ?? []).map((g, i) => (
              <FaceGrooveRow
                key={g.id}
                groove={g}
                faces={facesOf(planned.part)
                  .filter((f) => f.towards === side && f.of !== PART)
                  .map((f) => [f.id, faceWords(job.drawing, f.id)] as const)}
                title={`Ring groove ${i + 1}, ${names[side].toLowerCase()}`}
                unit={unit}
                problemOf={(field) => problemOf(side, 'grooves', i, field)}
                put={(change, field) =>
                  put(side, { grooves: end.grooves!.with(i, { ...g, ...change }) }, `groove-${g.id}-${field}`)
                }
                onRemove={() => put(side, { grooves: end.grooves!.toSpliced(i, 1) }, 'groove-remove')}
              />
            ))}
          </fieldset>
        );
      })}
    </section>
  );
}
