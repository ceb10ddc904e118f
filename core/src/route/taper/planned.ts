import type { LastCuts } from '../last-cuts.ts';
import type { Edges, Level } from '../level.ts';
import type { Operation } from '../operation/kinds.ts';
import type { ConeCut } from './cone.ts';
import type { ChosenWay } from './way.ts';

/** A cone with all that its cuts follow from. Diameters in mm, at its end towards the tail. */
export interface PlannedCone {
  readonly cone: ConeCut;
  readonly way: ChosenWay;
  readonly edges: Edges;
  readonly level: Level;
  readonly last: LastCuts;
  /** the first cut along it that touches metal, and what stands at that end itself */
  readonly startMm: number;
  /** the first that leaves nothing of it uncut */
  readonly cleanMm: number;
  readonly atTailMm: number;
  /** what is bored in steps before, from how wide it is open there */
  readonly steps: readonly Operation[];
  readonly openMm: number;
}
