import type { SpeedPolicy, SpeedTable } from '../cutting/index.ts';
import type { Held, Setup } from '../hold/index.ts';
import type { Feed } from '../lathe/index.ts';
import type { Means } from '../means/index.ts';
import type { Shaft } from '../mechanics/index.ts';
import type { BoringBar } from '../tool/index.ts';
import type { Workpiece } from '../work/index.ts';
import type { Recorder } from '../working/index.ts';
import type { Wishes } from './wishes.ts';

/** What all operations of a setup are planned with. */
export interface FitContext {
  /** as it lies, before anything is cut in this setup */
  readonly piece: Workpiece;
  readonly setup: Setup;
  readonly held: Held;
  readonly means: Means;
  readonly wishes: Wishes;
  readonly speeds: SpeedTable;
  readonly policy: SpeedPolicy;
  readonly feeds: readonly Feed[];
  /** what a line of the cross-slide's dial moves it, mm */
  readonly lineMm: number;
  /** the work with its finished diameters */
  readonly shaft: Shaft;
  /** whether the metal that is still raw has steps of its own */
  readonly stepped: boolean;
  /** the bar that turns where the work stands on the cross-slide */
  readonly turning?: BoringBar;
  /** weight of what stands out of the jaws times the distance of its middle from them, N·mm */
  readonly weightNmm: number;
  /** largest diameter of the piece as it is put in, mm */
  readonly stockMm: number;
}

/** What is recorded for an operation when its working is asked for. */
export type RecorderFor = (operationId: string) => Recorder | undefined;

/** A feed that finishes with almost any nose, mm per rev. */
export const FINE_FEED = 0.1;
