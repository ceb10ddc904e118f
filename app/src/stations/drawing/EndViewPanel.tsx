import type { Job, PlannedJob } from '@whelk/core/job';
import { type DrawnFlat, type DrawnHole, type EndView, emptyKeyway, insides } from '@whelk/core/part';
import { endViewPicture } from '@whelk/core/picture';
import { Plus } from 'lucide-react';
import { PictureView } from '../../ui/strip/PictureView.tsx';
import { FlatRow, HoleRow, NoteRow } from './EndViewRows.tsx';
import { KeywayRow } from './KeywayRow.tsx';

interface Props {
  readonly job: Job;
  readonly planned: PlannedJob;
  readonly selected: string | undefined;
  readonly fresh: () => string;
  readonly onSelect: (id: string) => void;
  readonly onChange: (endView: EndView, field: string) => void;
}
/** The part seen from the tailstock beside a list of what is only to be seen there. */
export function EndViewPanel({ job, planned, selected, fresh, onSelect, onChange }: Props) {
  const { endView, unit } = job.drawing;
  const problemOf = (list: string, i: number, ...rest: string[]) => {
    const own = ['drawing', 'endView', list, i, ...rest];
    return planned.problems.find((p) => own.every((part, k) => p.path[k] === part));
  };
  /** What a row of one of the lists is given. */
  const rowOf = <List extends keyof EndView>(list: List, i: number, drawn: NonNullable<EndView[List]>[number]) => ({
    ...{ drawn, unit, on: drawn.id === selected },
    problemOf: (...field: string[]) => problemOf(list, i, ...field),
    put: (change: object, field: string) =>
      onChange({ ...endView, [list]: (endView[list] as object[]).with(i, { ...drawn, ...change }) }, field),
    onFocus: () => onSelect(drawn.id),
    onRemove: () => onChange({ ...endView, [list]: (endView[list] as object[]).toSpliced(i, 1) }, `${drawn.id}-remove`),
  });
  const count = (n: number, text: string) => (n > 1 ? `${n}× ${text}` : text);
  const picture = endViewPicture(planned.part, {
    width: 340,
    height: 300,
    textSize: 14,
    selectedId: selected,
    labels: Object.fromEntries(
      endView.holes.map((h) => [h.id, count(h.count, h.thread?.trim() || `Ø${h.diameter.text.trim()}`)]),
    ),
  });
  const things = endView.holes.length + endView.flats.length + (endView.keyways ?? []).length + endView.notes.length;
  return (
    <section aria-labelledby="end-view" className="mx-5 mt-4 border-t border-[var(--line)] pt-2">
      <h2 id="end-view" className="text-base">
        End view
      </h2>
      <div className="flex flex-wrap gap-x-8 gap-y-2">
        {(things > 0 || insides(planned.part).length > 0) && (
          <figure className="w-[340px]">
            <PictureView
              picture={picture}
              label="The part seen from the tailstock end"
              textSize={14}
              onSelect={onSelect}
            />
            <figcaption className="muted text-sm">
              from the tailstock end; angles from three o’clock, anticlockwise
            </figcaption>
          </figure>
        )}
        <div className="flex min-w-72 flex-1 flex-col gap-2">
          {endView.holes.map((h, i) => (
            <HoleRow key={h.id} title={`Hole ${i + 1}`} {...rowOf('holes', i, h)} />
          ))}
          {endView.flats.map((f, i) => (
            <FlatRow key={f.id} title={`Flats ${i + 1}`} {...rowOf('flats', i, f)} />
          ))}
          {(endView.keyways ?? []).map((k, i) => (
            <KeywayRow key={k.id} title={`Keyway ${i + 1}`} {...rowOf('keyways', i, k)} />
          ))}
          {endView.notes.map((n, i) => (
            <NoteRow key={n.id} title={`Note ${i + 1}`} {...rowOf('notes', i, n)} />
          ))}
          <Adding {...{ endView, unit, fresh, onSelect, onChange }} />
        </div>
      </div>
    </section>
  );
}

/** What can be added to the list. */
function Adding({
  endView,
  unit,
  fresh,
  onSelect,
  onChange,
}: Pick<Props, 'fresh' | 'onSelect' | 'onChange'> & { endView: EndView; unit: 'mm' | 'in' }) {
  const blank = { text: '', unit };
  return (
    <div className="flex flex-wrap gap-2">
      <button
        type="button"
        className="btn btn-sm h-9"
        onClick={() => {
          const id = fresh();
          const hole: DrawnHole = {
            ...{ id, name: '', way: 'right', place: blank, count: 1, angle: '', diameter: blank, limits: '' },
            ...{ depth: blank, counterbore: null },
          };
          onChange({ ...endView, holes: [...endView.holes, hole] }, `${id}-new`);
          onSelect(id);
        }}
      >
        <Plus size={15} aria-hidden="true" /> Add holes
      </button>
      <button
        type="button"
        className="btn btn-sm h-9"
        onClick={() => {
          const flat: DrawnFlat = {
            id: fresh(),
            across: blank,
            count: 2,
            angle: '',
            from: 'right',
            length: blank,
          };
          onChange({ ...endView, flats: [...endView.flats, flat] }, `${flat.id}-new`);
        }}
      >
        <Plus size={15} aria-hidden="true" /> Add flats
      </button>
      <button
        type="button"
        className="btn btn-sm h-9"
        onClick={() => {
          const id = fresh();
          onChange({ ...endView, keyways: [...(endView.keyways ?? []), emptyKeyway(id, unit)] }, `${id}-new`);
          onSelect(id);
        }}
      >
        <Plus size={15} aria-hidden="true" /> Add a keyway
      </button>
      <button
        type="button"
        className="btn btn-sm h-9"
        onClick={() => {
          const id = fresh();
          onChange({ ...endView, notes: [...endView.notes, { id, angle: '', text: '' }] }, `${id}-new`);
        }}
      >
        <Plus size={15} aria-hidden="true" /> Add a note
      </button>
    </div>
  );
}
