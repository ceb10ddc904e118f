import { flatten, radiiAt } from '../contour/index.ts';
import { type Drawing, insideProfiles, insides, outsides, type Resolved, spigotAt } from '../part/index.ts';
import { outerAt, type Picture, type Shape } from '../picture/index.ts';
import type { Box, Point } from './clear.ts';
import { dress } from './dress.ts';
import { type EndWords, endSheet, endTextWidth, needsEndView } from './end.ts';
import { frontView } from './front.ts';
import { cellShapes, MARGIN, PAPERS, type PaperName } from './paper.ts';
import { sizeLabels, sizesAlong } from './sizes.ts';
import { limitRows, ROW_HIGH, tableShapes } from './table.ts';
import type { SheetWords } from './words.ts';

/** Scales that drawings are made to, paper over part, largest first. source: ISO 5455 */
export const SCALES: readonly (readonly [number, number])[] = [
  [20, 1],
  [10, 1],
  [5, 1],
  [2, 1],
  [1, 1],
  [1, 2],
  [1, 5],
  [1, 10],
  [1, 20],
  [1, 50],
  [1, 100],
];
const TITLE_WIDE = 180;
const TITLE_HIGH = 30;
/** Sizes of letters, largest first: the first that everything fits at is taken. */
const LETTERS = [3.5, 2.8, 2.2, 1.8];
/** A part drawn at least this long or thick is clear enough, mm on paper. */
const CLEAR = 55;

export interface SheetWish {
  readonly paper: PaperName;
  readonly lying: boolean;
  /** every size in the other unit too */
  readonly both: boolean;
  readonly words: SheetWords & EndWords;
}
export interface DrawingSheets {
  /** pages in millimetres of paper */
  readonly pages: readonly Picture[];
  /** paper over part */
  readonly scale: readonly [number, number];
  /** boxes of the texts of sizes on the first page: none lies over another */
  readonly boxes: readonly Box[];
}

interface Area {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}
interface Views {
  readonly shapes: readonly Shape[];
  readonly boxes: readonly Box[];
  readonly origin: Point;
  readonly bottom: number;
}

/** Both views with all sizes at a scale and size of letters; undefined where they do not fit into the area. */
function viewsAt(
  drawing: Drawing,
  resolved: Resolved,
  wish: SheetWish,
  area: Area,
  ratio: number,
  size: number,
  tableHigh: number,
): Views | undefined {
  const { part } = resolved;
  const [headSpigot, tailSpigot] = [spigotAt(part, 'left'), spigotAt(part, 'right')];
  const ways = { unit: drawing.unit, both: wish.both, words: wish.words };
  const labels = sizeLabels(drawing, resolved, ways);
  const lengths = sizesAlong(drawing, resolved, ways);
  const hollow = insides(part).length > 0;
  const withEnd = needsEndView(resolved);
  const texts = endTextWidth(drawing, wish.words, size);
  const endWide = withEnd ? part.largestMm * ratio + 6 + texts + 14 : 0;
  const spigots = [headSpigot?.lengthMm ?? 0, tailSpigot?.lengthMm ?? 0] as const;
  const frontWide = (part.lengthMm + spigots[0] + spigots[1]) * ratio;
  const frontRight = area.right - endWide;
  if (frontWide + 30 > frontRight - area.left) return undefined;
  const x0 = (area.left + frontRight - frontWide) / 2 + spigots[0] * ratio;
  const high = Math.max(part.largestMm, ...[headSpigot, tailSpigot].map((s) => s?.diameterMm ?? 0)) * ratio;
  const inside = insideProfiles(part).map((p) => flatten(p, 0.05));
  const paper = (y0: number) => ({
    at: (z: number, r: number): Point => [x0 + z * ratio, y0 - r * ratio],
    ...{ size, from: area.left + 2, to: frontRight - 2 },
    radiusAt: (z: number, isInside: boolean): number =>
      isInside ? Math.max(0, ...inside.map((p) => radiiAt(p, z)?.most ?? 0)) : outerAt(part, z),
  });
  const dressAt = (y0: number) =>
    [
      dress(
        {
          way: -1,
          edgeY: y0 - high / 2,
          labels: labels.filter((l) => !l.inside),
          lengths: hollow ? lengths.filter((l) => !l.inside) : [],
        },
        paper(y0),
      ),
      dress(
        {
          way: 1,
          edgeY: y0 + high / 2,
          labels: labels.filter((l) => l.inside),
          lengths: lengths.filter((l) => l.inside || !hollow),
        },
        paper(y0),
      ),
    ] as const;
  const [above, below] = dressAt(0);
  if (!above || !below) return undefined;
  const tall = above.reach + high + below.reach;
  if (tall > area.bottom - area.top) return undefined;
  const spare = area.bottom - area.top - tall;
  const y0 = area.top + above.reach + high / 2 + Math.max(0, Math.min(30, spare / 2, (spare - tableHigh) / 2));
  const [up, down] = dressAt(y0);
  const end = withEnd
    ? endSheet(resolved, wish.words, ratio, [area.right - texts - 8 - high / 2, y0], size, area.top, area.bottom)
    : { shapes: [], boxes: [] };
  if (!up || !down || !end) return undefined;
  return {
    shapes: [...frontView(resolved, paper(y0).at), ...up.shapes, ...down.shapes, ...end.shapes],
    boxes: [...up.boxes, ...down.boxes, ...end.boxes],
    origin: [x0, y0],
    bottom: y0 + high / 2 + below.reach,
  };
}

