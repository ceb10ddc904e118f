import { type Contour, type Corner, cutAway, swept } from '../contour/index.ts';
import type { Stroke } from '../route/index.ts';
import type { Simulated } from './simulate.ts';

/** A moment within a simulation: the metal as it is cut so far, and where the tool is. */
export interface Moment {
  readonly metal: Contour;
  /** which pass is going on; the number of passes when all are done */
  readonly index: number;
  readonly tool?: { readonly shape: Stroke['shape']; readonly at: Corner };
}

const far = (a: Corner, b: Corner): number => Math.hypot(b.zMm - a.zMm, b.rMm - a.rMm);
const longOf = (path: readonly Corner[]): number => path.slice(1).reduce((sum, p, i) => sum + far(path[i]!, p), 0);

/** A path up to a share of its length. */
function upTo(path: readonly Corner[], share: number): readonly Corner[] {
  let left = share * longOf(path);
  const gone: Corner[] = [path[0]!];
  for (const [i, to] of path.slice(1).entries()) {
    const from = path[i]!;
    const long = far(from, to);
    if (long >= left) {
      const part = long > 0 ? left / long : 1;
      gone.push({ zMm: from.zMm + part * (to.zMm - from.zMm), rMm: from.rMm + part * (to.rMm - from.rMm) });
      return gone;
    }
    gone.push(to);
    left -= long;
  }
  return gone;
}

/**
 * The work and its tool at a moment.
 * @param passCount passes done and the share of the one that goes on, 0 to their number
 */
export function momentOf(
  { begin, frames, contour }: Pick<Simulated, 'begin' | 'frames' | 'contour'>,
  passCount: number,
): Moment {
  const index = Math.min(frames.length, Math.max(0, Math.floor(passCount)));
  const frame = frames[index];
  if (!frame) return { metal: contour, index };
  const before = index === 0 ? begin : frames[index - 1]!.contour;
  // strokes of a pass one after another, each as much of the time as it is long
  const lengths = frame.strokes.map(({ path }) => longOf(path) + 1e-6);
  let gone = (passCount - index) * lengths.reduce((a, b) => a + b, 0);
  const cuts: Contour[] = [];
  for (const [i, { shape, path }] of frame.strokes.entries()) {
    const share = Math.min(1, gone / lengths[i]!);
    const way = upTo(path, share);
    cuts.push(...swept(shape.edge, way));
    gone -= lengths[i]!;
    if (gone <= 0 || i === frame.strokes.length - 1)
      return { metal: cutAway(before, ...cuts), index, tool: { shape, at: way.at(-1)! } };
  }
  return { metal: before, index };
}
