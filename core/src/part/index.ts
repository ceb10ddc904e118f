export {
  type Drawing,
  drawingSchema,
  emptyDrawing,
  emptyFeature,
  type Feature,
  featureSchema,
  MOST_FEATURES,
} from './drawing.ts';
export { type Chamfer, chamferDepthMm, readEdge } from './edge.ts';
export { nGradeOf, readFinish, USUAL_RA_UM } from './finish.ts';
export { blocks, type Part, type Resolved, resolveDrawing, type Turned } from './resolve.ts';