function titleShapes(
  wish: SheetWish,
  right: number,
  bottom: number,
  scale: readonly [number, number],
  sheet: string,
): Shape[] {
  const { words } = wish;
  const [x, y] = [right - TITLE_WIDE, bottom - TITLE_HIGH];
  const row = TITLE_HIGH / 3;
  return [
    ...cellShapes(x, y, 110, row, words.heads.title, words.title, true),
    ...cellShapes(x + 110, y, 35, row, words.heads.issue, words.issue, true),
    ...cellShapes(x + 145, y, 35, row, words.heads.sheet, sheet),
    ...cellShapes(x, y + row, 75, row, words.heads.material, words.material),
    ...cellShapes(x + 75, y + row, 35, row, words.heads.quantity, words.quantity),
    ...cellShapes(x + 110, y + row, 35, row, words.heads.scale, `${scale[0]} : ${scale[1]}`),
    ...cellShapes(x + 145, y + row, 35, row, words.heads.date, words.date),
    ...cellShapes(x, y + 2 * row, 110, row, words.heads.general, words.general),
    ...cellShapes(x + 110, y + 2 * row, 70, row, words.heads.unit, words.unit),
  ];
}

/**
 * A dimensioned drawing on as many sheets as it takes: the part from the side and, where it has more to show, along its axis;
 * every size; a title block; and a table of the limits that the drawing gives.
 * @returns pages, or undefined while there is no part or its labels fit on no scale
 * @source ISO 128 line widths and views, ISO 129 sizes, ISO 5455 scales, ISO 5457 margins; provenance: recalled
 */
export function drawingSheets(drawing: Drawing, resolved: Resolved, wish: SheetWish): DrawingSheets | undefined {
  if (outsides(resolved.part).length === 0) return undefined;
  const { longMm, shortMm } = PAPERS[wish.paper];
  const [width, height] = wish.lying ? [longMm, shortMm] : [shortMm, longMm];
  const frame: Area = {
    left: MARGIN.left,
    top: MARGIN.other,
    right: width - MARGIN.other,
    bottom: height - MARGIN.other,
  };
  const area: Area = { ...frame, top: frame.top + 4, bottom: frame.bottom - TITLE_HIGH - 4 };
  const { lengthMm, largestMm } = resolved.part;
  const rows = limitRows(drawing, resolved, wish.both);
  const room = (rows.length + 1) * ROW_HIGH;
  let views: Views | undefined;
  let scale: readonly [number, number] = SCALES[0]!;
  let most = 0;
  // large letters first; smaller ones only where the part itself would become too small to read
  for (const size of LETTERS) {
    const chosen = SCALES.find(([paper, part]) => viewsAt(drawing, resolved, wish, area, paper / part, size, room));
    const shown = chosen ? (Math.max(lengthMm, largestMm) * chosen[0]) / chosen[1] : 0;
    if (chosen && shown > most * 1.5) {
      most = shown;
      scale = chosen;
      views = viewsAt(drawing, resolved, wish, area, chosen[0] / chosen[1], size, room);
    }
    if (most >= CLEAR) break;
  }
  if (!views) return undefined;
  const wide = frame.right - frame.left;
  const pages: Shape[][] = [[...views.shapes]];
  // under the views where there is room, else beside the title block, else on sheets of its own
  const under = area.bottom - views.bottom - 8;
  const beside = wide - TITLE_WIDE - 6;
  if (rows.length > 0) {
    if (room <= under)
      pages[0]!.push(
        ...tableShapes(rows, wish.words.columns, 1, [frame.left + 4, area.bottom - room], Math.min(150, wide - 8)),
      );
    else if (beside >= 80 && room <= TITLE_HIGH + under)
      pages[0]!.push(
        ...tableShapes(rows, wish.words.columns, 1, [frame.left + 2, frame.bottom - 2 - room], Math.min(150, beside)),
      );
    else {
      const per = Math.floor((area.bottom - area.top - 6) / ROW_HIGH) - 1;
      for (let i = 0; i < rows.length; i += per)
        pages.push(
          tableShapes(
            rows.slice(i, i + per),
            wish.words.columns,
            i + 1,
            [frame.left + 4, area.top + 2],
            Math.min(200, wide - 8),
          ),
        );
    }
  }
  const origin = views.origin;
  return {
    scale,
    boxes: views.boxes,
    pages: pages.map(
      (shapes, i): Picture => ({
        ...{ width, height, unitsPerMm: scale[0] / scale[1], origin },
        shapes: [
          {
            ...{ kind: 'polyline', role: 'frame' },
            points: [
              [frame.left, frame.top],
              [frame.right, frame.top],
              [frame.right, frame.bottom],
              [frame.left, frame.bottom],
              [frame.left, frame.top],
            ],
          },
          ...shapes,
          ...titleShapes(wish, frame.right, frame.bottom, scale, `${i + 1} / ${pages.length}`),
        ],
      }),
    ),
  };
}
