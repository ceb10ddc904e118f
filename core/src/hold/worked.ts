import type { RoughShape } from '../stock/index.ts';

/** How a piece stands when it is held again. The part is as it lies in the lathe: its end at the tailstock on the right. */
export interface Worked {
  /** lengths whose outside is finished */
  readonly doneIds: readonly string[];
  /** lengths whose edge towards the tail is finished */
  readonly edgeIds: readonly string[];
  /** diameters over lengths that are still rough, by their ids; the bar's own where there are none */
  readonly rough?: RoughShape;
  /** still to come off the end at the tailstock, and off the one at the headstock */
  readonly tailMm: number;
  readonly headMm: number;
  /** still on the spare stock that it was gripped by: it is cut off before it is put in again */
  readonly onSpare?: boolean;
  /** whether the ends have centre holes */
  readonly tailCentre: boolean;
  readonly headCentre: boolean;
}
