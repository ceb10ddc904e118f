import type { Waiting } from '../hold/index.ts';
import { crossHoles, flatsOf, keywaysOf, type SurfaceId } from '../part/index.ts';
import { putIn } from '../route/index.ts';
import { type Finding, type Simulated, simulate } from '../simulate/index.ts';
import type { PlannedJob } from './plan-job.ts';
import { type PlannedSetup, stillWaiting } from './setups.ts';

/** One setup as it was simulated. */
export interface ProvedSetup extends Simulated {
  /** 1 for the first */
  readonly number: number;
}
/** What the simulation of a whole job says. */
export interface Proof {
  readonly setups: readonly ProvedSetup[];
  /** whether every setup ends at the drawing without a finding, and nothing waits that turning makes */
  readonly proved: boolean;
  readonly findings: readonly (Finding & { readonly number: number })[];
  /** what no setup makes though it is turned, and so nothing proves */
  readonly waiting: readonly Waiting[];
  /** what is milled, drilled across or sawn off the lathe */
  readonly offLathe: readonly SurfaceId[];
}

/** Each setup goes on with the metal that the simulation of the one before it left. */
function simulated(setups: readonly PlannedSetup[]): readonly ProvedSetup[] {
  const done: ProvedSetup[] = [];
  for (const setup of setups) {
    const [before, last] = [setups[done.length - 1], done.at(-1)];
    const begin = before && last && putIn({ ...before.plan.after, contour: last.contour }, setup.setup).contour;
    done.push({ number: setup.number, ...simulate(setup, begin) });
  }
  return done;
}

/**
 * Goes through a whole job with the true shapes of its tools, setup after setup on the metal that is really left, and says whether it
 * ends at the drawing. What is done by hand or off the lathe is named and not proved.
 * @returns not proved, without setups, while the job cannot be planned
 */
export function proveJob({ setups: planned }: Pick<PlannedJob, 'setups'>): Proof {
  const setups = simulated(planned);
  const findings = setups.flatMap((s) => s.findings.map((f) => ({ ...f, number: s.number })));
  const part = planned[0]?.piece.part;
  const across = new Set(
    part ? [...crossHoles(part), ...flatsOf(part), ...keywaysOf(part)].map((s): SurfaceId => s.id) : [],
  );
  const left = stillWaiting(planned).filter((w) => w.why !== 'asBar');
  const waiting = left.filter((w) => !across.has(w.id));
  const offLathe = left.filter((w) => across.has(w.id)).map((w) => w.id);
  const cuts = planned.some((s) => s.plan.operations.length > 0);
  return { setups, findings, waiting, offLathe, proved: cuts && findings.length === 0 && waiting.length === 0 };
}
