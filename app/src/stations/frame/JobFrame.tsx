import {
  type PlannedJob,
  type PlannedSetup,
  type Progress,
  type Settings,
  type Shop,
  STATIONS,
  type Station,
} from '@whelk/core/job';
import type { BoreStep, Drawing, Feature, Part } from '@whelk/core/part';
import { detailShape, diameterSign, hasOwnEnd, insides, outsides } from '@whelk/core/part';
import { type FeatureEnd, type StripView, stripPicture } from '@whelk/core/picture';
import { drawingDecimals, shortLength } from '@whelk/core/quantity';
import { Redo2, Undo2, ZoomIn } from 'lucide-react';
import { lazy, Suspense, useMemo, useState } from 'react';
import { stationNames } from '../../messages/words.ts';
import { TextField } from '../../ui/number-field/TextField.tsx';
import type { GlassWindow } from '../../ui/strip/Magnifier.tsx';
import { PictureView } from '../../ui/strip/PictureView.tsx';
import { type Handle, StripHandles } from '../../ui/strip/StripHandles.tsx';
import { UnitOfPage } from '../../ui/unit.ts';
import { useWidth } from '../../ui/useWidth.ts';
import { ConflictNotice } from './ConflictNotice.tsx';
import type { JobEditor, SaveState } from './useJob.ts';

// only long or tiny work is looked at through it
const Magnifier = lazy(() => import('../../ui/strip/Magnifier.tsx').then((m) => ({ default: m.Magnifier })));

export interface StationProps {
  readonly id: string;
  readonly stored: { job: JobEditor['job']; version: number; revision: number };
  readonly shop: Shop;
  readonly settings: Settings;
  readonly runs: readonly {
    id: string;
    piece: number;
    setup: number;
    open: boolean;
    outcome: string | null;
    stepIndex: number;
    stepCount: number;
    startedAt: string;
  }[];
}
const stateText: Record<SaveState, string> = {
  saved: 'saved',
  typing: 'typing',
  saving: 'saving',
  held: 'kept here, not saved yet: put right what is marked',
  away: 'the database is away: kept here, saved when it is back',
  conflict: 'changed elsewhere',
  gone: 'this job was deleted elsewhere; kept here',
};

interface Props {
  readonly id: string;
  readonly editor: JobEditor;
  readonly planned: PlannedJob;
  readonly progress: Progress;
  readonly station: Station;
  readonly selected?: string;
  /** a face or chamfer of the selected feature; where it is given, even empty, they can be selected on their own */
  readonly selectedEnd?: FeatureEnd | null;
  readonly onSelect?: (featureId: string, end?: FeatureEnd) => void;
  readonly showHolding?: boolean;
  /** the holding that is shown where it is not the first one */
  readonly setup?: PlannedSetup;
  readonly bent?: StripView['bent'];
  readonly cut?: Parameters<typeof stripPicture>[1]['cut'];
  /** lines of the selected feature that can be dragged */
  readonly handles?: readonly Handle[];
  /** what can be done to the selected feature, beside Undo */
  readonly tools?: React.ReactNode;
  readonly aside?: React.ReactNode;
  /** what stands in the place of the strip's picture, as wide */
  readonly instead?: (width: number) => React.ReactNode;
  readonly children: React.ReactNode;
}

