export {
  type BarLength,
  bentLineMm,
  deflectionMm,
  longestOverhangMm,
  type Shaft,
  type Support,
  secondMomentMm4,
  shaftOf,
  thickerFrom,
} from './beam.ts';
export { atJaws, gripUse, jawForceShare } from './grip.ts';
export { lengthAt20Mm, measuredWarmMm, type Warming, type Warmth, warmingOf } from './heat.ts';
export { ringBearsN, ringGivesMm } from './ring.ts';
export {
  askFor,
  believedSpring,
  comesTo,
  type KnownPlace,
  missMm,
  type ShownSpring,
  type Sign,
  SPRING_BOUND_FACTOR,
  type SpringShare,
  shownSpring,
  springPassTakesMm,
  trialZoneLowerMm,
} from './spring.ts';
export { type Tipping, tipUse } from './tipping.ts';
