/** A thing of a DXF file: its type, and its group codes with their values in the order of the file. */
export interface DxfThing {
  readonly type: string;
  readonly codes: readonly number[];
  readonly values: readonly string[];
  /** vertices of an old polyline */
  readonly parts?: readonly DxfThing[];
}
export interface DxfFile {
  /** values of header variables by name, the first of each */
  readonly header: ReadonlyMap<string, string>;
  readonly blocks: ReadonlyMap<string, { readonly base: DxfThing; readonly things: readonly DxfThing[] }>;
  readonly entities: readonly DxfThing[];
}
export type DxfFault = 'notDxf' | 'broken' | 'tooMany';

/** The first value of a group code; NaN where there is none or it is no figure. */
export function figureOf(thing: DxfThing, code: number, usual = Number.NaN): number {
  const i = thing.codes.indexOf(code);
  if (i < 0) return usual;
  const text = thing.values[i]!;
  return text === '' ? Number.NaN : Number(text);
}
export function textOf(thing: DxfThing, code: number): string | undefined {
  const i = thing.codes.indexOf(code);
  return i < 0 ? undefined : thing.values[i];
}
/** Values of a group code that comes more than once, as figures. */
export function figuresOf(thing: DxfThing, code: number): readonly number[] {
  return thing.values.filter((_, i) => thing.codes[i] === code).map((v) => (v === '' ? Number.NaN : Number(v)));
}

/** Reads pairs of lines one after the other, each looked at once: the file's length bounds time and memory. */
function* pairsOf(text: string): Generator<readonly [number, string] | 'broken'> {
  let at = text.charCodeAt(0) === 0xfeff ? 1 : 0;
  const line = (): string | undefined => {
    if (at >= text.length) return undefined;
    const end = text.indexOf('\n', at);
    const found = text.slice(at, end < 0 ? text.length : end).trim();
    at = end < 0 ? text.length : end + 1;
    return found;
  };
  for (;;) {
    const code = line();
    if (code === undefined) return;
    const value = line();
    // blank lines after the end do no harm
    if (value === undefined && code === '') return;
    if (value === undefined || !/^-?\d{1,4}$/.test(code)) {
      yield 'broken';
      return;
    }
    yield [Number(code), value];
  }
}

/** The things of a file one after the other, each begun by a group 0; old polylines with their vertices. */
function* thingsOf(text: string): Generator<DxfThing | 'broken'> {
  let type: string | undefined;
  let codes: number[] = [];
  let values: string[] = [];
  for (const pair of pairsOf(text)) {
    if (pair === 'broken') {
      yield 'broken';
      return;
    }
    const [code, value] = pair;
    if (code === 999) continue;
    if (code === 0) {
      if (type !== undefined) yield { type, codes, values };
      type = value;
      codes = [];
      values = [];
    } else if (type === undefined) {
      yield 'broken';
      return;
    } else {
      codes.push(code);
      values.push(value);
    }
  }
  if (type !== undefined) yield { type, codes, values };
}

function headerOf(section: DxfThing): Map<string, string> {
  const header = new Map<string, string>();
  for (const [i, code] of section.codes.entries())
    if (code === 9 && section.values[i + 1] !== undefined && !header.has(section.values[i]!))
      header.set(section.values[i]!, section.values[i + 1]!);
  return header;
}

/**
 * A DXF file (text) as its header, blocks and entities. What comes after a fault is not read: a file that was cut off is told
 * as broken, never read in part.
 * @param most things that are taken in, at most
 * @source the text form of DXF: pairs of group code and value; provenance: recalled
 */
export function readDxfThings(text: string, most: number): DxfFile | DxfFault {
  if (!/^\uFEFF?\s*(999[ \t]*\r?\n.*\r?\n\s*)*0[ \t]*\r?\n[ \t]*SECTION/.test(text.slice(0, 20_000))) return 'notDxf';
  let header = new Map<string, string>();
  const blocks = new Map<string, { base: DxfThing; things: DxfThing[] }>();
  const entities: DxfThing[] = [];
  let section = '';
  let block: { base: DxfThing; things: DxfThing[] } | undefined;
  let polyline: { type: string; codes: readonly number[]; values: readonly string[]; parts: DxfThing[] } | undefined;
  let count = 0;
  let ended = false;
  for (const thing of thingsOf(text)) {
    if (thing === 'broken') return 'broken';
    if (++count > most) return 'tooMany';
    const { type } = thing;
    if (type === 'VERTEX' && polyline) {
      polyline.parts.push(thing);
      continue;
    }
    polyline = undefined;
    if (type === 'SEQEND') continue;
    if (type === 'EOF') {
      ended = true;
      break;
    }
    if (type === 'SECTION') {
      section = textOf(thing, 2) ?? '';
      if (section === 'HEADER') header = headerOf(thing);
    } else if (type === 'ENDSEC') section = '';
    else if (section === 'BLOCKS' && type === 'BLOCK') {
      block = { base: thing, things: [] };
      blocks.set(textOf(thing, 2) ?? '', block);
    } else if (section === 'BLOCKS' && type === 'ENDBLK') block = undefined;
    else if (section === 'ENTITIES' || (section === 'BLOCKS' && block)) {
      const into = section === 'ENTITIES' ? entities : block!.things;
      if (type === 'POLYLINE') {
        polyline = { ...thing, parts: [] };
        into.push(polyline);
      } else into.push(thing);
    }
  }
  return ended ? { header, blocks, entities } : 'broken';
}
