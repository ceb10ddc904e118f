import type { Job } from '@whelk/core/job';
import {
  type BoreStep,
  type Drawing,
  emptyBoreStep,
  emptyFeature,
  type Feature,
  outsides,
  splitFeature,
  type WornSketch,
} from '@whelk/core/part';
import type { FeatureEnd } from '@whelk/core/picture';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { fromJson } from '../../ui/from-json.tsx';
import { useSeen } from '../../ui/useSeen.ts';
import { JobFrame, type StationProps } from '../frame/JobFrame.tsx';
import { useJob } from '../frame/useJob.ts';
import { usePlanned } from '../frame/usePlanned.ts';
import { DatumSizes } from './DatumSizes.tsx';
import { DrawingFoot } from './DrawingFoot.tsx';
import { EndsPanel } from './EndsPanel.tsx';
import { FeatureColumns } from './FeatureColumns.tsx';
import { FeatureTools } from './FeatureTools.tsx';
import { HoleColumns } from './HoleColumns.tsx';
import { handlesOf } from './handles.ts';

// what is not on the page from the start is not loaded with it
const Beginnings = lazy(() => import('./begin/Beginnings.tsx').then((m) => ({ default: m.Beginnings })));
const EndViewPanel = lazy(() => import('./EndViewPanel.tsx').then((m) => ({ default: m.EndViewPanel })));
const GeometryPanel = lazy(() => import('./GeometryPanel.tsx').then((m) => ({ default: m.GeometryPanel })));
const MatesPanel = lazy(() => import('./MatesPanel.tsx').then((m) => ({ default: m.MatesPanel })));
const FeatureTable = lazy(() => import('./FeatureTable.tsx').then((m) => ({ default: m.FeatureTable })));
const oneMoment = <p className="muted mx-5 mt-4">One moment …</p>;

/** A name that nothing in the drawing has: `f` outside, `h` holes, `d` details, `e` end view, `g` geometry, `m` mates. */
const nextId = ({ drawing }: Job, letter: 'f' | 'h' | 'd' | 'e' | 'g' | 'm' = 'f'): string => {
  const steps = [...drawing.features, ...drawing.bores.left, ...drawing.bores.right];
  const { holes, flats, notes } = drawing.endView;
  const used = new Set(
    [
      ...steps,
      ...steps.flatMap((s) => s.details),
      ...drawing.dimensions,
      ...holes,
      ...flats,
      ...notes,
      ...(drawing.geometry ?? []),
      ...(drawing.mates ?? []),
    ].map((x) => x.id),
  );
  for (let i = 1; ; i++) if (!used.has(`${letter}${i}`)) return `${letter}${i}`;
};

