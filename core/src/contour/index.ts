export { type ArcSteps, arcSteps, cuspMm, type StepArc } from './arc-steps.ts';
export { areaMm2, outlineMm, volumeMm3 } from './area.ts';
export { cutAway, intersect, unite } from './clip.ts';
export { type Contour, edgesOf, type Loop, mirrored, moved, NOTHING, ring } from './contour.ts';
export { arcOf, type Corner, QUARTER } from './corner.ts';
export { distanceMm } from './distance.ts';
export { flatten, largestRadius, radiiAt } from './flatten.ts';
export { LATTICE_MM } from './lattice.ts';
export { type NoseSteps, noseSteps } from './nose-path.ts';
export { offset } from './offset.ts';
export { type OuterProfile, outerBetween, outerProfile } from './profile.ts';
export {
  extentOf,
  holeOf,
  largestOf,
  outsideOf,
  placesOf,
  type Ring,
  ringsAt,
  secondMomentMm4,
  wallOf,
} from './section.ts';
export { hull, swept } from './swept.ts';
