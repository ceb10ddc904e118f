/** Words of a printed drawing, made where words are made; `{}` stands for a figure. */
export interface SheetWords {
  readonly title: string;
  readonly issue: string;
  readonly date: string;
  readonly material: string;
  readonly quantity: string;
  /** heads of the title block's cells */
  readonly heads: {
    readonly title: string;
    readonly material: string;
    readonly quantity: string;
    readonly scale: string;
    readonly unit: string;
    readonly general: string;
    readonly issue: string;
    readonly date: string;
    readonly sheet: string;
  };
  readonly unit: string;
  readonly general: string;
  /** heads of the table of limits: number, size, largest, smallest, finish */
  readonly columns: readonly [string, string, string, string, string];
  readonly knurl: { readonly straight: string; readonly crossed: string };
  readonly leftHand: string;
}