/** The drawing: features along Z in columns under the strip. */
function DrawingStation({ id, stored, shop, settings, runs }: StationProps) {
  const editor = useJob(id, stored);
  const [endRef, endSeen] = useSeen<HTMLDivElement>(1200);
  const [besideRef, besideSeen] = useSeen<HTMLDivElement>(1200);
  const { job } = editor;
  const { planned, progress } = usePlanned(job, shop, runs);
  const [selected, setSelected] = useState<string | undefined>(job.drawing.features[0]?.id);
  const [end, setEnd] = useState<FeatureEnd | null>(null);
  const [asTable, setAsTable] = useState(false);
  const [beginning, setBeginning] = useState(false);
  const focus = useRef<string>(undefined);
  const { features, unit } = job.drawing;

  useEffect(() => {
    if (!focus.current) return;
    const field = document.querySelector<HTMLInputElement>(`[data-field="${focus.current}"]`);
    // no further than it takes to see the field: the strip above should stay in sight
    field?.focus({ preventScroll: true });
    field?.scrollIntoView({ block: 'nearest' });
    focus.current = undefined;
  });

  const setFeatures = (make: (features: Feature[]) => Feature[], field = '') =>
    editor.change((j) => ({ ...j, drawing: { ...j.drawing, features: make([...j.drawing.features]) } }), field);
  const select = (id: string, part?: FeatureEnd) => {
    setSelected(id);
    setEnd(part ?? null);
  };
  const add = (at: number) => {
    const fresh = nextId(job);
    setFeatures((list) => list.toSpliced(at, 0, emptyFeature(fresh, unit)));
    setSelected(fresh);
    focus.current = `${fresh}-diameter`;
  };
  const setBores = (side: 'left' | 'right', steps: readonly BoreStep[], field: string) =>
    editor.change(
      (j) => ({ ...j, drawing: { ...j.drawing, bores: { ...j.drawing.bores, [side]: [...steps] } } }),
      field,
    );
  /** Takes a drawing in the place of the present one, with what holds for the job as a whole. */
  const begin = (drawing: Drawing) => {
    editor.change((j) => {
      const { generalClass, issue, decimals } = j.drawing;
      return { ...j, drawing: { ...drawing, generalClass, issue, decimals } };
    });
    setSelected(drawing.features[0]?.id);
    setBeginning(false);
  };
  const beginnings = {
    unit,
    onTake: begin,
    sketch: job.drawing.worn,
    instruments: shop.instruments,
    onSketch: (worn: WornSketch, field: string) =>
      editor.change((j) => ({ ...j, drawing: { ...j.drawing, worn } }), field),
  };
  const addHole = (side: 'left' | 'right') => {
    const fresh = nextId(job, 'h');
    setBores(side, [...job.drawing.bores[side], emptyBoreStep(fresh, unit)], `${fresh}-new`);
    setSelected(fresh);
    focus.current = `${fresh}-diameter`;
  };
  const remove = (at: number) => {
    setFeatures((list) => list.toSpliced(at, 1));
    setSelected(features[at + 1]?.id ?? features[at - 1]?.id);
  };
  const move = (at: number, by: 1 | -1) => {
    const to = at + by;
    if (to < 0 || to >= features.length) return;
    setFeatures((list) => list.toSpliced(at, 1).toSpliced(to, 0, list[at]!));
  };
  const step = (at: number, by: 1 | -1, field: string) => {
    const to = features[at + by];
    if (!to) return;
    setSelected(to.id);
    focus.current = `${to.id}-${field}`;
  };
  const selectedAt = features.findIndex((f) => f.id === selected);
  const made = outsides(planned.part).find((f) => f.id === selected);
  const halves = made && splitFeature(features[selectedAt]!, made, nextId(job));
  return (
    <JobFrame
      id={id}
      editor={editor}
      planned={planned}
      progress={progress}
      station="drawing"
      aside={
        features.length > 0 && (
          <button type="button" className="quiet" aria-pressed={asTable} onClick={() => setAsTable(!asTable)}>
            {asTable ? 'As columns' : 'As a table'}
          </button>
        )
      }
      selected={selected}
      selectedEnd={end}
      handles={handlesOf(planned.part, job.drawing, selected, (at, feature, field) =>
        setFeatures((list) => list.with(at, feature), field),
      )}
      tools={
        selectedAt >= 0 && (
          <FeatureTools
            onBefore={() => add(selectedAt)}
            onAfter={() => add(selectedAt + 1)}
            onSplit={halves && (() => setFeatures((list) => list.toSpliced(selectedAt, 1, ...halves)))}
            onRemove={() => remove(selectedAt)}
          />
        )
      }
      onSelect={(id, part) => {
        select(id, part);
        // its own field takes over, so that it can be typed at once
        if (part) focus.current = `${id}-${part === 'face' ? 'faceFinish' : part}`;
      }}
    >
      {features.length === 0 ? (
        <div className="page text-center">
          <h2>Nothing is drawn yet</h2>
          <p className="muted mt-1">
            Type the part as the paper drawing has it, from the headstock end to the tailstock end: one diameter after
            the other.
          </p>
          <button type="button" className="btn btn-primary mt-4" onClick={() => add(0)}>
            Add the first diameter
          </button>
          <p className="muted mt-6">Or begin from</p>
          <Suspense fallback={oneMoment}>
            <Beginnings {...beginnings} />
          </Suspense>
        </div>
      ) : asTable ? (
        <Suspense fallback={oneMoment}>
          <FeatureTable
            job={job}
            planned={planned}
            selected={selected}
            onSelect={select}
            onFeature={(at, feature, field) => setFeatures((list) => list.with(at, feature), field)}
            onBores={setBores}
            onAdd={add}
          />
        </Suspense>
      ) : (
        <FeatureColumns
          job={job}
          planned={planned}
          selected={selected}
          onSelect={select}
          onChange={(at, feature, field) => setFeatures((list) => list.with(at, feature), field)}
          onAdd={add}
          onRemove={remove}
          onMove={move}
          onStep={step}
          fresh={() => nextId(job, 'd')}
        />
      )}
      {features.length > 0 && !asTable && (
        <HoleColumns
          job={job}
          planned={planned}
          selected={selected}
          fresh={() => nextId(job, 'd')}
          onSelect={select}
          onChange={setBores}
          onAdd={addHole}
        />
      )}
      {features.length > 0 && (
        <EndsPanel
          job={job}
          planned={planned}
          onChange={(ends, field) => editor.change((j) => ({ ...j, drawing: { ...j.drawing, ends } }), field)}
        />
      )}
      {features.length > 0 && (
        <div ref={endRef} className="min-h-40">
          {endSeen && (
            <Suspense>
              <EndViewPanel
                job={job}
                planned={planned}
                selected={selected}
                fresh={() => nextId(job, 'e')}
                onSelect={select}
                onChange={(endView, field) =>
                  editor.change((j) => ({ ...j, drawing: { ...j.drawing, endView } }), field)
                }
              />
            </Suspense>
          )}
        </div>
      )}
      {features.length > 1 && (
        <DatumSizes
          job={job}
          planned={planned}
          fresh={() => nextId(job, 'd')}
          onChange={(dimensions, field) =>
            editor.change((j) => ({ ...j, drawing: { ...j.drawing, dimensions: [...dimensions] } }), field)
          }
        />
      )}
      {features.length > 0 && (
        <div ref={besideRef} className="min-h-40">
          {besideSeen && (
            <Suspense>
              <GeometryPanel
                job={job}
                planned={planned}
                fresh={() => nextId(job, 'g')}
                onChange={(change, field) =>
                  editor.change((j) => ({ ...j, drawing: { ...j.drawing, ...change } }), field)
                }
              />
              <MatesPanel
                id={id}
                job={job}
                planned={planned}
                saved={editor.state === 'saved'}
                fresh={() => nextId(job, 'm')}
                onChange={(mates, field) =>
                  editor.change((j) => ({ ...j, drawing: { ...j.drawing, mates: [...mates] } }), field)
                }
              />
            </Suspense>
          )}
        </div>
      )}
      {features.length > 0 && (
        <section className="mx-5 mt-4 border-t border-[var(--line)] pt-2" aria-label="Begin anew">
          <button type="button" className="quiet" aria-expanded={beginning} onClick={() => setBeginning(!beginning)}>
            {beginning ? 'Keep this drawing' : 'Begin anew from a pattern, a file or a worn part …'}
          </button>
          {beginning && (
            <Suspense fallback={oneMoment}>
              <Beginnings {...beginnings} />
            </Suspense>
          )}
        </section>
      )}
      <DrawingFoot job={job} planned={planned} settings={settings} change={editor.change} />
    </JobFrame>
  );
}

export default fromJson(DrawingStation);
