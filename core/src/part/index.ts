export { type CentreMark, type ReadCentre, readCentre } from './centre.ts';
export { type ChainConflict, type ChainSize, type SolvedChain, solveChain } from './chain.ts';
export { compareDrawings, type DrawingChange } from './compare.ts';
export { type Detail, emptyDetail, GROOVE_SHAPES, type Groove, type Knurl, type Thread } from './detail-schema.ts';
export { type CutDetail, type CutGroove, type CutKnurl, type CutThread, pitchNamed } from './details.ts';
export {
  BORE_KINDS,
  type BoreKind,
  type BoreStep,
  type Dimension,
  type Drawing,
  drawingSchema,
  emptyBoreStep,
  emptyDrawing,
  emptyFeature,
  FEATURE_KINDS,
  type Feature,
  type FeatureKind,
  featureSchema,
  type PartEnd,
  type PlaneName,
  storedDrawingSchema,
  upgradeDrawing,
} from './drawing.ts';
export { type Chamfer, chamferDepthMm, readEdge } from './edge.ts';
export { endViewEndForEnd, facesEndForEnd, partEndForEnd } from './end-for-end.ts';
export { centresOf, evenAngles } from './end-view.ts';
export type { CrossHole, EndView, Flat } from './end-view-schema.ts';
export { nGradeOf, readFinish, USUAL_RA_UM } from './finish.ts';
export { limitsOfMate } from './geometry.ts';
export {
  type Datum,
  GEOMETRY_KINDS,
  type Geometry,
  type GeometryKind,
  geometryOf,
  type HeldGeometry,
  type Mate,
  type SurfaceName,
} from './geometry-schema.ts';
export { type Bored, type Part, type Resolved, type Turned, upgradePart } from './part.ts';
export { PATTERNS, type PatternName, patternDrawing } from './patterns.ts';
export { featureProfile, insideProfiles, outsideProfile } from './profile.ts';
export { blocks, resolveDrawing } from './resolve.ts';
export { MOST_FEATURES } from './schema-parts.ts';
export type { SeenEnd, SeenFace, SeenFaces, SeenFlat, SeenHole } from './seen-end.ts';
export { ballLengthMm, type SolvedTaper, solveTaper } from './shapes.ts';
export { snapped } from './snap.ts';
export { splitFeature } from './split.ts';
export { centreHoleRows } from './standard/centre-holes.ts';
export { plainCentreDrills } from './standard/plain-centre-drills.ts';
export { type ReadTaper, readTaper } from './taper.ts';
export type { WornCircle, WornSketch, WornSurface } from './worn-schema.ts';
