import { radians } from '../quantity/index.ts';
import type { GrindingAngles } from '../tool/index.ts';
import type { Picture, Shape } from './picture.ts';

/** Words of the sheet, already worded. */
export interface GrindingSheet {
  readonly angles: GrindingAngles;
  /** whether its end is a half circle as wide as the bit is there */
  readonly fullRound?: boolean;
  /** a bit for threads: half angles of its left and right flank, and its point's breadth as a share of the pitch */
  readonly form?: { readonly flanksDeg: readonly number[]; readonly tipShare: number };
  readonly title: string;
  readonly underTitle: string;
  readonly rows: readonly (readonly [name: string, value: string])[];
  readonly order: readonly string[];
  readonly names: { readonly top: string; readonly side: string; readonly front: string };
}
const PAGE = { width: 210, height: 148, margin: 10 };
/** Width of a letter at the most, as a share of its height. */
const LETTER = 0.56;
type Point = readonly [number, number];

/**
 * Bit from above, the work over it, cutting towards the left: the side edge runs outwards and ahead at its setting angle, the
 * end edge falls back from the finished surface.
 */
function topView(a: GrindingAngles, [x, y]: Point): Shape[] {
  const [edge, wide, long] = [22, 26, 40];
  const side: Point = [-edge * Math.cos(radians(a.sideEdgeDeg)), edge * Math.sin(radians(a.sideEdgeDeg))];
  const end: Point = [wide * Math.cos(radians(a.endEdgeDeg)), wide * Math.sin(radians(a.endEdgeDeg))];
  return [
    {
      kind: 'polygon',
      role: 'outline',
      points: [
        [x, y],
        [x + side[0], y + side[1]],
        [x + Math.min(side[0], 0), y + long],
        [x + end[0], y + long],
        [x + end[0], y + end[1]],
      ],
    },
    {
      kind: 'polyline',
      role: 'centreline',
      points: [
        [x - 14, y],
        [x + wide + 8, y],
      ],
    },
  ];
}

/** A bit with a full round nose from above, the work over it. */
function roundView([x, y]: Point): Shape[] {
  const [radius, long, points] = [11, 40, 24];
  const nose = Array.from({ length: points + 1 }, (_, i): Point => {
    const angle = Math.PI + (Math.PI * i) / points;
    return [x + radius + radius * Math.cos(angle), y + radius + radius * Math.sin(angle)];
  });
  return [
    { kind: 'polygon', role: 'outline', points: [[x, y + long], ...nose, [x + 2 * radius, y + long]] },
    {
      kind: 'polyline',
      role: 'centreline',
      points: [
        [x - 14, y],
        [x + 2 * radius + 8, y],
      ],
    },
  ];
}

/** A pitch is drawn so long, and a bit's flanks so high, mm on the sheet. */
const PITCH = 26;
const FLANK = 20;
/** A bit for threads from above with its point at the work, and the gauge whose notch its flanks stand in without light. */
function formView({ flanksDeg, tipShare }: NonNullable<GrindingSheet['form']>, [x, y]: Point): Shape[] {
  const [left, right] = flanksDeg.map((deg) => FLANK * Math.tan(radians(deg))) as [number, number];
  const half = (tipShare * PITCH) / 2;
  const [shank, gauge] = [18, 3];
  const notch = (up: number, off: number): Point[] => [
    [x - half - left - off, y + FLANK + up],
    [x - half - off * 0.4, y + up],
    [x + half + off * 0.4, y + up],
    [x + half + right + off, y + FLANK + up],
  ];
  return [
    {
      kind: 'polygon',
      role: 'outline',
      points: [...notch(0, 0), [x + half + right, y + FLANK + shank], [x - half - left, y + FLANK + shank]],
    },
    // the gauge lies along the work
    {
      kind: 'polyline',
      role: 'dimension',
      points: [[x - 32, y - gauge], ...notch(-gauge, 1), [x + 32, y - gauge]],
    },
    {
      kind: 'polyline',
      role: 'outline',
      points: [
        [x - 32, y - gauge - 1],
        [x + 32, y - gauge - 1],
      ],
    },
    {
      kind: 'polyline',
      role: 'centreline',
      points: [
        [x, y - 8],
        [x, y + FLANK + shank + 3],
      ],
    },
  ];
}

/** A rectangular section whose front leans back by a clearance and whose top falls by a rake. */
function section(clearanceDeg: number, rakeDeg: number, [x, y]: Point): Shape[] {
  const [wide, tall] = [34, 26];
  const lean = tall * Math.tan(radians(clearanceDeg));
  const fall = wide * Math.tan(radians(rakeDeg)) * 0.6;
  return [
    {
      kind: 'polygon',
      role: 'outline',
      points: [
        [x, y],
        [x + wide * 0.6, y + fall],
        [x + wide, y + fall],
        [x + wide, y + tall],
        [x + lean, y + tall],
      ],
    },
    {
      kind: 'polyline',
      role: 'centreline',
      points: [
        [x, y - 4],
        [x, y + tall + 4],
      ],
    },
    {
      kind: 'polyline',
      role: 'centreline',
      points: [
        [x - 4, y],
        [x + wide + 4, y],
      ],
    },
  ];
}

/**
 * A sheet for the grinder: the bit from above and in two sections, its angles, and in what order it is ground. A5 landscape.
 * @returns a picture in millimetres; angles are drawn as they are
 */
export function grindingSheetPicture(sheet: GrindingSheet): Picture {
  const { margin, width, height } = PAGE;
  const { angles: a } = sheet;
  const text = (x: number, y: number, words: string, size: number, bold = false): Shape => ({
    kind: 'text',
    role: bold ? 'selectedLabel' : 'label',
    at: [x, y],
    text: words,
    anchor: 'start',
    size,
  });
  // over its view and never into the next one's
  const heading = (x: number, words: string): Shape => text(x, 36, words, Math.min(3.6, 60 / (words.length * LETTER)));
  const longest = Math.max(1, ...sheet.order.map((words) => words.length + 3));
  const orderSize = Math.min(3.8, (width - 2 * margin - 88) / (longest * LETTER));
  const shapes: Shape[] = [
    text(margin, margin + 7, sheet.title, 8, true),
    text(margin, margin + 13, sheet.underTitle, 4),
    ...(sheet.form
      ? formView(sheet.form, [margin + 34, 46])
      : sheet.fullRound
        ? roundView([margin + 22, 42])
        : topView(a, [margin + 22, 42])),
    heading(margin, sheet.names.top),
    ...section(a.sideClearanceDeg, a.sideRakeDeg, [margin + 74, 42]),
    heading(margin + 70, `${sheet.names.side}: ${a.sideRakeDeg}° / ${a.sideClearanceDeg}°`),
    ...section(a.endClearanceDeg, a.backRakeDeg, [margin + 136, 42]),
    heading(margin + 132, `${sheet.names.front}: ${a.backRakeDeg}° / ${a.endClearanceDeg}°`),
    ...sheet.rows.flatMap(([name, value], i): Shape[] => [
      text(margin, 90 + i * 7, name, 4.4),
      text(margin + 52, 90 + i * 7, value, 5, true),
    ]),
    ...sheet.order.map((words, i) => text(margin + 88, 90 + i * 7, `${i + 1}. ${words}`, orderSize)),
  ];
  return { width, height, unitsPerMm: 1, origin: [margin, 40], shapes };
}
