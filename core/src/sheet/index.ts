export { type Box, overlap } from './clear.ts';
export { PAPERS, type PaperName } from './paper.ts';
export { type DrawingSheets, drawingSheets, type SheetWish } from './sheet.ts';
export { type LimitRow, limitRows } from './table.ts';
export {
  type Traveller,
  type TravellerRow,
  type TravellerSetup,
  travellerPages,
  wrapped,
} from './traveller.ts';
export type { SheetWords } from './words.ts';
