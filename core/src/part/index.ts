export {
  asAimed,
  bottomOf,
  centreAt,
  crossHoles,
  cutInto,
  edgeOf,
  endFace,
  faceGroovesOf,
  facesOf,
  flatsOf,
  insides,
  keywaysOf,
  lengthLimitsOf,
  mouthOf,
  outsides,
  placeOf,
  roundOf,
  spigotAt,
  surfaceOf,
  withDiameter,
} from './ask.ts';
export { atLimits } from './at-limits.ts';
export { type CentreMark, type ReadCentre, readCentre } from './centre.ts';
export { type ChainConflict, type ChainSize, type SolvedChain, solveChain } from './chain.ts';
export { compareDrawings, type DrawingChange } from './compare.ts';
export {
  type Dimension,
  type Drawing,
  drawingSchema,
  emptyBoreStep,
  emptyDrawing,
  emptyFeature,
  type Feature,
  featureSchema,
} from './drawing.ts';
export { type DrawnRound, drawnRound, keepsFromRound } from './drawn-round.ts';
export { chamferDepthMm, readEdge } from './edge.ts';
export { centresOf } from './end-view.ts';
export { nGradeOf, readFinish, USUAL_RA_UM } from './finish.ts';
export { type Fittable, fittables } from './fittables.ts';
export { limitsOfMate } from './geometry.ts';
export {
  type Datum,
  GEOMETRY_KINDS,
  type Geometry,
  type GeometryKind,
  geometryOf,
  type Mate,
} from './geometry-schema.ts';
export { type KnurlStart, knurlStart } from './knurl-start.ts';
export { endForEnd } from './mirror.ts';
export { contourOf, insideProfiles, lengthProfile, outsideProfile } from './outline.ts';
export type { Length, Part, Relation, Resolved } from './part.ts';
export { PATTERNS, type PatternName, patternDrawing } from './patterns.ts';
export { blocks, resolveDrawing } from './resolve.ts';
export { MOST_FEATURES } from './schema-parts.ts';
export { evenAngles } from './shape/angles.ts';
export { type BoreStep, isCurved, isSloped } from './shape/bore.ts';
export { wallBulge } from './shape/bore-arc.ts';
export { type PaperWays, type Seen, surfaceAt, type ThinLine, withLimits } from './shape/detail.ts';
export { type CutIn, DETAIL_KINDS, type Detail, detailCorners, detailShape, emptyDetail } from './shape/details.ts';
export type { PartEnd } from './shape/end.ts';
export type { EndView } from './shape/end-view.ts';
export { END_VIEW_LISTS } from './shape/end-view.ts';
export { type DrawnFaceGroove, emptyFaceGroove } from './shape/face-groove.ts';
export type { DrawnFlat } from './shape/flat.ts';
export { type DrawnGroove, GROOVE_SHAPES } from './shape/groove.ts';
export type { DrawnHole } from './shape/hole.ts';
export { type DrawnKeyway, emptyKeyway } from './shape/keyway.ts';
export type { DrawnKnurl } from './shape/knurl.ts';
export {
  barSection,
  diameterSign,
  FEATURE_KINDS,
  type FeatureKind,
  flatsOfShape,
  hasOwnEnd,
  isConeLength,
  isCurvedLength,
  isShapedLater,
  isStraight,
  outsideShape,
  sizedAt,
} from './shape/outside.ts';
export type { DrawnThread } from './shape/thread.ts';
export { ballLengthMm, type SolvedTaper, solveTaper } from './shapes.ts';
export { snapped } from './snap.ts';
export { splitFeature } from './split.ts';
export { centreHoleRows } from './standard/centre-holes.ts';
export { plainCentreDrills } from './standard/plain-centre-drills.ts';
export {
  BORE_KINDS,
  type BoreKind,
  type Centre,
  type Chamfer,
  type CrossHole,
  type Edge,
  type Face,
  type FaceGroove,
  type Flat,
  type Inside,
  type Outside,
  type RoundEdge,
  type Spigot,
  type Surface,
  type SurfaceKind,
} from './surface.ts';
export {
  centreId,
  type End,
  edgeId,
  faceId,
  floorId,
  opposite,
  PART,
  type SurfaceId,
  type SurfaceName,
  surfaceIdSchema,
  surfaceName,
} from './surface-id.ts';
export { storedDrawingSchema, upgradeDrawing } from './upgrade.ts';
export type { WornCircle, WornRadial, WornSketch, WornSurface } from './worn-schema.ts';
