import {
  type DecimalLimits,
  decimalTolerance,
  type GeneralClass,
  type Limits,
  parseLimits,
  type SizeOf,
} from '../limit/index.ts';
import { type Problem, type Rational, rational, readTyped, type TypedLength } from '../quantity/index.ts';

export type Path = readonly (string | number)[];

/** Reads texts of a drawing one after the other and keeps what is wrong with them, each with its path. */
export class Reader {
  readonly problems: Problem[] = [];
  constructor(private readonly drawing: { readonly generalClass: GeneralClass; readonly decimals?: DecimalLimits }) {}

  /** A length that must be there. */
  size(typed: TypedLength, path: Path): Rational | undefined {
    const read = readTyped(typed);
    if (read.ok) return read.mm;
    this.problems.push({ code: read.code, path, value: read.value });
    return undefined;
  }
  /** A length that may be left open. */
  sizeOrNone(typed: TypedLength | undefined, path: Path): Rational | undefined {
    return !typed || typed.text.trim() === '' ? undefined : this.size(typed, path);
  }
  /** A distance from an end: nothing typed is at it; undefined only while it cannot be read. */
  distance(typed: TypedLength, path: Path): Rational | undefined {
    if (typed.text.trim() === '') return rational(0);
    const read = readTyped(typed, 'notNegative');
    if (read.ok) return read.mm;
    this.problems.push({ code: read.code, path, value: read.value });
    return undefined;
  }
  /** Limits of a size; while they cannot be read, the nominal size stands in for them. */
  limits(text: string, nominal: Rational, typed: TypedLength, path: Path, of: SizeOf = 'outside'): Limits {
    const { decimals } = this.drawing;
    if (decimals && text.trim() === '') {
      const half = decimalTolerance(typed.text, decimals);
      // what follows from other sizes is not written anywhere, so nothing is promised for it
      if (half && half.compare(nominal) < 0)
        return { upperMm: nominal.add(half).valueOf(), lowerMm: nominal.sub(half).valueOf(), how: 'decimals' };
      if (typed.text.trim() !== '') this.problems.push({ code: 'limit.noDecimals', path, value: typed.text });
      return { upperMm: nominal.valueOf(), lowerMm: nominal.valueOf(), how: 'decimals' };
    }
    const read = parseLimits(text, nominal, typed.unit, this.drawing.generalClass, undefined, of);
    if (read.ok) return read.limits;
    this.problems.push({ code: read.code, path, value: read.value, limit: read.limit });
    return { upperMm: nominal.valueOf(), lowerMm: nominal.valueOf(), how: 'general' };
  }
  /** Limits of a size that may go without: nothing is said where none are typed and none follow. */
  limitsIfAny(text: string, nominal: Rational, typed: TypedLength, path: Path): Limits {
    const said = this.problems.length;
    const limits = this.limits(text, nominal, typed, path);
    if (text.trim() === '') this.problems.length = said;
    return limits;
  }
  /** A length as far as it can be read; what is wrong with it is said elsewhere. */
  peek(typed: TypedLength): Rational | undefined {
    const read = readTyped(typed);
    return read.ok ? read.mm : undefined;
  }
  add(problem: Problem): void {
    this.problems.push(problem);
  }
}
