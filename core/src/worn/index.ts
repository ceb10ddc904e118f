export { type NominalGuess, nominalGuesses, type Wear } from './nominal.ts';
export { areReadings, type WornReadings, wornReadings } from './readings.ts';
export {
  drawingOfWorn,
  lengthGuesses,
  nextAsk,
  outsideAt,
  type SeenSurface,
  seeCircle,
  seeRadial,
  seeSurface,
  type WornAsk,
} from './sketch.ts';
export {
  arcRadiusMm,
  centreDistanceMm,
  chordAngleDeg,
  type Dovetail,
  dovetail,
  holeCircleMm,
  SPANS,
  type SpanOf,
  unevenCircle,
} from './spans.ts';
