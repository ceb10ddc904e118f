export {
  type BarLength,
  bentLineMm,
  deflectionMm,
  type Shaft,
  type Support,
  secondMomentMm4,
  shaftOf,
  thickerFrom,
} from './beam.ts';
export { gripUse, jawForceShare } from './grip.ts';
export { lengthAt20Mm, type Warming, warmingOf } from './heat.ts';
