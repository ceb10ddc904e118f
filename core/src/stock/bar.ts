import { z } from 'zod';
import { type Problem, readTyped, type TypedLength, typedLengthSchema, typedMm } from '../quantity/index.ts';
import { AS_DELIVERED, SURFACES, type Surface } from './as-delivered.ts';

/** Sections that bars are sold in; a casting is a rough piece of its own. */
export const BAR_SHAPES = ['round', 'hexagon', 'square', 'tube', 'casting'] as const;
export type BarShape = (typeof BAR_SHAPES)[number];

/** A bar, several equal ones, a remnant or a casting on the rack. */
export const barSchema = z.strictObject({
  id: z.uuid(),
  materialId: z.string().max(60),
  /** over the round, across the flats of a hexagon or square, outside of a tube, smallest outside of a casting */
  diameter: typedLengthSchema,
  length: typedLengthSchema,
  note: z.string().max(120),
  /** round where it is not given */
  shape: z.enum(BAR_SHAPES).optional(),
  /** of a tube, or cored in a casting */
  bore: typedLengthSchema.optional(),
  /** of a casting that follows its part: metal on every surface */
  allowance: typedLengthSchema.optional(),
  /** how many equal ones lie there; one where it is not given */
  pieces: z.number().int().min(1).max(1000).optional(),
  surface: z.enum(SURFACES).optional(),
  /** measured, mm out of straight per metre; otherwise that of its surface */
  bowMmPerM: z.number().min(0).max(50).optional(),
  /** nothing is left of it; kept for the jobs that were cut from it */
  usedUp: z.boolean().optional(),
});
export type Bar = z.infer<typeof barSchema>;

/** A bar's sizes in mm. */
export interface BarSizes {
  readonly shape: BarShape;
  /** largest round that fits into its section */
  readonly acrossMm: number;
  /** over its corners: what swings, and where the first cut begins */
  readonly cornersMm: number;
  readonly boreMm: number;
  readonly lengthMm: number;
  readonly pieces: number;
  readonly areaMm2: number;
  readonly bowMmPerM: number;
  readonly skinMm: number;
  /** how its surface was made; bright where it is not given */
  readonly surface?: Surface;
  /** of a casting that follows its part: metal on every surface */
  readonly allowanceMm?: number;
}

/** Over the corners of a section, from its size across the flats, mm. @example cornersOver('hexagon', 26) // 30.0222 */
export function cornersOver(shape: BarShape, acrossMm: number): number {
  if (shape === 'hexagon') return (acrossMm * 2) / Math.sqrt(3);
  return shape === 'square' ? acrossMm * Math.SQRT2 : acrossMm;
}

/** Area of a section, mm². A hexagon of side s across its flats has (√3/2)·s². @example sectionMm2('square', 20, 0) // 400 */
export function sectionMm2(shape: BarShape, acrossMm: number, boreMm: number): number {
  const hole = (Math.PI * boreMm ** 2) / 4;
  if (shape === 'hexagon') return (Math.sqrt(3) / 2) * acrossMm ** 2 - hole;
  if (shape === 'square') return acrossMm ** 2 - hole;
  return (Math.PI * acrossMm ** 2) / 4 - hole;
}

/** Reads a bar's sizes; undefined while one of them cannot be read. */
export function barSizes(bar: Bar): BarSizes | undefined {
  if (checkBar(bar).some((p) => p.severity !== 'warning')) return undefined;
  const shape = bar.shape ?? 'round';
  const acrossMm = typedMm(bar.diameter);
  const boreMm = bar.bore ? typedMm(bar.bore) : 0;
  const surface = bar.surface ?? (shape === 'casting' ? 'cast' : 'bright');
  const { skinMm, bowMmPerM } = AS_DELIVERED[surface];
  return {
    shape,
    acrossMm,
    cornersMm: cornersOver(shape, acrossMm),
    boreMm,
    lengthMm: typedMm(bar.length),
    pieces: bar.pieces ?? 1,
    areaMm2: sectionMm2(shape, acrossMm, boreMm),
    bowMmPerM: bar.bowMmPerM ?? bowMmPerM,
    ...{ skinMm, surface },
    ...(bar.allowance ? { allowanceMm: typedMm(bar.allowance) } : {}),
  };
}

/** What is wrong with a bar's record; paths point into it. */
export function checkBar(bar: Bar): Problem[] {
  const problems: Problem[] = [];
  const size = (typed: TypedLength, key: string): number | undefined => {
    const read = readTyped(typed);
    if (read.ok) return read.mm.valueOf();
    problems.push({ code: read.code, path: [key], value: read.value });
    return undefined;
  };
  const acrossMm = size(bar.diameter, 'diameter');
  size(bar.length, 'length');
  const boreMm = bar.bore && size(bar.bore, 'bore');
  if (bar.allowance) size(bar.allowance, 'allowance');
  if (bar.allowance && bar.shape !== 'casting') problems.push({ code: 'bar.allowanceOfCasting', path: ['allowance'] });
  if (bar.shape === 'tube' && !bar.bore) problems.push({ code: 'bar.tubeWithoutBore', path: ['bore'] });
  if (acrossMm !== undefined && boreMm !== undefined && boreMm >= acrossMm)
    problems.push({ code: 'bar.boreTooLarge', path: ['bore'], value: boreMm, limit: acrossMm, unit: 'mm' });
  return problems;
}
