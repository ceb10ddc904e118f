import type { Held, Setup } from '../hold/index.ts';
import { type Chuck, type Lathe, type Stand, upgradeLathe } from '../lathe/index.ts';
import { type Material, upgradeMaterial } from '../material/index.ts';
import type { Means } from '../means/index.ts';
import { type Drawing, upgradeDrawing } from '../part/index.ts';
import { type Plan, planSetup, type Wishes } from '../route/index.ts';
import { type Tool, upgradeTool } from '../tool/index.ts';
import type { Mark, Workpiece } from '../work/index.ts';
import { collectWorking, type Recorder } from '../working/index.ts';
import type { LivingReference, SpringSample } from './state.ts';
import type { Step } from './step.ts';
import { upgradeRun } from './upgrade/upgrade-run.ts';

/** All that a run follows, as it was when the cut was started; replanning the job does not touch it. */
export interface FrozenRun {
  readonly schema: 3;
  readonly title: string;
  readonly drawing: Drawing;
  /** of the setup, 1 for the first */
  readonly number: number;
  /** as it was put in, its end at the tailstock on the right */
  readonly piece: Workpiece;
  /** how it is cut off its spare stock before it is put in, where it is */
  readonly cutOff?: Mark['by'];
  readonly setup: Setup;
  /** that the work is held in, or that is on where it is held otherwise */
  readonly chuck: Chuck;
  readonly means: Means;
  readonly wishes: Wishes;
  readonly plan: FrozenPlan;
  readonly steps: readonly Step[];
  /** spring that earlier runs of these tools on this lathe have shown */
  readonly known: readonly SpringSample[];
  /** what the tools' numbers were worth when the piece before of this batch was done, with nothing else cut since */
  readonly living: readonly LivingReference[];
  /** how the lathe stood when the run was begun; unknown in runs of the first version */
  readonly stand?: Stand;
}
/** A plan as a run keeps it: really held, and what it leaves follows from the run itself. */
export type FrozenPlan = Omit<Plan, 'after' | 'held' | 'planned'> & { readonly held: Held };

/** What of an operation is told at the lathe: planned anew it has to be the same, or its working is another plan's. */
const toldOf = (plan: Pick<Plan, 'operations' | 'held'>, operationId: string): string => {
  const operation = plan.operations.find((o) => o.id === operationId);
  if (!operation) return plan.held?.method ?? '';
  // figure by figure: a database keeps the keys of an object in an order of its own
  const { passes, setting, minutes } = operation;
  const figures = passes.flatMap((p) => [p.diameterBeforeMm, p.diameterAfterMm]);
  return JSON.stringify([figures, setting?.rpm, setting?.feedMmPerRev, setting?.speedLabel, minutes]);
};

/**
 * Tells the working of one operation of a frozen plan, by planning it again from what was frozen with it. Where a later version
 * plans it otherwise, that is told and nothing else: the number at the lathe is not explained by another plan.
 * @param operationId as in the plan
 */
export function explainOperation(run: FrozenRun, operationId: string, record: Recorder): void {
  const { steps, record: collect } = collectWorking();
  const { piece, setup, means, wishes, number } = run;
  const plan = planSetup(piece, setup, means, wishes, number, (id) => (id === operationId ? collect : undefined));
  if (toldOf(plan, operationId) === toldOf(run.plan, operationId)) for (const step of steps) record(step);
  else record({ code: 'run.otherPlan', values: {} });
}

/**
 * A frozen run as it was stored, with drawing, part, lathe, material and tools in it described as at present. The plan itself stays as it was.
 * @param stored written by this application, by this version or an older one
 */
export function upgradeFrozen(stored: unknown): FrozenRun {
  const run = upgradeRun(stored) as FrozenRun;
  const { means } = run;
  return {
    ...run,
    drawing: upgradeDrawing(run.drawing) as Drawing,
    means: {
      ...means,
      lathe: upgradeLathe(means.lathe) as Lathe,
      material: upgradeMaterial(means.material) as Material,
      tools: means.tools.map((tool) => upgradeTool(tool) as Tool),
    },
  };
}
