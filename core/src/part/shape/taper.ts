import { type TypedLength, typedLengthSchema } from '../../quantity/index.ts';
import { readTaper } from '../../taper/index.ts';
import { shortText } from '../schema-parts.ts';
import { isSolvedTaper, solveTaper } from '../shapes.ts';
import { exact, type OutsideShape } from './drawn.ts';

export const taperFields = {
  /** diameter at the tailstock end */
  end: typedLengthSchema.optional(),
  /** `1:20`, `5°` to the axis, `10° incl`, `0.6/ft`; falling towards the tailstock, with a minus rising */
  taper: shortText.optional(),
};
interface Own {
  readonly end?: TypedLength;
  readonly taper?: string;
}

/** A cone: two of its two diameters, its length and its slope give the rest. */
export const taper: OutsideShape<Own> = {
  cone: true,
  ends: true,
  halves: true,
  takesDetails: true,
  readOwn(drawn, at, reader) {
    let perLength: number | undefined;
    if (drawn.taper?.trim()) {
      const read = readTaper(drawn.taper, drawn.length.unit);
      if (read.ok) perLength = read.perLength;
      else reader.add({ code: read.code, path: at('taper'), value: drawn.taper });
    }
    return { end: reader.sizeOrNone(drawn.end, at('end')), perLength };
  },
  solve(read, _before, _after, reader) {
    const solved = solveTaper(read.diameter?.valueOf(), read.end?.valueOf(), read.length?.valueOf(), read.perLength);
    if (!isSolvedTaper(solved)) return;
    if (solved.disagreeMm !== undefined && solved.disagreeMm > 0.01)
      reader.add({
        ...{ code: 'taper.disagrees', path: read.at('taper'), value: (read.drawn as { taper?: string }).taper },
        ...{ limit: solved.disagreeMm, unit: 'mm' },
      });
    read.length ??= exact(solved.lengthMm);
    read.end ??= exact(solved.endMm);
  },
  finish(read, reader) {
    if (read.end) return;
    const solved = solveTaper(read.diameter?.valueOf(), undefined, read.length?.valueOf(), read.perLength);
    if (isSolvedTaper(solved)) read.end = exact(solved.endMm);
    else if (read.diameter && read.length) reader.add({ code: 'taper.unsolved', path: read.at('end'), value: '' });
  },
  lengthMissing: (read) => (read.diameter ? { code: 'taper.unsolved', path: read.at('end'), value: '' } : undefined),
  surface(read, common) {
    const [leftMm, rightMm] = [read.diameter.valueOf(), (read.end ?? read.diameter).valueOf()];
    return { ...common, kind: 'taper', diameterMm: Math.max(leftMm, rightMm), leftMm, rightMm };
  },
  outline: (s) => [
    { zMm: s.zFromMm, rMm: s.leftMm / 2 },
    { zMm: s.zToMm, rMm: s.rightMm / 2 },
  ],
};
