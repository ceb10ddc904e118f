import { type Contour, extentOf } from '../contour/index.ts';
import type { Held } from '../hold/index.ts';
import { insides, outsides, type Part, spigotAt } from '../part/index.ts';
import type { BentLine } from '../route/index.ts';
import { crossShapes } from './cross.ts';
import { cutShapes, type StripCut } from './cut-shapes.ts';
import { endShapes, type FeatureEnd } from './ends.ts';
import { faceShapes } from './faces.ts';
import { alongOf, holdRoom, holdShapes } from './hold.ts';
import { metalShapes } from './metal.ts';
import { halfOutline } from './outline.ts';
import type { Picture, Shape } from './picture.ts';
import { boreShape, featureShape, sectionShapes, surfaceShapes } from './section.ts';

export interface StripView {
  readonly width: number;
  readonly height: number;
  /** size of a letter in picture units, for spacing labels */
  readonly textSize: number;
  readonly selectedId?: string;
  /** a face or chamfer of the selected feature */
  readonly selectedEnd?: FeatureEnd;
  /** whether faces and chamfers can be selected on their own */
  readonly ends?: boolean;
  /** label under each feature and over the whole; already in the drawing's unit */
  /** what is at the ends and across the axis: centre holes, spigots, flats, holes */
  readonly besides?: boolean;
  readonly labels: readonly { readonly id: string; readonly text: string }[];
  readonly overall: string;
  /** how it is held, and the metal as it stands */
  readonly held?: Held;
  /** what turns in the work is not in it now */
  readonly idle?: boolean;
  readonly metal?: Contour;
  /** the cut now, and the tool that makes it */
  readonly cut?: StripCut;
  /** how the axis bends under the worst cut */
  readonly bent?: BentLine;
}

const SIDE = 28;

/**
 * The strip: the work on its centreline to one scale both ways, headstock left, with stock, jaws, centre and tool.
 * Never stretched: the scale is the largest at which all of it fits.
 * @returns a picture in view units; shapes of features carry their ids
 */
