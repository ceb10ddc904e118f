export { drawingFromOutlines } from './features.ts';
export { mappingPicture } from './mapping.ts';
export { type AxisReason, boundsOf, guessAxis, type Placing } from './place.ts';
export { type Traced, traceOutlines } from './shape.ts';
export { arcOfStroke, arcStrokes, arcsAlong, type Stroke } from './stroke.ts';
