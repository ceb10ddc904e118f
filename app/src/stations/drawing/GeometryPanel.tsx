import type { Job, PlannedJob } from '@whelk/core/job';
import {
  type Datum,
  type Drawing,
  faceId,
  GEOMETRY_KINDS,
  type Geometry,
  geometryOf,
  type SurfaceId,
  surfaceName,
} from '@whelk/core/part';
import type { Problem } from '@whelk/core/quantity';
import { Plus, Trash2 } from 'lucide-react';
import { geometryNames, surfaceNames } from '../../messages/shapes.ts';
import { TextField } from '../../ui/number-field/TextField.tsx';
import { ProblemLine } from '../../ui/ProblemLine.tsx';

interface Props {
  readonly job: Job;
  readonly planned: PlannedJob;
  readonly fresh: () => string;
  readonly onChange: (change: Partial<Pick<Drawing, 'datums' | 'geometry'>>, field: string) => void;
}
const isFace = (id: SurfaceId): boolean => surfaceName(id).what !== 'itself';
const LETTERS = 'ABCDEFGHJK';

/** Every round surface and face of a drawing by the name it is seen by. */
function surfacesOf(drawing: Drawing): readonly { readonly surface: SurfaceId; readonly name: string }[] {
  const steps = [...drawing.features, ...drawing.bores.left, ...drawing.bores.right];
  return steps.flatMap((f, i) => {
    const name = f.name.trim() || (f.diameter.text.trim() ? `Ø${f.diameter.text.trim()}` : String(i + 1));
    return [
      { surface: f.id, name: surfaceNames.round(name) },
      ...(['left', 'right'] as const).map((end) => ({ surface: faceId(f.id, end), name: surfaceNames[end](name) })),
    ];
  });
}

/** Datums, and what is held to them: runout, concentricity, squareness, parallelism. */
export function GeometryPanel({ job, planned, fresh, onChange }: Props) {
  const { drawing } = job;
  const { datums = [], geometry = [] } = drawing;
  const surfaces = surfacesOf(drawing);
  const problemOf = (list: string, i: number, ...keys: string[]) =>
    planned.problems.find(
      (p) =>
        p.path[0] === 'drawing' &&
        p.path[1] === list &&
        p.path[2] === i &&
        (keys.length === 0 || keys.includes(String(p.path[3]))),
    );
  const putDatum = (i: number, change: Partial<Datum>) =>
    onChange({ datums: datums.with(i, { ...datums[i]!, ...change }) }, `datum-${i}`);
  const put = (i: number, change: Partial<Geometry>, field: string) =>
    onChange({ geometry: geometry.with(i, { ...geometry[i]!, ...change }) }, `${geometry[i]!.id}-${field}`);
  return (
    <section aria-labelledby="geometry" className="mx-5 mt-4 border-t border-[var(--line)] pt-2">
      <h2 id="geometry" className="text-base">
        Datums and what is true to them
      </h2>
      <ul className="mt-1 flex flex-col gap-1">
        {datums.map((d, i) => (
          <DatumRow
            // biome-ignore lint/suspicious/noArrayIndexKey: a datum's letter is typed over while it keeps its place
            key={i}
            datum={d}
            at={i}
            surfaces={surfaces}
            problem={problemOf('datums', i)}
            put={(change) => putDatum(i, change)}
            onRemove={() => onChange({ datums: datums.toSpliced(i, 1) }, 'datums')}
          />
        ))}
        {geometry.map((g, i) => (
          <GeometryRow
            key={g.id}
            held={g}
            at={i}
            {...{ datums, surfaces }}
            problemOf={(...keys) => problemOf('geometry', i, ...keys)}
            put={(change, field) => put(i, change, field)}
            onRemove={() => onChange({ geometry: geometry.toSpliced(i, 1) }, 'geometry')}
          />
        ))}
      </ul>
      <div className="mt-1 flex flex-wrap gap-2">
        <button
          type="button"
          className="btn btn-sm h-9"
          disabled={datums.length >= 10}
          onClick={() => {
            const letter = [...LETTERS].find((l) => !datums.some((d) => d.letter === l))!;
            onChange({ datums: [...datums, { letter, on: drawing.features[0]!.id }] }, 'datums');
          }}
        >
          <Plus size={15} aria-hidden="true" /> Make a datum
        </button>
        {datums.length > 0 && (
          <button
            type="button"
            className="btn btn-sm h-9"
            disabled={geometry.length >= 40}
            onClick={() =>
              onChange(
                {
                  geometry: [
                    ...geometry,
                    {
                      ...{ id: fresh(), kind: 'runout', datum: datums[0]!.letter },
                      on: (drawing.features.find((f) => f.id !== surfaceName(datums[0]!.on).of) ?? drawing.features[0]!)
                        .id,
                      tolerance: { text: '', unit: drawing.unit },
                    },
                  ],
                },
                'geometry',
              )
            }
          >
            <Plus size={15} aria-hidden="true" /> Hold a surface to it
          </button>
        )}
      </div>
    </section>
  );
}