export function stripPicture(part: Part, view: StripView): Picture {
  const { held, metal } = view;
  const extent = metal && extentOf(metal);
  const spigotMm = (end: 'left' | 'right'): number => (view.besides && spigotAt(part, end)?.lengthMm) || 0;
  const spigots = { left: spigotMm('left'), right: spigotMm('right') };
  const leftMm = Math.min(-spigots.left, extent?.zFromMm ?? 0, held ? held.jawsMm - held.gripMm : 0);
  const rightMm = Math.max(part.lengthMm + spigots.right, held?.rawEndMm ?? 0, extent?.zToMm ?? 0);
  const stockMm = extent ? 2 * extent.largestMm : 0;
  const largestMm = Math.max(part.largestMm, stockMm, 1);
  const hollow = insides(part).length > 0 && view.labels.length > 0;
  // outside sizes stand above a part that is cut open, inside ones below it
  const beside = labelsBeside(part, view, rightMm - leftMm, largestMm);
  const top = view.textSize * (hollow && !beside ? 5.7 : 2.6);
  const bottom = view.textSize * (view.labels.length > 0 && !beside ? 3.4 : 1);
  const [headRoom, tailRoom] = held ? holdRoom(held) : [SIDE, SIDE];
  const jawsTall = held ? 1.25 : 1;
  const scale = Math.max(
    0.01,
    Math.min(
      (view.width - headRoom - tailRoom) / Math.max(rightMm - leftMm, 1),
      (view.height - top - bottom) / (largestMm * jawsTall),
    ),
  );
  const spare = view.width - headRoom - tailRoom - (rightMm - leftMm) * scale;
  // work on the cross-slide is cut from the headstock's side: what lies right in the part lies left in the lathe
  const along = (held ? alongOf(held) : 1) * scale;
  const ox = headRoom + spare / 2 - (along < 0 ? rightMm : leftMm) * along;
  const oy = top + (view.height - top - bottom) / 2;
  const x = (z: number) => ox + z * along;
  const y = (r: number) => oy - r * scale;
  const box = (z1: number, z2: number, r1: number, r2: number): [number, number][] => [
    [x(z1), y(r1)],
    [x(z2), y(r1)],
    [x(z2), y(r2)],
    [x(z1), y(r2)],
  ];
  const shapes: Shape[] = [];
  if (metal) shapes.push(...metalShapes(metal, (z, r) => [x(z), y(r)]));
  const outline = halfOutline(part);
  if (outline.length > 0) {
    const upper = outline.map(([z, r]): [number, number] => [x(z), y(r)]);
    const lower = outline.map(([z, r]): [number, number] => [x(z), y(-r)]).toReversed();
    shapes.push({ kind: 'polygon', role: 'body', points: [...upper, ...lower] });
    const at = (z: number, r: number): readonly [number, number] => [x(z), y(r)];
    for (const f of outsides(part))
      shapes.push({
        kind: 'polygon',
        role: f.id === view.selectedId ? 'selected' : 'edge',
        points: featureShape(part, f.id, at),
        id: f.id,
      });
    shapes.push(...sectionShapes(part, at), ...surfaceShapes(part, at));
    for (const b of insides(part))
      shapes.push({
        kind: 'polygon',
        role: b.id === view.selectedId ? 'selected' : 'hit',
        points: boreShape(b, at),
        id: b.id,
      });
    shapes.push({ kind: 'polygon', role: 'outline', points: [...upper, ...lower] });
    if (view.besides) shapes.push(...crossShapes(part, at), ...faceShapes(part, at));
    if (view.ends)
      shapes.push(
        ...endShapes(
          part,
          (z, r) => [x(z), y(r)],
          view.selectedId === undefined ? undefined : { id: view.selectedId, end: view.selectedEnd },
        ),
      );
  }
  if (held) shapes.push(...holdShapes(held, stockMm || largestMm, part.lengthMm, x, y, view.idle));
  if (view.bent) shapes.push(...bentShapes(view.bent, x, oy));
  if (view.cut) shapes.push(...cutShapes(view.cut, x, y, box));
  shapes.push({
    kind: 'polyline',
    role: 'centreline',
    points: [
      [Math.max(4, Math.min(x(leftMm), x(rightMm)) - 20), oy],
      [Math.min(view.width - 4, Math.max(x(leftMm), x(rightMm)) + 20), oy],
    ],
  });
  const overallAt = view.textSize * 2.6;
  shapes.push(...overallShapes(part, view, x, overallAt));
  const inside = new Set(insides(part).map((b) => b.id));
  if (beside) {
    shapes.push(...besideShapes(part, view, x, y));
    return { width: view.width, height: view.height, unitsPerMm: along, origin: [ox, oy], shapes };
  }
  const below = view.labels.filter((l) => !hollow || inside.has(l.id));
  shapes.push(...labelShapes(part, view, below, x, view.height - bottom));
  if (hollow)
    shapes.push(
      ...labelShapes(
        part,
        view,
        view.labels.filter((l) => !inside.has(l.id)),
        x,
        top - view.textSize * 3.25,
      ),
    );
  return { width: view.width, height: view.height, unitsPerMm: along, origin: [ox, oy], shapes };
}

/** Most labels that stand over one another on either side of the centreline, and room for them beside the part. */
const MOST_BESIDE = 4;
const BESIDE = 260;
/** Parts shorter than this many times their thickness gain by it. */
const STUBBY = 1.8;

/**
 * Whether the words of a part stand beside it: it is so short for its thickness that rows above and below would only make it
 * small, and nothing else of the strip is in the way.
 */
function labelsBeside(part: Part, view: StripView, longMm: number, tallMm: number): boolean {
  if (view.labels.length === 0 || view.held || view.cut) return false;
  if (outsides(part).length > MOST_BESIDE || insides(part).length > MOST_BESIDE) return false;
  const high = (view.height - view.textSize * 3.6) / Math.max(tallMm, 1);
  return longMm < tallMm * STUBBY && longMm * high + 2 * BESIDE < view.width && view.height >= 200;
}

/** Labels in a column right of the part: outside ones above the centreline, the largest uppermost; inside ones below it. */
function besideShapes(part: Part, view: StripView, x: (z: number) => number, y: (r: number) => number): Shape[] {
  const column = x(part.lengthMm) + 70;
  const inside = insides(part).map((b) => ({
    id: b.id,
    zMm: (b.zFromMm + b.zToMm) / 2,
    rMm: -(b.leftMm + b.rightMm) / 4,
  }));
  const outside = outsides(part).map((f) => ({
    id: f.id,
    zMm: (f.zFromMm + f.zToMm) / 2,
    rMm: (f.leftMm + f.rightMm) / 4 || f.diameterMm / 2,
  }));
  const pitch = view.textSize * 1.5;
  const stack = (items: typeof inside, way: 1 | -1): Shape[] => {
    // each as high as its surface, from the centreline outwards, never nearer to the next than a line of words
    let last = y(0) + way * pitch * 0.35;
    return items
      .toSorted((a, b) => way * (a.rMm - b.rMm) || b.zMm - a.zMm)
      .flatMap(({ id, zMm, rMm }): Shape[] => {
        const text = view.labels.find((l) => l.id === id)?.text;
        if (!text) return [];
        const foot: [number, number] = [x(zMm), y(rMm)];
        last = way === 1 ? Math.min(last - pitch, foot[1] - 4) : Math.max(last + pitch, foot[1] + 4);
        return [
          { kind: 'polyline', role: 'noteLine', points: [foot, [column - 40, last], [column - 6, last]] },
          {
            ...{ kind: 'text', role: id === view.selectedId ? 'selectedLabel' : 'label', anchor: 'start', text, id },
            at: [column, last + view.textSize * 0.35],
          },
        ];
      });
  };
  return [...stack(outside, 1), ...stack(inside, -1)];
}

