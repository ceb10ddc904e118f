import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isDxfRead, readDxf } from './dxf-in.ts';
import { figureOf, figuresOf, readDxfThings, textOf } from './dxf-pairs.ts';

/** A file from its pairs, one to a line. */
const file = (entities: string, header = '', blocks = '', line = '\n'): string =>
  [
    ...(header ? ['0', 'SECTION', '2', 'HEADER', ...header.split(' ')] : []),
    ...(header ? ['0', 'ENDSEC'] : []),
    ...(blocks ? ['0', 'SECTION', '2', 'BLOCKS', ...blocks.split(' '), '0', 'ENDSEC'] : []),
    ...['0', 'SECTION', '2', 'ENTITIES', ...entities.split(' ').filter(Boolean), '0', 'ENDSEC', '0', 'EOF'],
  ].join(line);
const LINE = '0 LINE 8 A 10 1 20 2 11 3 21 4';
const things = (text: string, most = 1000) => {
  const read = readDxfThings(text, most);
  if (typeof read === 'string') throw new Error(read);
  return read;
};
const strokes = (text: string) => {
  const read = readDxf(text, 0.01);
  if (!isDxfRead(read)) throw new Error(read.code);
  return read.strokes;
};

describe('the pairs of a DXF file', () => {
  it('are read whatever the ends of lines, with a mark of its encoding, comments, and blanks before codes', () => {
    for (const text of [
      file(LINE),
      file(LINE, '', '', '\r\n'),
      `\uFEFF${file(LINE)}`,
      `999\na comment\n${file(LINE)}`,
      file(LINE).replaceAll(/^(\d+)$/gm, '  $1'),
      `${file(LINE)}\n\n`,
    ]) {
      const [line] = things(text).entities;
      expect([line!.type, textOf(line!, 8), figureOf(line!, 10), figureOf(line!, 21)]).toEqual(['LINE', 'A', 1, 4]);
    }
  });
  it('keep the header’s variables and every value of a code that comes again', () => {
    const read = things(file('0 LWPOLYLINE 90 3 70 1 10 0 20 0 10 5 20 0 42 0.5 10 5 20 5', '9 $INSUNITS 70 4'));
    expect(read.header.get('$INSUNITS')).toBe('4');
    expect(figuresOf(read.entities[0]!, 10)).toEqual([0, 5, 5]);
    expect(figureOf(read.entities[0]!, 39, 7)).toBe(7);
  });
  it('give old polylines their vertices, wherever the next thing begins', () => {
    const old = '0 POLYLINE 66 1 70 1 0 VERTEX 10 0 20 0 42 1 0 VERTEX 10 4 20 0 0 SEQEND';
    const read = things(file(`${old} ${LINE}`));
    expect(read.entities.map((e) => [e.type, e.parts?.length])).toEqual([
      ['POLYLINE', 2],
      ['LINE', undefined],
    ]);
    expect(strokes(file(old))).toMatchObject([{ bulge: 1 }, { a: [4, 0], b: [0, 0] }]);
  });
  it('are refused when the file breaks off, is no such file, or holds too much', () => {
    const good = file(`${LINE} ${LINE}`);
    expect(readDxfThings(good.slice(0, -8), 1000)).toBe('broken');
    expect(readDxfThings(good.replace('\nEOF', ''), 1000)).toBe('broken');
    expect(readDxfThings(good.replace('10\n1', 'ten\n1'), 1000)).toBe('broken');
    expect(readDxfThings('{"a": 1}', 1000)).toBe('notDxf');
    expect(readDxfThings(good, 3)).toBe('tooMany');
  });
  it('of any text never throw', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom(
            '0',
            '2',
            '10',
            'SECTION',
            'ENTITIES',
            'LINE',
            'INSERT',
            'SPLINE',
            'ENDSEC',
            'EOF',
            '1e999',
            'NaN',
            '-',
            'x',
          ),
          { maxLength: 80 },
        ),
        (lines) => {
          const read = readDxf(['0', 'SECTION', '2', 'ENTITIES', ...lines].join('\n'), 0.01);
          expect(isDxfRead(read) || /^dxf\./.test(read.code)).toBe(true);
        },
      ),
    );
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), (text) => {
        expect(isDxfRead(readDxf(text, 0.01))).toBe(false);
      }),
    );
  });
});

describe('things of a file as strokes', () => {
  it('blocks stand in rows and columns, about their base point, mirrored ones with their arcs turned over', () => {
    const blocks = '0 BLOCK 2 B 10 1 20 1 0 LINE 8 0 10 1 20 1 11 2 21 1 0 ARC 8 0 10 1 20 1 40 1 50 0 51 90 0 ENDBLK';
    const rows = strokes(file('0 INSERT 8 L 2 B 10 10 20 20 70 2 71 3 44 5 45 7', '', blocks));
    expect(rows).toHaveLength(12);
    expect(rows.filter((s) => !s.bulge).map((s) => s.a)).toEqual([
      [10, 20],
      [15, 20],
      [10, 27],
      [15, 27],
      [10, 34],
      [15, 34],
    ]);
    // what is on layer 0 takes the layer of where it is put
    expect(new Set(rows.map((s) => s.layer))).toEqual(new Set(['L']));
    const [plain, mirrored] = ['1', '-1'].map(
      (x) => strokes(file(`0 INSERT 2 B 10 0 20 0 41 ${x} 42 1`, '', blocks))[1]!,
    );
    expect(mirrored!.bulge).toBeCloseTo(-plain!.bulge, 12);
    expect(mirrored!.a[0]).toBeCloseTo(-plain!.a[0], 12);
  });
  it('stretched circles are followed as the ellipses they become', () => {
    const blocks = '0 BLOCK 2 C 10 0 20 0 0 CIRCLE 8 0 10 0 20 0 40 5 0 ENDBLK';
    const round = strokes(file('0 INSERT 2 C 10 0 20 0 41 2 42 1', '', blocks));
    for (const s of round) expect((s.a[0] / 10) ** 2 + (s.a[1] / 5) ** 2).toBeCloseTo(1, 9);
  });
  it('arcs go the short way past nought, circles all the way round, paper space and hidden things are left', () => {
    const arc = strokes(file('0 ARC 10 0 20 0 40 10 50 350 51 10'));
    expect(arc).toHaveLength(1);
    expect(arc[0]!.bulge).toBeCloseTo(Math.tan((20 * Math.PI) / 180 / 4), 12);
    const circle = strokes(file('0 CIRCLE 10 0 20 0 40 10'));
    const turned = circle.reduce((sum, s) => sum + 4 * Math.atan(s.bulge), 0);
    expect(turned).toBeCloseTo(2 * Math.PI, 9);
    expect(strokes(file(`${LINE} 0 LINE 67 1 10 0 20 0 11 1 21 1 0 LINE 60 1 10 0 20 0 11 1 21 1`))).toHaveLength(1);
  });
  it('splines without control points go by their fit points; ones that are none are left out', () => {
    const fit = strokes(file('0 SPLINE 71 3 11 0 21 0 11 10 21 0 11 10 21 5'));
    expect(fit.at(-1)!.b).toEqual([10, 5]);
    expect(readDxf(file(`${LINE} 0 SPLINE 71 3 10 0 20 0 10 1 20 1`), 0.01)).toMatchObject({
      counts: [
        { type: 'LINE', how: 'taken' },
        { type: 'SPLINE', how: 'unknown' },
      ],
    });
  });
});
