import { ballLengthMm } from '../shapes.ts';
import { exact, type OutsideShape, type ReadLength } from './drawn.ts';

const beside = (read: ReadLength | undefined, end: 'left' | 'right'): number =>
  (end === 'right' ? (read?.end ?? read?.diameter) : read?.diameter)?.valueOf() ?? 0;

/** A ball: as long as its neighbours leave it. */
export const ball: OutsideShape = {
  sign: 'S',
  curved: true,
  solve(read, before, after, reader) {
    if (!read.diameter) return;
    const long = ballLengthMm(read.diameter.valueOf(), beside(before, 'right'), beside(after, 'left'));
    if (long === undefined)
      reader.add({
        ...{ code: 'ball.neighbourTooLarge', path: read.at('diameter'), limit: read.diameter.valueOf(), unit: 'mm' },
      });
    else if (read.length && Math.abs(read.length.valueOf() - long) > 0.01)
      reader.add({
        ...{ code: 'ball.length', path: read.at('length'), value: read.length.valueOf() },
        ...{ limit: Number(long.toFixed(3)), unit: 'mm' },
      });
    else read.length = exact(long);
  },
  surface: (read, common) => ({ ...common, kind: 'ball', diameterMm: read.diameter.valueOf(), leftMm: 0, rightMm: 0 }),
  sphere: (s) => {
    const r = s.diameterMm / 2;
    return { middleMm: s.zFromMm + Math.sqrt(Math.max(0, r ** 2 - (s.leftMm / 2) ** 2)), radiusMm: r };
  },
  meets: (surface, leftMm, rightMm) => ({ ...surface, leftMm, rightMm }),
  outline(s) {
    const [a, b, r] = [s.leftMm / 2, s.rightMm / 2, s.diameterMm / 2];
    const sweep = Math.atan2(a, -Math.sqrt(r ** 2 - a ** 2)) - Math.atan2(b, Math.sqrt(r ** 2 - b ** 2));
    return [
      { zMm: s.zFromMm, rMm: a, bulge: -Math.tan(sweep / 4) },
      { zMm: s.zToMm, rMm: b },
    ];
  },
};
