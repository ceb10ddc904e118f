export { type NominalGuess, nominalGuesses, type Wear } from './nominal.ts';
export { areReadings, type WornReadings, wornReadings } from './readings.ts';
export { drawingOfWorn, nextAsk, type SeenSurface, seeCircle, seeSurface, type WornAsk } from './sketch.ts';
export { centreDistanceMm, holeCircleMm, SPANS, type SpanOf } from './spans.ts';
