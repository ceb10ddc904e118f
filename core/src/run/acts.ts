import type { StepAdvice } from './advice.ts';
import type { RunEvent } from './event.ts';
import { actOf, isPass } from './step.ts';

/** What an event says, apart from who made it and when. */
export type EventBody = RunEvent extends infer E
  ? E extends RunEvent
    ? Omit<E, 'schema' | 'id' | 'runId' | 'piece' | 'device' | 'seq' | 'parents' | 'at' | 'receivedAt'>
    : never
  : never;

/** Something that can be done at a step. The first is the one next act. */
export interface Act {
  readonly code:
    | 'done'
    | 'pass'
    | 'springPass'
    | 'trial'
    | 'leaveSo'
    | 'goOn'
    | 'stopHere'
    | 'fits'
    | 'accept'
    | 'cutAgain'
    | 'byHand'
    | 'gone';
  readonly body: EventBody;
}

/**
 * What can be done at the present step once its readings are taken, the one next act first. Touching off and readings are typed
 * and not among them; a doubt has to be answered before anything is.
 */
export function actsOf(advice: StepAdvice): readonly Act[] {
  const { step, move, trial, trialFirst } = advice;
  const stepId = step.id;
  const act = actOf(step);
  if (act === 'touchOff') return [];
  if (act === 'measure') return actsAfterMeasuring(advice);
  if (!isPass(step) || !move) return [{ code: 'done', body: { kind: 'done', stepId } }];
  if (move.kind === 'none') return [{ code: 'leaveSo', body: { kind: 'done', stepId } }];
  const { told } = move;
  // a cut that was not planned is measured by the step that asked for it
  const unplanned = step.passNumber === undefined;
  const measureFirst = !unplanned && act === 'last' && told.cut === 'half';
  const acts: Act[] = [
    {
      code: told.cut === 'springPass' ? 'springPass' : 'pass',
      body: { kind: 'done', stepId, told, ...(measureFirst ? { follows: 'measure' } : {}) },
    },
  ];
  if (trial && !unplanned) {
    const short: Act = { code: 'trial', body: { kind: 'trial', stepId, told: trial.told } };
    if (trialFirst) acts.unshift(short);
    else acts.push(short);
  }
  return acts;
}

function actsAfterMeasuring({ step, measured, next, inside }: StepAdvice): readonly Act[] {
  if (!measured || measured.doubts.length > 0) return [];
  const stepId = step.id;
  const { combined, decision } = measured;
  const took = decision && {
    ...{ sizeMm: combined.guardMm, uncertaintyMm: combined.uncertaintyMm, verdict: decision.verdict },
  };
  const goOn: EventBody = { kind: 'done', stepId, ...(took ? { took } : {}) };
  if (!decision) return [{ code: 'goOn', body: goOn }];
  if (decision.left === 'gone' && decision.verdict === 'doesNotFit') return [{ code: 'gone', body: goOn }];
  if (!step.last) {
    const here: Act = { code: 'stopHere', body: { ...goOn, follows: 'finished' } };
    const on: Act = { code: 'goOn', body: goOn };
    return inside ? [here, on] : [on];
  }
  const accept: Act = { code: decision.verdict === 'fits' ? 'fits' : 'accept', body: goOn };
  if (decision.left !== 'metalOn') return [accept];
  const again: Act = { code: 'cutAgain', body: { kind: 'cutAgain', stepId } };
  if (next?.kind === 'move') return [again, accept];
  if (step.after === 'ream') return [accept];
  return [{ code: 'byHand', body: { kind: 'byHand', stepId, with: 'emery' } }, accept];
}
