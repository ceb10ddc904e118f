export { type NominalGuess, nominalGuesses, type Wear } from './nominal.ts';
export { areReadings, type WornReadings, wornReadings } from './readings.ts';
export { drawingOfWorn, nextAsk, type SeenSurface, seeCircle, seeSurface, type WornAsk } from './sketch.ts';
export {
  arcRadiusMm,
  centreDistanceMm,
  type Dovetail,
  dovetail,
  holeCircleMm,
  SPANS,
  type SpanOf,
  unevenCircle,
} from './spans.ts';
