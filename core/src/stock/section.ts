import { type Bar, barSizes } from './bar.ts';

/** What two bars must share so that either will do: material and section. Undefined for a bar whose sizes cannot be read. */
export function sectionKey(bar: Bar): string | undefined {
  const sizes = barSizes(bar);
  return sizes && [bar.materialId, sizes.shape, sizes.acrossMm, sizes.boreMm].join('|');
}
