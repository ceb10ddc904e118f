import { z } from 'zod';
import { type TypedLength, typedLengthSchema } from '../../quantity/index.ts';
import { blank } from '../schema-parts.ts';
import { arcLargestMm, arcLengthFits } from '../shapes.ts';
import type { Arc, Outside } from '../surface.ts';
import type { OutsideShape } from './drawn.ts';

export const arcFields = {
  /** its radius */
  radius: typedLengthSchema.optional(),
  /** curved into the metal instead of out of it */
  hollow: z.boolean().optional(),
};
interface Own {
  readonly end?: TypedLength;
  readonly radius?: TypedLength;
  readonly hollow?: boolean;
}

/** An arc between two diameters. */
export const arc: OutsideShape<Own> = {
  ends: true,
  curved: true,
  readOwn(drawn, at, reader) {
    return {
      end: reader.size(drawn.end ?? blank(drawn.diameter.unit), at('end')),
      radius: reader.size(drawn.radius ?? blank(drawn.diameter.unit), at('radius')),
      hollow: drawn.hollow === true,
    };
  },
  surface(read, common, reader) {
    const [leftMm, rightMm] = [read.diameter.valueOf(), (read.end ?? read.diameter).valueOf()];
    const shape = { diameterMm: Math.max(leftMm, rightMm), leftMm, rightMm };
    // a radius that cannot be is told, and a straight line drawn meanwhile
    if (!read.radius) return { ...common, kind: 'taper', ...shape };
    const [radiusMm, hollow] = [read.radius.valueOf(), read.hollow === true];
    const sizes = { leftMm, rightMm, lengthMm: read.length.valueOf(), radiusMm };
    const fault = arcLengthFits(sizes, hollow);
    const diameterMm = hollow ? shape.diameterMm : arcLargestMm(sizes);
    if (!fault) return { ...common, kind: 'arc', ...shape, diameterMm, radiusMm, hollow };
    reader.add({
      ...{ code: fault.code, path: read.at('radius'), value: (read.drawn as Own).radius?.text },
      ...{ limit: fault.limitMm, unit: 'mm' },
    });
    return { ...common, kind: 'taper', ...shape };
  },
  radiusAtMm(s) {
    const { radiusMm, hollow } = s as Outside & Arc;
    const [a, b] = [s.leftMm / 2, s.rightMm / 2];
    const chord = Math.hypot(s.zToMm - s.zFromMm, b - a);
    const high = radiusMm - Math.sqrt(Math.max(0, radiusMm ** 2 - (chord / 2) ** 2));
    return (a + b) / 2 + (hollow ? -high : high);
  },
  outline(s) {
    const { radiusMm, hollow } = s as Outside & Arc;
    const [a, b] = [s.leftMm / 2, s.rightMm / 2];
    const chord = Math.hypot(s.zToMm - s.zFromMm, b - a);
    const bulge = Math.tan(Math.asin(Math.min(1, chord / 2 / radiusMm)) / 2);
    return [
      { zMm: s.zFromMm, rMm: a, bulge: hollow ? bulge : -bulge },
      { zMm: s.zToMm, rMm: b },
    ];
  },
};
