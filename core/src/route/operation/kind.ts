import type { Contour } from '../../contour/index.ts';
import type { Part, SurfaceId } from '../../part/index.ts';
import type { Workpiece } from '../../work/index.ts';
import type { OperationKind, OperationOf } from '../plan.ts';

/** What is known of a kind of operation besides how it is planned; where nothing is said it cuts nothing, or finishes nothing. */
export interface KindOfOperation<Kind extends OperationKind> {
  /** what the tool goes through, as a half-section; of it only metal is cut */
  readonly swept?: (operation: OperationOf<Kind>, piece: Workpiece) => Contour | undefined;
  /** surfaces that are finished when it is done */
  readonly finishes?: (operation: OperationOf<Kind>, part: Part) => readonly SurfaceId[];
}

/** What an operation without passes and loads has in their place. */
export const bare = { passes: [], exceeds: [], schools: [] } as const;
/** Beyond everything, mm: a cut from outside begins in the air. */
export const AIR_MM = 5;
/** A tool runs in from so far beyond the end of the metal, mm. */
export const PAST_MM = 1;
/** Feed of a steady hand, mm per rev. */
export const HAND_FEED = 0.1;