type Surfaces = ReturnType<typeof surfacesOf>;

/** A round surface or a face of the drawing, chosen by its name. */
function SurfaceSelect({
  label,
  value,
  whats,
  surfaces,
  onPick: set,
}: {
  label: string;
  value: SurfaceId;
  whats: readonly ('round' | 'face')[];
  surfaces: Surfaces;
  onPick: (surface: SurfaceId) => void;
}) {
  return (
    <select
      className="select select-sm h-9 w-56"
      aria-label={label}
      value={value}
      onChange={(e) => set(e.target.value)}
    >
      {surfaces
        .filter(({ surface }) => whats.includes(isFace(surface) ? 'face' : 'round'))
        .map(({ surface, name }) => (
          <option key={surface} value={surface}>
            {name}
          </option>
        ))}
    </select>
  );
}

/** A datum: its letter and its surface. */
function DatumRow({
  datum: d,
  at: i,
  surfaces,
  problem,
  put,
  onRemove,
}: {
  datum: Datum;
  at: number;
  surfaces: Surfaces;
  problem: Problem | undefined;
  put: (change: Partial<Datum>) => void;
  onRemove: () => void;
}) {
  return (
    <li className="flex flex-wrap items-center gap-2 text-sm">
      Datum
      <select
        className="select select-sm h-9 w-16 font-bold"
        aria-label={`Letter of datum ${i + 1}`}
        value={d.letter}
        onChange={(e) => put({ letter: e.target.value })}
      >
        {[...LETTERS].map((letter) => (
          <option key={letter}>{letter}</option>
        ))}
      </select>
      is
      <SurfaceSelect
        label={`Surface of datum ${d.letter}`}
        value={d.on}
        whats={['round', 'face']}
        surfaces={surfaces}
        onPick={(on) => put({ on })}
      />
      <button type="button" className="quiet" aria-label={`Remove datum ${d.letter}`} onClick={onRemove}>
        <Trash2 size={16} aria-hidden="true" />
      </button>
      {problem && <ProblemLine problem={problem} />}
    </li>
  );
}

/** What is held to a datum, and how closely. */
function GeometryRow({
  held: g,
  at: i,
  datums,
  surfaces,
  problemOf,
  put,
  onRemove,
}: {
  held: Geometry;
  at: number;
  datums: readonly Datum[];
  surfaces: Surfaces;
  problemOf: (...keys: string[]) => Problem | undefined;
  put: (change: Partial<Geometry>, field: string) => void;
  onRemove: () => void;
}) {
  return (
    <li className="flex flex-wrap items-center gap-2 text-sm">
      <select
        className="select select-sm h-9 w-40"
        aria-label={`Kind of tolerance ${i + 1}`}
        value={g.kind}
        onChange={(e) => {
          const kind = e.target.value as Geometry['kind'];
          const fits = geometryOf[kind].includes(isFace(g.on) ? 'face' : 'round');
          const { of } = surfaceName(g.on);
          const other = geometryOf[kind][0] === 'face' ? faceId(of, 'left') : of;
          put({ kind, on: fits ? g.on : other }, 'kind');
        }}
      >
        {GEOMETRY_KINDS.map((kind) => (
          <option key={kind} value={kind}>
            {geometryNames[kind]}
          </option>
        ))}
      </select>
      of
      <SurfaceSelect
        label={`Surface of tolerance ${i + 1}`}
        value={g.on}
        whats={geometryOf[g.kind]}
        surfaces={surfaces}
        onPick={(on) => put({ on }, 'on')}
      />
      <TextField
        className="w-40"
        inline
        label={`within, ${g.tolerance.unit}`}
        value={g.tolerance.text}
        data={`${g.id}-tolerance`}
        inputClass="input-sm h-9"
        problem={problemOf('tolerance')}
        onChange={(text) => put({ tolerance: { ...g.tolerance, text } }, 'tolerance')}
      />
      to
      <select
        className="select select-sm h-9 w-20"
        aria-label={`Datum of tolerance ${i + 1}`}
        value={g.datum}
        onChange={(e) => put({ datum: e.target.value }, 'datum')}
      >
        <option value="">…</option>
        {datums.map((d) => (
          <option key={d.letter}>{d.letter}</option>
        ))}
      </select>
      <button type="button" className="quiet" aria-label={`Remove tolerance ${i + 1}`} onClick={onRemove}>
        <Trash2 size={16} aria-hidden="true" />
      </button>
      {problemOf('on', 'datum') && <ProblemLine problem={problemOf('on', 'datum')!} />}
    </li>
  );
}
