import { type Picture, type Shape, textWidth } from '../picture/index.ts';

/** A line of a traveller: an operation as it is worked, already worded. */
export interface TravellerRow {
  readonly number: number;
  readonly title: string;
  /** levers, speed and feed; tool */
  readonly setting: string;
  readonly tool: string;
  /** diameters and moves of the ring, one after another */
  readonly numbers: string;
  readonly caution: string;
  /** boxes for readings, one a piece; what is written over them */
  readonly boxes: number;
  readonly minutes: string;
}
export interface TravellerSetup {
  readonly heading: string;
  readonly under: string;
  readonly strip: Picture;
  readonly rows: readonly TravellerRow[];
}
/** What goes with the work: every setup with its strip and its operations in order, and what is to be fetched. */
export interface Traveller {
  readonly title: string;
  readonly facts: readonly string[];
  readonly setups: readonly TravellerSetup[];
  readonly lists: readonly { readonly heading: string; readonly lines: readonly string[] }[];
  readonly foot: string;
  /** “page 1 of 3” */
  readonly page: (number: number, count: number) => string;
}

/** A4 standing, mm, and what of it is left free; sizes of letters, and how far apart lines are. */
const PAGE = { width: 210, height: 297, margin: 12 };
const RIGHT = PAGE.width - PAGE.margin;
const SIZE = { title: 6, heading: 4.2, text: 2.9, small: 2.5 } as const;
const LINE = 4;
/** Where columns begin: number, operation, setting, minutes; readings go under the operation. */
const AT = { number: PAGE.margin, title: PAGE.margin + 8, setting: 112, minutes: RIGHT } as const;
const BOX = { width: 15, height: 6.5, gap: 2 } as const;
const STRIP_TALL = 34;

/** A text broken into lines that are no wider than so much, mm. */
export function wrapped(text: string, widthMm: number, size: number): readonly string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(' ')) {
    const next = line ? `${line} ${word}` : word;
    if (line && textWidth(next, size) > widthMm) {
      lines.push(line);
      line = word;
    } else line = next;
  }
  return line ? [...lines, line] : lines;
}

/** Pages that are filled from the top. */
class Pages {
  readonly #pages: Shape[][] = [[]];
  y: number = PAGE.margin;

  get shapes(): Shape[] {
    return this.#pages.at(-1)!;
  }
  get all(): readonly (readonly Shape[])[] {
    return this.#pages;
  }
  /** Makes sure that so much room is left, on a new page where it is not. */
  room(mm: number): void {
    if (this.y + mm <= PAGE.height - PAGE.margin - 6) return;
    this.#pages.push([]);
    this.y = PAGE.margin + 2;
  }
  text(at: readonly [number, number], text: string, size: number, more: { bold?: boolean; end?: boolean } = {}): void {
    const role = more.bold ? 'selectedLabel' : 'label';
    this.shapes.push({ kind: 'text', role, at, text, anchor: more.end ? 'end' : 'start', size });
  }
  rule(): void {
    this.shapes.push({
      ...{ kind: 'polyline', role: 'thin' },
      points: [
        [PAGE.margin, this.y],
        [RIGHT, this.y],
      ],
    });
  }
}

/** The strip of a setup put onto the page. */
function putStrip(pages: Pages, strip: Picture): void {
  const scale = Math.min((RIGHT - PAGE.margin) / strip.width, STRIP_TALL / strip.height);
  pages.room(strip.height * scale + LINE);
  const place = ([x, y]: readonly [number, number]): [number, number] => [PAGE.margin + x * scale, pages.y + y * scale];
  for (const shape of strip.shapes) {
    if (shape.kind === 'text') pages.shapes.push({ ...shape, at: place(shape.at), size: SIZE.small });
    else if (shape.kind === 'path')
      pages.shapes.push({
        ...shape,
        corners: shape.corners.map((c) => {
          const [x, y] = place([c.x, c.y]);
          return { ...c, x, y };
        }),
      });
    else pages.shapes.push({ ...shape, points: shape.points.map(place) } as Shape);
  }
  pages.y += strip.height * scale + 2;
}

