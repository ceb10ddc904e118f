import type { CutPlace } from '@whelk/core/picture';
import type { LengthUnit } from '@whelk/core/quantity';
import type { Operation, OperationKind } from '@whelk/core/route';
import type { FrozenRun, Move, Step, StepAdvice } from '@whelk/core/run';
import type { Recorder } from '@whelk/core/working';
import type { FunctionComponent } from 'react';

/** What a row of the score knows besides its operation. */
export interface RowAbout {
  readonly unit: LengthUnit;
  /** of the surface that it is done on; empty where there is none */
  readonly name: string;
  readonly setupNumber: number;
}
/** Gives the lines of an operation's working that carry these codes. */
export type TellOnly = (...codes: string[]) => (record: Recorder) => void;
/** An operation opened in the route. */
export interface DetailProps<O> {
  readonly operation: O;
  readonly unit: LengthUnit;
  readonly tell: TellOnly;
  /** the gauge that it is measured with */
  readonly gauge?: { readonly name: string; readonly uncertaintyMm: number };
}
/** What a step's title knows besides the step. */
export interface AtLathe {
  readonly frozen: FrozenRun;
  /** of the surface that it is done on */
  readonly name: string;
  /** a cut as it was told, where it is known */
  readonly move?: Move;
}
/** A step at the lathe that is told in words. */
export interface PanelProps<S> {
  readonly step: S;
  readonly frozen: FrozenRun;
  readonly advice: StepAdvice;
  readonly tell: TellOnly;
}
/** What the glass over the place of a cut knows besides the step. */
export interface PlaceAbout {
  readonly frozen: FrozenRun;
  readonly move?: Move;
  /** diameter that stands beyond the end of the cut */
  readonly beyondMm: number;
}

/** All that is said and shown of one kind of operation, in route, at the lathe and in the log. */
export interface ShownOperation<Kind extends OperationKind> {
  readonly name: string;
  /** what it does in a few words, with the diameters or limits that count */
  readonly title: (operation: Extract<Operation, { kind: Kind }>, about: RowAbout) => string;
  /** what limits of it are limits of, where they are not its diameter's */
  readonly limitsOf?: string;
  readonly Detail?: FunctionComponent<DetailProps<Extract<Operation, { kind: Kind }>>>;
  /** what the step is, in a line */
  readonly stepTitle: (step: Extract<Step, { kind: Kind }>, at: AtLathe) => string;
  /** what is done without a number on a ring */
  readonly Panel?: FunctionComponent<PanelProps<Extract<Step, { kind: Kind }>>>;
  /** where its tool stands and what it does there */
  readonly place?: (step: Extract<Step, { kind: Kind }>, about: PlaceAbout) => CutPlace | undefined;
}
