import { type Rational, rational } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';
import type { Limits, SizeOf } from './parse-limits.ts';

/**
 * Limits of a size that has to go together with a measured piece.
 * @param measured the mate's size, exact mm
 * @param least clearance wanted at least, exact mm; negative: interference
 * @param most clearance wanted at most, exact mm
 * @param of what is made: a shaft goes into the measured hole, a hole over the measured shaft
 * @returns limits, or undefined where the clearances are not in order or nothing would be left
 * @source FIELD 4: clearance is the hole less the shaft
 * @example limitsForMate(rational('25.01'), rational('0.02'), rational('0.05'), 'outside') // { upperMm: 24.99, lowerMm: 24.96, how: 'mate' }
 */
export function limitsForMate(
  measured: Rational,
  least: Rational,
  most: Rational,
  of: SizeOf,
  record?: Recorder,
): Limits | undefined {
  if (most.compare(least) <= 0) return undefined;
  const [upper, lower] =
    of === 'outside' ? [measured.sub(least), measured.sub(most)] : [measured.add(most), measured.add(least)];
  if (lower.compare(rational(0)) <= 0) return undefined;
  record?.({
    code: 'limit.mate',
    values: {
      ...{ measuredMm: measured.valueOf(), leastMm: least.valueOf(), mostMm: most.valueOf(), of },
      ...{ upperMm: upper.valueOf(), lowerMm: lower.valueOf() },
    },
  });
  return { upperMm: upper.valueOf(), lowerMm: lower.valueOf(), how: 'mate' };
}