/** One operation: its title and setting side by side, numbers, caution, and boxes for readings under it. */
function putRow(pages: Pages, row: TravellerRow): void {
  const wide = AT.setting - AT.title - 4;
  const under = RIGHT - AT.title - 16;
  const titles = wrapped(row.title, wide, SIZE.text);
  const settings = [...wrapped(row.setting, AT.minutes - AT.setting - 16, SIZE.text), ...(row.tool ? [row.tool] : [])];
  const numbers = row.numbers ? wrapped(row.numbers, under, SIZE.text) : [];
  const cautions = row.caution ? wrapped(row.caution, under, SIZE.small) : [];
  const boxesAcross = Math.floor(under / (BOX.width + BOX.gap));
  const boxRows = Math.ceil(row.boxes / boxesAcross);
  const lines = Math.max(titles.length, settings.length) + numbers.length + cautions.length;
  pages.room(lines * LINE + boxRows * (BOX.height + BOX.gap) + 3);
  pages.rule();
  pages.y += LINE;
  pages.text([AT.number, pages.y], String(row.number), SIZE.text);
  pages.text([AT.minutes, pages.y], row.minutes, SIZE.text, { end: true });
  titles.forEach((line, i) => void pages.text([AT.title, pages.y + i * LINE], line, SIZE.text, { bold: true }));
  settings.forEach((line, i) => void pages.text([AT.setting, pages.y + i * LINE], line, SIZE.text));
  pages.y += (Math.max(titles.length, settings.length) - 1) * LINE;
  for (const line of numbers) {
    pages.y += LINE;
    pages.text([AT.title, pages.y], line, SIZE.text);
  }
  for (const line of cautions) {
    pages.y += LINE;
    pages.text([AT.title, pages.y], line, SIZE.small);
  }
  for (let i = 0; i < row.boxes; i++) {
    const [x, y] = [
      AT.title + (i % boxesAcross) * (BOX.width + BOX.gap),
      pages.y + 1.5 + Math.floor(i / boxesAcross) * (BOX.height + BOX.gap),
    ];
    const [x2, y2] = [x + BOX.width, y + BOX.height];
    pages.shapes.push({
      ...{ kind: 'polygon', role: 'frame' },
      points: [
        [x, y],
        [x2, y],
        [x2, y2],
        [x, y2],
      ],
    });
    if (row.boxes > 1) pages.text([x + 0.8, y + 2.6], String(i + 1), SIZE.small * 0.8);
  }
  pages.y += boxRows * (BOX.height + BOX.gap) + 1.5;
}

/** The traveller as pages to print, A4 standing, in mm. */
export function travellerPages({ title, facts, setups, lists, foot, page }: Traveller): readonly Picture[] {
  const pages = new Pages();
  pages.y += SIZE.title;
  pages.text([PAGE.margin, pages.y], title, SIZE.title, { bold: true });
  for (const fact of facts)
    for (const line of wrapped(fact, RIGHT - PAGE.margin, SIZE.text)) {
      pages.y += LINE + 0.5;
      pages.text([PAGE.margin, pages.y], line, SIZE.text);
    }
  for (const { heading, under, strip, rows } of setups) {
    pages.room(STRIP_TALL + 30);
    pages.y += 9;
    pages.text([PAGE.margin, pages.y], heading, SIZE.heading, { bold: true });
    pages.y += LINE + 1;
    pages.text([PAGE.margin, pages.y], under, SIZE.text);
    pages.y += 2;
    putStrip(pages, strip);
    for (const row of rows) putRow(pages, row);
    pages.rule();
  }
  for (const { heading, lines } of lists) {
    pages.room(14);
    pages.y += 9;
    pages.text([PAGE.margin, pages.y], heading, SIZE.heading, { bold: true });
    for (const line of lines.flatMap((l) => wrapped(l, RIGHT - PAGE.margin, SIZE.text))) {
      pages.room(LINE);
      pages.y += LINE + 0.5;
      pages.text([PAGE.margin, pages.y], line, SIZE.text);
    }
  }
  const { width, height, margin } = PAGE;
  return pages.all.map((shapes, i, all) => {
    const low = height - margin + 3;
    const told: Shape[] = [
      { kind: 'text', role: 'label', at: [margin, low], text: foot, anchor: 'start', size: SIZE.small },
      { kind: 'text', role: 'label', at: [RIGHT, low], text: page(i + 1, all.length), anchor: 'end', size: SIZE.small },
    ];
    return { width, height, unitsPerMm: 1, origin: [0, 0], shapes: [...shapes, ...told] };
  });
}
