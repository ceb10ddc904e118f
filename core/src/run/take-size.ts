import { signOf } from '../gauge/index.ts';
import { finenessOf } from '../lathe/index.ts';
import type { Told } from './event.ts';
import { expectedOf } from './expect.ts';
import type { FrozenRun } from './frozen.ts';
import { FINE_SHARE, placeOf } from './move/hands.ts';
import { ringsOf } from './move/next.ts';
import { reckonedShare, sampleOf } from './move/spring.ts';
import { sideOf } from './side-of.ts';
import type { MeasuredCut, RunState } from './state.ts';
import { coneIn } from './taper.ts';
import { threadOf } from './thread.ts';

/** The state while it is being replayed: its own, so that ten thousand events need no ten thousand copies. */
export type Draft = { -readonly [K in keyof RunState]: RunState[K] extends readonly (infer T)[] ? T[] : RunState[K] };

/** A measured size makes the rings' numbers worth a diameter, and shows what the last cut sprang. */
export function takeSize(
  run: FrozenRun,
  draft: Draft,
  featureId: string,
  sizeMm: number,
  uncertaintyMm: number,
  trial: boolean,
): void {
  const expected = expectedOf(run, draft, featureId);
  const { lastCut } = draft;
  if (lastCut?.featureId === featureId && draft.crossLines !== undefined) {
    const sign = signOf(sideOf(run, featureId));
    const depthMm = Math.max(0, (sign * (lastCut.beforeMm - sizeMm)) / 2);
    const rings = ringsOf(draft);
    const now: MeasuredCut = {
      ...{ featureId, placeMm: placeOf(run.means.lathe, rings), diameterMm: sizeMm, depthMm, uncertaintyMm },
      springShare: reckonedShare(lastCut),
      setMm: setOf(run, draft, lastCut.told.slide),
    };
    const before = draft.cuts.at(-1);
    const sample = before && lastCut.toolId ? sampleOf(sign, before, now, lastCut.toolId) : undefined;
    if (sample) draft.samples.push(sample);
    draft.cuts.push(now);
    draft.reference = {
      ...{ rings, diameterMm: sizeMm, depthMm, springShare: lastCut.springShare, uncertaintyMm },
      ...{ by: 'measured', featureId, ...(trial ? { trial } : {}) },
    };
    // the next piece begins from the tool's point again; along a cone it stood as it was set for that
    if (!coneIn(run, featureId))
      keepLiving(draft, lastCut.toolId, sizeMm - (threadOf(run, featureId, lastCut.toolId)?.pitchOverPointMm ?? 0));
  }
  if (trial) return;
  const offMm = expected ? Math.max(0, Math.abs(sizeMm - expected.mm) - expected.boundMm) : 0;
  // what was out here was out everywhere the same tool cut without being measured
  const metal =
    offMm > 0
      ? Object.fromEntries(
          Object.entries(draft.metal).map(([id, m]) => [
            id,
            m.by === 'expected' ? { ...m, doubtMm: m.doubtMm + Math.abs(sizeMm - expected!.mm) } : m,
          ]),
        )
      : draft.metal;
  draft.metal = { ...metal, [featureId]: { diameterMm: sizeMm, doubtMm: uncertaintyMm, by: 'measured' } };
}

/** Standard uncertainty of how a ring was set, mm of radius. */
function setOf(run: FrozenRun, { compoundShare }: Draft, slide: Told['slide']): number {
  const { lathe } = run.means;
  if (slide === 'crossSlide') return finenessOf(lathe, 'lines').setMm;
  const { setMm } = finenessOf(lathe, 'compound');
  return compoundShare === undefined ? setMm : (setMm / FINE_SHARE) * compoundShare;
}

/** What the tool's numbers are worth now, for the next piece. */
export function keepLiving(draft: Draft, toolId: string | undefined, diameterMm: number): void {
  if (toolId === undefined) return;
  const endLines = draft.endLines === undefined ? {} : { endLines: draft.endLines };
  draft.living = {
    ...draft.living,
    [toolId]: { toolId, reference: { rings: ringsOf(draft), diameterMm }, ...endLines },
  };
}
