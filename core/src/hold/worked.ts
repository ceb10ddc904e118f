/** How a piece stands when it is held again. The part is as it lies in the lathe: its end at the tailstock on the right. */
export interface Worked {
  /** lengths whose outside is finished */
  readonly doneIds: readonly string[];
  /** lengths whose edge towards the tail is finished */
  readonly edgeIds: readonly string[];
  /** still to come off the end at the tailstock, and off the one at the headstock */
  readonly tailMm: number;
  readonly headMm: number;
  /** whether the ends have centre holes */
  readonly tailCentre: boolean;
  readonly headCentre: boolean;
}