/** What every station has: title, saving, the strip, the tabs. */
export function JobFrame({
  id,
  editor,
  planned,
  progress,
  station,
  selected,
  selectedEnd,
  onSelect,
  showHolding,
  setup,
  bent,
  cut,
  handles,
  tools,
  aside,
  instead,
  children,
}: Props) {
  const { job } = editor;
  const [ref, width] = useWidth<HTMLDivElement>(1240);
  const { unit } = job.drawing;
  const [glass, setGlass] = useState(false);
  const [glassOver, setGlassOver] = useState<GlassWindow>();
  const inLathe = setup ?? planned.setups[0];
  const blank = inLathe?.piece ?? (planned.kind === 'open' ? planned.piece : undefined);
  const part = (showHolding ? blank?.part : undefined) ?? planned.part;
  const view = useMemo(() => {
    const shown = (mm: number) => shortLength(mm, unit, drawingDecimals(unit) + 1);
    return {
      textSize: 15,
      selectedId: selected,
      selectedEnd: selectedEnd ?? undefined,
      ends: selectedEnd !== undefined,
      labels: labelsOf(part, job.drawing),
      besides: true,
      overall: outsides(part).length > 0 ? `${shown(part.lengthMm)} ${unit}` : '',
      held: showHolding ? inLathe?.plan.held : undefined,
      metal: showHolding ? blank?.contour : undefined,
      bent,
      cut,
    };
  }, [part, blank, inLathe, selected, selectedEnd, unit, job.drawing, showHolding, cut, bent]);
  const picture = useMemo(() => stripPicture(part, { ...view, width, height: 236 }), [part, view, width]);
  const step = (by: 1 | -1) => {
    const ids = [...outsides(part), ...insides(part)].map((f) => f.id);
    const at = selected ? ids.indexOf(selected) : by > 0 ? -1 : ids.length;
    const next = ids[Math.min(ids.length - 1, Math.max(0, at + by))];
    if (next) onSelect?.(next);
  };
  const go = (to: Station | 'printed' | 'revisions') => async (event: React.MouseEvent) => {
    if (editor.state === 'saved' || event.metaKey || event.ctrlKey) return;
    event.preventDefault();
    await editor.saveNow();
    location.href = `/jobs/${id}/${to}`;
  };
  return (
    <UnitOfPage.Provider value={unit}>
      <section className="strip-paper">
        <FrameHead {...{ id, editor, tools, glass, setGlass, go }} />
        {/* biome-ignore lint/a11y/useSemanticElements: the strip is a drawing that can be stepped through, not a form's group */}
        <div
          ref={ref}
          role="group"
          // biome-ignore lint/a11y/noNoninteractiveTabindex: arrow keys step through the features
          tabIndex={0}
          aria-label={`Strip: ${outsides(planned.part).length} features. Left and right arrow select.`}
          className="relative"
          onKeyDown={(event) => {
            if (event.key === 'ArrowRight') step(1);
            else if (event.key === 'ArrowLeft') step(-1);
            else return;
            event.preventDefault();
          }}
        >
          {instead ? (
            instead(width)
          ) : (
            <PictureView picture={picture} label={describe(planned, unit)} onSelect={onSelect} />
          )}
          {glassOver && <GlassFrame over={glassOver} width={picture.width} height={picture.height} />}
          {handles && <StripHandles picture={picture} handles={handles} />}
        </div>
        {glass && (
          <Suspense>
            <Magnifier part={part} view={view} onSelect={onSelect} onWindow={setGlassOver} />
          </Suspense>
        )}
      </section>
      <StationTabs {...{ id, progress, station, aside, go }} />
      {editor.conflict && <ConflictNotice editor={editor} />}
      {children}
    </UnitOfPage.Provider>
  );
}

/** Labels of the strip: each diameter as the drawing has it, outside and in holes. */
const labelsOf = (part: Part, { features, bores }: Drawing) => [
  ...outsides(part).map((f) => ({ id: f.id, text: labelOf(features[f.index], f.limits.how === 'mate') })),
  ...insides(part).map((b) => ({
    id: b.id,
    text: labelOf(
      [...bores.left, ...bores.right].find((step) => step.id === b.id),
      b.limits.how === 'mate',
    ),
  })),
];

type Go = (to: Station | 'printed' | 'revisions') => (event: React.MouseEvent) => void;

/** The title, whether it is saved, and what can be done to the drawing as a whole. */
function FrameHead({
  id,
  editor,
  tools,
  glass,
  setGlass,
  go,
}: Pick<Props, 'id' | 'editor' | 'tools'> & { glass: boolean; setGlass: (glass: boolean) => void; go: Go }) {
  return (
    <div className="flex flex-wrap items-baseline gap-x-4 px-5 pt-2">
      <Title editor={editor} />
      <span className="muted text-sm" role="status">
        <a className="link" href={`/jobs/${id}/revisions`} onClick={go('revisions')}>
          revision {editor.revision}
        </a>{' '}
        · {stateText[editor.state]}
      </span>
      <span className="ml-auto flex flex-wrap items-center gap-1 text-sm">
        {tools}
        <button
          type="button"
          className="quiet inline-flex items-center gap-1"
          aria-pressed={glass}
          onClick={() => setGlass(!glass)}
        >
          <ZoomIn size={16} aria-hidden="true" /> Magnify
        </button>
        <button
          type="button"
          className="quiet inline-flex items-center gap-1"
          onClick={editor.undo}
          disabled={!editor.undo}
        >
          <Undo2 size={16} aria-hidden="true" /> Undo
        </button>
        <button
          type="button"
          className="quiet inline-flex items-center gap-1"
          onClick={editor.redo}
          disabled={!editor.redo}
        >
          <Redo2 size={16} aria-hidden="true" /> Redo
        </button>
        <a className="quiet" href={`/jobs/${id}/printed`} onClick={go('printed')}>
          Print and files
        </a>
        <a className="quiet" href={`/api/jobs/${id}/export`} download>
          Export .json
        </a>
      </span>
    </div>
  );
}

