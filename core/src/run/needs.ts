import { inChuck, onTailCentre, turnsOver } from '../hold/index.ts';
import { dialNumber, type Stand, type StandBesides, standOn } from '../lathe/index.ts';
import { kindOf } from '../route/index.ts';
import type { FrozenRun } from './frozen.ts';
import type { RunState } from './state.ts';
import { isPass, type Step } from './step.ts';
import { isTaperStep, taperSetAt } from './taper.ts';

type Lock = keyof Stand['locks'];

/** Something besides levers and tool that a step needs otherwise than it stands. */
export type StandChange =
  | { readonly what: 'chuck'; readonly to: string; readonly from?: string }
  | { readonly what: 'setOver'; readonly toMm: number; readonly fromMm?: number }
  | { readonly what: 'reverse' }
  | { readonly what: 'lock' | 'unlock'; readonly slide: Lock };

/**
 * What a step needs of chuck, tailstock, locks and direction; what it leaves open may stand as it will. A slide that does not
 * feed while facing is locked; one that moves is free; work on a centre needs quill and tailstock locked, and no set-over.
 */
export function standNeeded(run: FrozenRun, step: Step): StandBesides {
  const need = standUsual(run, step);
  const set = taperSetAt(run, step);
  if (step.kind === 'taperBack')
    return {
      ...need,
      ...(step.by === 'setOver' ? { setOverMm: 0 } : {}),
      ...(step.by === 'compound' ? { compoundDeg: run.stand?.compoundDeg ?? null } : {}),
    };
  if (!set) return need;
  // by the compound the carriage is held; set over, the work leans until that is put back
  const locks = { ...need.locks, ...(isTaperStep(step) && set.by === 'compound' ? { carriage: true } : {}) };
  return {
    ...need,
    ...(Object.keys(locks).length > 0 ? { locks } : {}),
    ...(set.by === 'setOver' ? { setOverMm: Number(set.offsetMm.toFixed(3)) } : {}),
    ...(step.kind === 'taperSet' && set.by === 'compound' ? { compoundDeg: set.scaleDeg } : {}),
  };
}

function standUsual(run: FrozenRun, step: Step): StandBesides {
  const { method } = run.plan.held;
  const onCentre = onTailCentre(method);
  const { turns, holds, tailstock } = kindOf(step.kind);
  if (tailstock === 'isSet')
    return {
      ...(inChuck(method) ? { chuckId: run.chuck.id } : {}),
      direction: 'stopped',
      ...(onCentre ? { setOverMm: 0 } : {}),
    };
  if (!turns) return { direction: 'stopped' };
  const over = turnsOver(method);
  // the work stands on the slide: it moves only from one place to the next
  if (over)
    return {
      direction: 'forward',
      locks: {
        ...{ carriage: false, crossSlide: step.kind !== 'drillBeside' },
        ...(over === 'centres' && isPass(step) ? { tailstock: true, quill: true } : {}),
      },
    };
  if (tailstock === 'drills') return { direction: 'forward', setOverMm: 0, locks: { tailstock: true, quill: false } };
  const supported = onCentre && tailstock === 'carries';
  return {
    direction: 'forward',
    locks: {
      carriage: holds === 'carriage',
      // the last cuts by the swung compound: the cross-slide stays where it stands
      crossSlide: isPass(step) && step.fineness === 'compound',
      ...(supported ? { tailstock: true, quill: true } : {}),
    },
  };
}

/** What has to be changed for a step beside levers and tool; a spindle is only told to turn when it was left in reverse. */
export function standChanges(run: FrozenRun, step: Step, known: StandBesides): StandChange[] {
  const need = standNeeded(run, step);
  const changes: StandChange[] = [];
  if (need.chuckId && need.chuckId !== known.chuckId)
    changes.push({ what: 'chuck', to: need.chuckId, from: known.chuckId ?? undefined });
  if (typeof need.setOverMm === 'number' && need.setOverMm !== known.setOverMm)
    changes.push({ what: 'setOver', toMm: need.setOverMm, fromMm: known.setOverMm ?? undefined });
  if (need.direction === 'forward' && known.direction === 'reverse') changes.push({ what: 'reverse' });
  for (const [slide, locked] of Object.entries(need.locks ?? {}) as [Lock, boolean][]) {
    // nothing known of a lock and it has to be free: whoever winds the slide feels it
    if ((known.locks?.[slide] ?? false) !== locked) changes.push({ what: locked ? 'lock' : 'unlock', slide });
  }
  return changes;
}

/** One lock that is set or loosened on the way through a run, and before which operation. */
export interface LockChange {
  readonly operationId: string;
  readonly kind: Step['kind'];
  readonly slide: Lock;
  readonly set: boolean;
}

/** All locks that a run sets and loosens, from everything loose on. */
export function locksThrough(run: FrozenRun): readonly LockChange[] {
  let known: StandBesides = {
    locks: { carriage: false, crossSlide: false, compound: false, quill: false, tailstock: false },
  };
  const changes: LockChange[] = [];
  for (const step of run.steps) {
    for (const change of standChanges(run, step, known))
      if (change.what === 'lock' || change.what === 'unlock')
        changes.push({
          ...{ operationId: step.operationId, kind: step.kind, slide: change.slide },
          set: change.what === 'lock',
        });
    known = besidesAfter(known, standNeeded(run, step));
  }
  return changes;
}

/** What is known of the lathe now; a run of the first version knows nothing of how it stood before. */
export function knownBesides(run: FrozenRun, state: RunState): StandBesides {
  if (!run.stand) return state.besides;
  const { chuckId, setOverMm, compoundDeg, direction, locks } = run.stand;
  return besidesAfter({ chuckId, setOverMm, compoundDeg, direction, locks }, state.besides);
}

/** What is known after something was done or corrected; null in it makes a thing unknown. */
export function besidesAfter(known: StandBesides, now: StandBesides): StandBesides {
  const { locks, ...others } = now;
  return { ...known, ...others, ...(locks ? { locks: { ...known.locks, ...locks } } : {}) };
}

/** How a run leaves the lathe: all that it set, and what nothing is known of any more as it was before. */
export function standAfter(run: FrozenRun, state: RunState, before: Stand): Stand {
  const { locks, ...single } = state.besides;
  // what the run has not touched stays as somebody may have noted it elsewhere meanwhile
  const set = Object.entries(single).filter(([, is]) => is !== null && is !== undefined);
  const held = Object.entries(locks ?? {}).filter(([, is]) => is !== null);
  const { crossLines } = state;
  return standOn(run.means.lathe, {
    ...before,
    controls: { ...before.controls, ...state.standing },
    toolId: state.toolId ?? before.toolId,
    ...Object.fromEntries(set),
    locks: { ...before.locks, ...Object.fromEntries(held) },
    slides: {
      ...before.slides,
      // the ring's number at the last cut; lengths are wound to and fro and left nowhere in particular
      ...(crossLines === undefined || run.means.lathe.slides.cutter
        ? {}
        : { crossSlide: dialNumber(run.means.lathe.slides.crossSlide, crossLines) }),
    },
  });
}
