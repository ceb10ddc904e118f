import { outsides, type Part } from '../part/index.ts';
import { halfOutline, holeOutlines } from './outline.ts';
import type { Picture, Shape } from './picture.ts';
import { featureShape } from './section.ts';

const ROOM = 14;

/**
 * Two states of a part over one another, at one scale and from one left end: the present one thick, with what was changed of it
 * marked; the earlier one in thin lines.
 * @param changed ids of features that differ
 */
export function comparePicture(
  before: Part,
  after: Part,
  changed: ReadonlySet<string>,
  view: { readonly width: number; readonly height: number },
): Picture {
  const longMm = Math.max(before.lengthMm, after.lengthMm, 1);
  const tallMm = Math.max(before.largestMm, after.largestMm, 1);
  const scale = Math.max(0.001, Math.min((view.width - 2 * ROOM) / longMm, (view.height - 2 * ROOM) / tallMm));
  const [ox, oy] = [(view.width - longMm * scale) / 2, view.height / 2];
  const at = (z: number, r: number): readonly [number, number] => [ox + z * scale, oy - r * scale];
  const both = (part: Part, role: 'outline' | 'thin'): Shape[] => {
    const half = halfOutline(part);
    if (half.length === 0) return [];
    const round = [...half.map(([z, r]) => at(z, r)), ...half.toReversed().map(([z, r]) => at(z, -r))];
    return [
      { kind: 'polygon', role, points: round },
      ...holeOutlines(part).map((hole): Shape => ({ kind: 'polyline', role, points: hole.map(([z, r]) => at(z, -r)) })),
    ];
  };
  return {
    ...{ width: view.width, height: view.height, unitsPerMm: scale, origin: [ox, oy] },
    shapes: [
      ...outsides(after).flatMap((f): Shape[] => [
        { kind: 'polygon', role: changed.has(f.id) ? 'cut' : 'body', points: featureShape(after, f.id, at) },
      ]),
      ...both(before, 'thin'),
      ...both(after, 'outline'),
      {
        kind: 'polyline',
        role: 'centreline',
        points: [
          [4, oy],
          [view.width - 4, oy],
        ],
      },
    ],
  };
}