/** Height at which the largest bend of the axis is drawn, picture units. */
const BENT_TALL = 26;

/** The axis as it bends under the worst cut, exaggerated until it is seen. */
function bentShapes(bent: NonNullable<StripView['bent']>, x: (z: number) => number, oy: number): Shape[] {
  const most = Math.max(...bent.points.map((p) => Math.abs(p.awayMm)));
  if (!(most > 0)) return [];
  // the tool pushes from the front, drawn as away from it: downwards
  const points = bent.points.map((p): [number, number] => [x(p.zMm), oy + (p.awayMm / most) * BENT_TALL]);
  const force = x(bent.atMm);
  return [
    { kind: 'polyline', role: 'bent', points },
    {
      kind: 'polyline',
      role: 'bent',
      points: [
        [force - 4, oy - 12],
        [force, oy - 2],
        [force + 4, oy - 12],
        [force, oy - 2],
        [force, oy - 26],
      ],
    },
  ];
}

function overallShapes(part: Part, view: StripView, x: (z: number) => number, top: number): Shape[] {
  if (outsides(part).length === 0 || view.overall === '' || view.cut) return [];
  const line = top - view.textSize * 1.1;
  const [a, b] = [x(0), x(part.lengthMm)].toSorted((from, to) => from - to) as [number, number];
  const half = (view.overall.length * view.textSize * 0.56) / 2 + 8;
  const middle = (a + b) / 2;
  const short = b - a < 2 * half + 20;
  return [
    {
      kind: 'polyline',
      role: 'dimension',
      points: [
        [a, line - 4],
        [a, line + 4],
      ],
    },
    {
      kind: 'polyline',
      role: 'dimension',
      points: [
        [b, line - 4],
        [b, line + 4],
      ],
    },
    {
      kind: 'polyline',
      role: 'dimension',
      points: [
        [a, line],
        [short ? b : middle - half, line],
      ],
    },
    ...(short
      ? []
      : [
          {
            kind: 'polyline' as const,
            role: 'dimension' as const,
            points: [
              [middle + half, line],
              [b, line],
            ] as [number, number][],
          },
        ]),
    {
      kind: 'text',
      role: 'dimension',
      at: short ? [b + 8, line + view.textSize * 0.35] : [middle, line + view.textSize * 0.35],
      text: view.overall,
      anchor: short ? 'start' : 'middle',
    },
  ];
}

/** Labels in as few rows as keep them from touching; each below its feature's middle. */
function labelShapes(
  part: Part,
  view: StripView,
  labels: StripView['labels'],
  x: (z: number) => number,
  baseline: number,
): Shape[] {
  const rowEnds: number[] = [];
  const shapes: Shape[] = [];
  const placed = labels.flatMap(({ id, text }) => {
    const feature = outsides(part).find((f) => f.id === id) ?? insides(part).find((b) => b.id === id);
    return feature ? [{ id, text, middle: (x(feature.zFromMm) + x(feature.zToMm)) / 2 }] : [];
  });
  // from the left, whichever way round the work lies
  const turned = x(part.lengthMm) < x(0);
  for (const { id, text, middle } of turned ? placed.toReversed() : placed) {
    const half = (text.length * view.textSize * 0.56) / 2 + 3;
    const row = rowEnds.findIndex((end) => end <= middle - half);
    const chosen = row >= 0 ? row : rowEnds.length;
    if (chosen >= 2) continue;
    rowEnds[chosen] = middle + half;
    shapes.push({
      kind: 'text',
      role: id === view.selectedId ? 'selectedLabel' : 'label',
      at: [middle, baseline + view.textSize * (1.3 + chosen * 1.35)],
      text,
      anchor: 'middle',
      id,
    });
  }
  return shapes;
}
