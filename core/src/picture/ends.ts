import { edgeOf, outsides, type Part } from '../part/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import type { Shape } from './picture.ts';

/** A face or an edge of a feature: what can be selected beside its cylinder. `face` stands for both of its faces. */
export type FeatureEnd = 'left' | 'right' | 'face';
/** Least width of what a finger or a pointer has to meet, in picture units. */
const HIT = 12;

interface Line {
  readonly id: string;
  readonly end: FeatureEnd;
  /** [zPart, radius] of both ends of the line */
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
}

/** Every face and chamfer of a part, upper half. A face belongs to the larger diameter beside it. */
function endLines(part: Part): readonly Line[] {
  return outsides(part).flatMap((f, i): Line[] => {
    const lines: Line[] = [];
    for (const side of ['left', 'right'] as const) {
      const edge = edgeOf(part, f.id, side);
      const chamfer = edge?.kind === 'chamfer' ? edge : undefined;
      const neighbour = outsides(part)[i + (side === 'left' ? -1 : 1)];
      const r = (side === 'left' ? f.leftMm : f.rightMm) / 2;
      const z = side === 'left' ? f.zFromMm : f.zToMm;
      const inwards = side === 'left' ? 1 : -1;
      if (chamfer)
        lines.push({
          id: f.id,
          end: side,
          from: [z, r - chamfer.depthMm],
          to: [z + inwards * chamfer.lengthMm, r],
        });
      const bottom = ((side === 'left' ? neighbour?.rightMm : neighbour?.leftMm) ?? 0) / 2;
      const top = r - (chamfer?.depthMm ?? 0);
      if (bottom < top - ROUNDING) lines.push({ id: f.id, end: 'face', from: [z, bottom], to: [z, top] });
    }
    return lines;
  });
}

/**
 * Faces and chamfers as lines that can be selected on the strip, on both sides of the centreline.
 * @param at maps zPart and radius to the picture
 * @param selected feature and end that is selected now
 */
export function endShapes(
  part: Part,
  at: (zMm: number, rMm: number) => readonly [number, number],
  selected: { readonly id: string; readonly end?: FeatureEnd } | undefined,
): Shape[] {
  return endLines(part).flatMap((line) =>
    [1, -1].flatMap((side): Shape[] => {
      const points = [at(line.from[0], side * line.from[1]), at(line.to[0], side * line.to[1])] as const;
      const [[x1, y1], [x2, y2]] = points;
      const long = Math.hypot(x2 - x1, y2 - y1) || 1;
      // a band around the line, never narrower than a pointer needs
      const [nx, ny] = [(-(y2 - y1) / long) * (HIT / 2), ((x2 - x1) / long) * (HIT / 2)];
      const on = selected?.id === line.id && selected.end === line.end;
      return [
        ...(on ? [{ kind: 'polyline' as const, role: 'selectedEnd' as const, points }] : []),
        {
          kind: 'polygon',
          role: 'hit',
          points: [
            [x1 + nx, y1 + ny],
            [x2 + nx, y2 + ny],
            [x2 - nx, y2 - ny],
            [x1 - nx, y1 - ny],
          ],
          id: line.id,
          end: line.end,
        },
      ];
    }),
  );
}
