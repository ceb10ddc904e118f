import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { guardCell } from './csv.ts';
import { renewIds, renewRuns } from './job-file.ts';
import { escapeXml, pictureToSvg } from './svg.ts';

describe('CSV cells', () => {
  it.each([
    ['=1+1', "'=1+1"],
    ['+SUM(A1)', "'+SUM(A1)"],
    ['@cmd', "'@cmd"],
    ['-cmd', "'-cmd"],
    ['\tx', "'\tx"],
    ['-0.02', '-0.02'],
    ['-12,5', '-12,5'],
    ['28.41', '28.41'],
    [-5, -5],
  ])('%s becomes %s', (from, to) => {
    expect(guardCell(from)).toBe(to);
  });
  it('never lets a formula through, quoting included', () => {
    fc.assert(
      fc.property(fc.string({ unit: fc.constantFrom(...'=+-@"\',;\n\t0a.') }), (text) => {
        const read = Papa.parse<string[]>(Papa.unparse([[guardCell(text), 'end']])).data[0]![0]!;
        return !/^[=+@\t\r]/.test(read) && (!read.startsWith('-') || /^-\d/.test(read));
      }),
    );
  });
});

describe('SVG', () => {
  it('escapes what XML would read and drops what it forbids', () => {
    expect(escapeXml('<a href="x">&\'\u0000\u0007')).toBe('&lt;a href=&quot;x&quot;&gt;&amp;&#39;');
  });
  it('writes every shape in millimetres on paper', () => {
    const svg = pictureToSvg(
      {
        width: 100,
        height: 50,
        unitsPerMm: 1,
        origin: [0, 0],
        shapes: [
          {
            kind: 'polygon',
            role: 'outline',
            points: [
              [0, 0],
              [1, 1],
            ],
          },
          { kind: 'text', role: 'label', at: [5, 5], text: 'Ø < 5', anchor: 'middle' },
        ],
      },
      'T & T',
      4,
    );
    expect(svg).toContain('width="100mm"');
    expect(svg).toContain('<title>T &amp; T</title>');
    expect(svg).toContain('Ø &lt; 5');
  });
});

describe('new ids', () => {
  it('follow every reference between events', () => {
    let n = 0;
    const renew = renewIds(() => `new ${++n}`);
    const event = (id: string, more: object) => ({
      schema: 1,
      id,
      runId: 'run',
      piece: 1,
      device: 'd',
      seq: 1,
      parents: ['a'],
      at: '',
      ...more,
    });
    const [run] = renewRuns(
      [
        {
          id: 'run',
          piece: 1,
          startedAt: '',
          frozen: {} as never,
          events: [
            event('a', { kind: 'done', stepId: 's' }),
            event('b', { kind: 'undone', eventId: 'a' }),
            event('c', { kind: 'corrected', readingId: 'b', raw: {} }),
          ] as never,
        },
      ],
      renew,
    );
    expect(run!.events.every((e) => e.runId === run!.id && e.parents[0] === run!.events[0]!.id)).toBe(true);
    expect(run!.events[1]).toMatchObject({ eventId: run!.events[0]!.id });
    expect(run!.events[2]).toMatchObject({ readingId: run!.events[1]!.id });
  });
});