/** The stations as tabs, each with how far it is. */
function StationTabs({
  id,
  progress,
  station,
  aside,
  go,
}: Pick<Props, 'id' | 'progress' | 'station' | 'aside'> & { go: Go }) {
  return (
    <nav aria-label="Stations" className="tabs-bench">
      {STATIONS.map((name) => (
        <a
          key={name}
          href={`/jobs/${id}/${name}`}
          aria-current={name === station ? 'page' : undefined}
          onClick={go(name)}
        >
          <StationDot done={progress.done.includes(name)} now={progress.now === name} />
          {stationNames[name]}
        </a>
      ))}
      {aside && <div className="ml-auto self-center py-1 text-sm">{aside}</div>}
    </nav>
  );
}

/** What the glass covers, as a frame over the strip; no larger than the strip is. */
function GlassFrame({ over, width, height }: { over: GlassWindow; width: number; height: number }) {
  const left = Math.max(2, over[0]);
  const top = Math.max(2, over[1]);
  return (
    <span
      className="glass-over"
      aria-hidden="true"
      style={{
        left,
        top,
        width: Math.min(width - 2, over[0] + over[2]) - left,
        height: Math.min(height - 2, over[1] + over[3]) - top,
      }}
    />
  );
}

/** Full: done; half: here; ring: to come. */
function StationDot({ done, now }: { done: boolean; now: boolean }) {
  return (
    <>
      <svg width="12" height="12" viewBox="0 0 12 12" aria-hidden="true">
        <circle cx="6" cy="6" r="4.5" fill={done ? 'var(--good)' : 'none'} stroke="var(--good)" strokeWidth="2" />
        {now && !done && <path d="M6 1.500a4.500 4.500 0 0 0 0 9z" fill="var(--good)" />}
      </svg>
      <span className="visually-hidden">{done ? 'done: ' : now ? 'now: ' : 'to come: '}</span>
    </>
  );
}

function Title({ editor }: { editor: JobEditor }) {
  const [editing, setEditing] = useState(false);
  const { title } = editor.job;
  if (!editing)
    return (
      <h1 className="text-xl">
        <button type="button" className="cursor-text font-bold" onClick={() => setEditing(true)} title="Rename">
          {title || 'Without a title'}
        </button>
      </h1>
    );
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        setEditing(false);
      }}
      className="flex items-end gap-2"
    >
      <TextField
        label="Title"
        hideLabel
        value={title}
        inputClass="input-sm"
        problem={
          title.trim() === ''
            ? { code: 'length.empty', path: [] }
            : title.length > 80
              ? { code: 'input.tooBig', path: [], limit: '80 characters' }
              : undefined
        }
        onChange={(text) => editor.change((job) => ({ ...job, title: text }), 'title')}
      />
      <button type="submit" className="quiet">
        Done
      </button>
    </form>
  );
}

function describe(planned: PlannedJob, unit: 'mm' | 'in'): string {
  const lengths = outsides(planned.part);
  if (lengths.length === 0) return 'Nothing is drawn yet.';
  const shown = (mm: number) => shortLength(mm, unit, drawingDecimals(unit) + 1);
  return `The part, from the left: ${lengths.map((f) => `${f.name || 'diameter'} ${shown(f.diameterMm)} long ${shown(f.zToMm - f.zFromMm)}`).join('; ')}; whole length ${shown(planned.part.lengthMm)} ${unit}.`;
}

/** A size as the drawing labels it: both ends where they differ, a ball by its sphere, threads by their names. */
function labelOf(feature: Feature | BoreStep | undefined, toMate: boolean): string {
  if (!feature) return '';
  const named = feature.details.map((d) => detailShape(d.kind).nameOf?.(d) ?? '').find(Boolean);
  if (named) return named;
  const limits = toMate ? ' to its mate' : feature.limits.trim() ? ` ${feature.limits.trim()}` : '';
  const end = hasOwnEnd(feature.kind) || feature.kind === 'countersunk' ? feature.end?.text.trim() : '';
  const to = end && end !== feature.diameter.text.trim() ? `–${end}` : '';
  return `${diameterSign(feature.kind)}${feature.diameter.text.trim()}${to}${limits}`;
}
