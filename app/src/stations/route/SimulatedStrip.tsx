import { type Contour, extentOf, flatten } from '@whelk/core/contour';
import type { PlannedSetup, ProvedSetup } from '@whelk/core/job';
import { simulationPicture } from '@whelk/core/picture';
import { type Finding, momentOf } from '@whelk/core/simulate';
import { ChevronFirst, ChevronLast, Pause, Play, StepBack, StepForward } from 'lucide-react';
import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { operationTitle } from '../../desks/operation/kinds.ts';
import { PictureView } from '../../ui/strip/PictureView.tsx';
import { useSettled } from '../../ui/useSettled.ts';

const Solid = lazy(() => import('../../ui/solid/Solid.tsx').then((m) => ({ default: m.Solid })));

/** A pass that is not played slowly takes about so long, seconds. */
const PASS_S = 0.9;

/** A moment to go to: the pass of something that was found. */
export interface GoTo {
  readonly finding: Finding;
}

/** The strip while the simulation is shown: the metal as it is cut, the tool in its true shape, and the hands of a player under it. */
export function SimulatedStrip({
  setup,
  proof,
  width,
  unit,
  nameOf,
  goTo,
}: {
  setup: PlannedSetup;
  proof: ProvedSetup;
  width: number;
  unit: 'mm' | 'in';
  nameOf: (featureId: string | undefined) => string;
  goTo: GoTo | undefined;
}) {
  const { frames } = proof;
  const [at, setAt] = useState(0);
  const [playing, setPlaying] = useState(false);
  const [outside, setOutside] = useState(false);
  const [solid, setSolid] = useState(false);
  usePlaying(playing, () => setPlaying(false), setAt, frames.length);
  useEffect(() => {
    if (!goTo) return;
    const { operationId, passNumber = 1 } = goTo.finding;
    const found = frames.findIndex((f) => f.operationId === operationId && f.passNumber >= passNumber);
    setPlaying(false);
    setAt(found < 0 ? frames.length : found + 0.999);
  }, [goTo, frames]);
  const moment = useMemo(() => momentOf(proof, at), [proof, at]);
  const frame = frames[moment.index];
  const operation = setup.plan.operations.find((o) => o.id === frame?.operationId);
  const { held } = setup.plan;
  const wide = solid ? width - SOLID_PX : width;
  const picture = useMemo(
    () =>
      held &&
      simulationPicture(setup.piece.part, {
        ...{
          width: wide,
          height: 236,
          held,
          blank: proof.begin,
          metal: moment.metal,
          look: outside ? 'outside' : 'section',
        },
        ...(moment.tool && { tool: { ...moment.tool.shape, at: moment.tool.at } }),
        ...(goTo && { mark: goTo.finding }),
      }),
    [setup, held, proof, moment, wide, outside, goTo],
  );
  if (!picture) return null;
  const title = operation
    ? operationTitle(operation, { unit, name: nameOf(operation.featureId), setupNumber: setup.number })
    : 'All passes are cut';
  const passes = frames.filter((f) => f.operationId === frame?.operationId).length;
  const step = (by: number) => {
    setPlaying(false);
    setAt((now) => Math.min(frames.length, Math.max(0, by > 0 ? Math.floor(now) + by : Math.ceil(now) + by)));
  };
  return (
    <>
      <div className="flex">
        <div className="min-w-0 flex-1">
          <PictureView picture={picture} label={`${title}: the work as it is cut`} />
        </div>
        {solid && (
          <div className="border-l border-[var(--line)]" style={{ width: SOLID_PX, height: 236 }}>
            <Suspense fallback={<p className="muted p-5">Loading…</p>}>
              <SolidNow metal={moment.metal} begin={proof.begin} opened={!outside} title={title} />
            </Suspense>
          </div>
        )}
      </div>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-[var(--line)] px-5 py-2">
        <div className="join">
          <button
            type="button"
            className="btn btn-sm join-item"
            aria-label="To the blank"
            onClick={() => step(-frames.length)}
          >
            <ChevronFirst size={17} />
          </button>
          <button type="button" className="btn btn-sm join-item" aria-label="One pass back" onClick={() => step(-1)}>
            <StepBack size={17} />
          </button>
          <button
            type="button"
            className="btn btn-sm join-item w-24"
            onClick={() => {
              if (at >= frames.length) setAt(0);
              setPlaying(!playing);
            }}
          >
            {playing ? <Pause size={17} /> : <Play size={17} />} {playing ? 'Stop' : 'Play'}
          </button>
          <button type="button" className="btn btn-sm join-item" aria-label="One pass on" onClick={() => step(1)}>
            <StepForward size={17} />
          </button>
          <button
            type="button"
            className="btn btn-sm join-item"
            aria-label="To the end"
            onClick={() => step(frames.length)}
          >
            <ChevronLast size={17} />
          </button>
        </div>
        <input
          type="range"
          className="range range-sm min-w-40 flex-1"
          aria-label="Pass"
          aria-valuetext={title}
          min={0}
          max={frames.length}
          step={0.02}
          value={at}
          onChange={(e) => {
            setPlaying(false);
            setAt(Number(e.target.value));
          }}
        />
        <span className="w-72 truncate text-sm" data-pass>
          <b>{title}</b>
          {frame && passes > 1 ? ` · pass ${frame.passNumber} of ${passes}` : ''}
        </span>
        <button type="button" className="quiet text-sm" aria-pressed={solid} onClick={() => setSolid(!solid)}>
          {solid ? 'Without the solid' : 'As a solid'}
        </button>
        <button type="button" className="quiet text-sm" aria-pressed={outside} onClick={() => setOutside(!outside)}>
          {outside ? 'Cut it open' : 'From outside'}
        </button>
      </div>
    </>
  );
}

/** Room for the solid beside the strip, picture units. */
const SOLID_PX = 380;
/** Arcs of a solid are followed within this, mm. */
const SOLID_CLOSE_MM = 0.02;

/** The work as a solid to turn; it follows when the hand rests. */
function SolidNow({ metal, begin, opened, title }: { metal: Contour; begin: Contour; opened: boolean; title: string }) {
  const rested = useSettled(metal, 120);
  const outlines = useMemo(
    () => rested.loops.map((loop) => flatten([...loop, loop[0]!], SOLID_CLOSE_MM).slice(0, -1)),
    [rested],
  );
  const size = extentOf(begin);
  const sizeMm = size ? Math.max(size.zToMm - size.zFromMm, 2 * size.largestMm) : 1;
  return <Solid {...{ outlines, sizeMm, opened }} label={`${title}: the work as a solid. Arrow keys turn it.`} />;
}

/** Time goes on with every frame of the screen while it plays. */
function usePlaying(
  playing: boolean,
  onEnd: () => void,
  setAt: (change: (at: number) => number) => void,
  count: number,
): void {
  const end = useRef(onEnd);
  end.current = onEnd;
  useEffect(() => {
    if (!playing) return;
    let frame = 0;
    let last = performance.now();
    const tick = (now: number) => {
      const by = (now - last) / 1000 / PASS_S;
      last = now;
      let over = false;
      setAt((at) => {
        const next = Math.min(count, at + by);
        over = next >= count;
        return next;
      });
      if (over) end.current();
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [playing, setAt, count]);
}
