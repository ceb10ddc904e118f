import type { Job, PlannedJob } from '@whelk/core/job';
import { type Drawing, outsides, splitFeature, type WornSketch } from '@whelk/core/part';
import { lazy, Suspense, useState } from 'react';
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
import { TurnRound, turnedRound } from './TurnRound.tsx';
import { nextId, useFeatures } from './useFeatures.ts';

// what is not on the page from the start is not loaded with it
const Beginnings = lazy(() => import('./begin/Beginnings.tsx').then((m) => ({ default: m.Beginnings })));
const EndViewPanel = lazy(() => import('./EndViewPanel.tsx').then((m) => ({ default: m.EndViewPanel })));
const GeometryPanel = lazy(() => import('./GeometryPanel.tsx').then((m) => ({ default: m.GeometryPanel })));
const MatesPanel = lazy(() => import('./MatesPanel.tsx').then((m) => ({ default: m.MatesPanel })));
const FeatureTable = lazy(() => import('./FeatureTable.tsx').then((m) => ({ default: m.FeatureTable })));
const oneMoment = <p className="muted mx-5 mt-4">One moment …</p>;

/** The drawing: features along Z in columns under the strip. */
function DrawingStation({ id, stored, shop, settings, runs }: StationProps) {
  const editor = useJob(id, stored);
  const { job } = editor;
  const { planned, progress } = usePlanned(job, shop, runs);
  const of = useFeatures(job, editor.change);
  const { selected, select, setFeatures, setBores, add } = of;
  const [asTable, setAsTable] = useState(false);
  const { features, unit } = job.drawing;

  /** Takes a drawing in the place of the present one, with what holds for the job as a whole. */
  const begin = (drawing: Drawing) => {
    editor.change((j) => {
      const { generalClass, issue, decimals } = j.drawing;
      return { ...j, drawing: { ...drawing, generalClass, issue, decimals } };
    });
    of.setSelected(drawing.features[0]?.id);
  };
  const beginnings = {
    unit,
    onTake: begin,
    sketch: job.drawing.worn,
    instruments: shop.instruments,
    onSketch: (worn: WornSketch, field: string) =>
      editor.change((j) => ({ ...j, drawing: { ...j.drawing, worn } }), field),
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
          <>
            <TurnRound drawing={job.drawing} onTurn={(drawing) => editor.change((j) => turnedRound(j, drawing))} />
            <button type="button" className="quiet" aria-pressed={asTable} onClick={() => setAsTable(!asTable)}>
              {asTable ? 'As columns' : 'As a table'}
            </button>
          </>
        )
      }
      selected={selected}
      selectedEnd={of.end}
      handles={handlesOf(planned.part, job.drawing, selected, (at, feature, field) =>
        setFeatures((list) => list.with(at, feature), field),
      )}
      tools={
        selectedAt >= 0 && (
          <FeatureTools
            onBefore={() => add(selectedAt)}
            onAfter={() => add(selectedAt + 1)}
            onSplit={halves && (() => setFeatures((list) => list.toSpliced(selectedAt, 1, ...halves)))}
            onRemove={() => of.remove(selectedAt)}
          />
        )
      }
      onSelect={(id, part) => {
        select(id, part);
        // its own field takes over, so that it can be typed at once
        if (part) of.focusOn(`${id}-${part === 'face' ? 'faceFinish' : part}`);
      }}
    >
      {features.length === 0 ? (
        <Empty {...beginnings} onAdd={() => add(0)} />
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
          onRemove={of.remove}
          onMove={of.move}
          onStep={of.step}
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
          onAdd={of.addHole}
        />
      )}
      {features.length > 0 && (
        <Beside
          {...{ id, job, planned, selected }}
          saved={editor.state === 'saved'}
          onSelect={select}
          change={(drawing, field) => editor.change((j) => ({ ...j, drawing: { ...j.drawing, ...drawing } }), field)}
        />
      )}
      {features.length > 0 && <BeginAnew {...beginnings} />}
      <DrawingFoot job={job} planned={planned} settings={settings} change={editor.change} />
    </JobFrame>
  );
}

/** What a drawing can be begun from. */
type FromElsewhere = React.ComponentProps<typeof Beginnings>;

/** Before anything is drawn: the first diameter, or another beginning. */
function Empty({ onAdd, ...beginnings }: FromElsewhere & { onAdd: () => void }) {
  return (
    <div className="page text-center">
      <h2>Nothing is drawn yet</h2>
      <p className="muted mt-1">
        Type the part as the paper drawing has it, from the headstock end to the tailstock end: one diameter after the
        other.
      </p>
      <button type="button" className="btn btn-primary mt-4" onClick={onAdd}>
        Add the first diameter
      </button>
      <p className="muted mt-6">Or begin from</p>
      <Suspense fallback={oneMoment}>
        <Beginnings {...beginnings} />
      </Suspense>
    </div>
  );
}

/** Another beginning in the place of what is drawn; closed again once one is taken. */
function BeginAnew({ onTake, ...beginnings }: FromElsewhere) {
  const [open, setOpen] = useState(false);
  return (
    <section className="mx-5 mt-4 border-t border-[var(--line)] pt-2" aria-label="Begin anew">
      <button type="button" className="quiet" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'Keep this drawing' : 'Begin anew from a pattern, a file or a worn part …'}
      </button>
      {open && (
        <Suspense fallback={oneMoment}>
          <Beginnings
            {...beginnings}
            onTake={(drawing) => {
              onTake(drawing);
              setOpen(false);
            }}
          />
        </Suspense>
      )}
    </section>
  );
}

/** What is drawn besides the lengths: ends, end view, sizes from datums, geometry, mates; loaded when it comes into sight. */
function Beside({
  id,
  job,
  planned,
  selected,
  saved,
  onSelect,
  change,
}: {
  id: string;
  job: Job;
  planned: PlannedJob;
  selected: string | undefined;
  saved: boolean;
  onSelect: (id: string) => void;
  change: (drawing: Partial<Drawing>, field: string) => void;
}) {
  const [endRef, endSeen] = useSeen<HTMLDivElement>(1200);
  const [besideRef, besideSeen] = useSeen<HTMLDivElement>(1200);
  const { features } = job.drawing;
  return (
    <>
      <EndsPanel
        job={job}
        planned={planned}
        fresh={() => nextId(job, 'd')}
        onChange={(ends, field) => change({ ends }, field)}
      />
      <div ref={endRef} className="min-h-40">
        {endSeen && (
          <Suspense>
            <EndViewPanel
              job={job}
              planned={planned}
              selected={selected}
              fresh={() => nextId(job, 'e')}
              onSelect={onSelect}
              onChange={(endView, field) => change({ endView }, field)}
            />
          </Suspense>
        )}
      </div>
      {features.length > 1 && (
        <DatumSizes
          job={job}
          planned={planned}
          fresh={() => nextId(job, 'd')}
          onChange={(dimensions, field) => change({ dimensions: [...dimensions] }, field)}
        />
      )}
      <div ref={besideRef} className="min-h-40">
        {besideSeen && (
          <Suspense>
            <GeometryPanel
              job={job}
              planned={planned}
              fresh={() => nextId(job, 'g')}
              onChange={(more, field) => change(more, field)}
            />
            <MatesPanel
              id={id}
              job={job}
              planned={planned}
              saved={saved}
              fresh={() => nextId(job, 'm')}
              onChange={(mates, field) => change({ mates: [...mates] }, field)}
            />
          </Suspense>
        )}
      </div>
    </>
  );
}

export default fromJson(DrawingStation);
