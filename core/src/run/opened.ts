import { insides } from '../part/index.ts';
import { openedBy } from '../route/index.ts';
import type { FrozenRun } from './frozen.ts';
import { metalOn } from './move/next.ts';
import type { Metal, RunState } from './state.ts';
import type { Step } from './step.ts';

/** A drill is out by so much at the most, on the diameter, mm: it cuts wide and wanders. */
const DRILLED_DOUBT_MM = 0.3;

/** What a tool in the tailstock leaves of the walls of holes that it opens, by their steps: known from the tool. */
export function openedWalls(run: FrozenRun, state: RunState, step: Step): Readonly<Record<string, Metal>> {
  const operation = run.plan.operations.find((o) => o.id === step.operationId);
  const opened = operation && openedBy(operation);
  if (!opened) return {};
  const metal: Metal = { diameterMm: opened.diameterMm, doubtMm: DRILLED_DOUBT_MM, by: 'expected' };
  const wider = insides(run.piece.part).filter(
    (s) => s.zToMm > opened.zFromMm && metalOn(run, state, s.id).diameterMm < opened.diameterMm,
  );
  return Object.fromEntries(wider.map((s) => [s.id, metal]));
}
