import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { inflateSync } from 'node:zlib';
import { circleCorners, type Picture, textWidth } from '@whelk/core/picture';
import PDFDocument from 'pdfkit';
import { describe, expect, it } from 'vitest';
import { pictureToPdf } from './pdf.ts';
import { unpackWoff } from './woff.ts';

const file = (weight: number) =>
  readFileSync(createRequire(import.meta.url).resolve(`@fontsource/barlow/files/barlow-latin-${weight}-normal.woff`));
const fonts = { plain: unpackWoff(file(400)), bold: unpackWoff(file(700)) };
const picture: Picture = {
  width: 100,
  height: 50,
  unitsPerMm: 1,
  origin: [0, 0],
  shapes: [
    { kind: 'text', role: 'label', at: [10, 10], text: 'Ø 28 – 1 1/2 in', anchor: 'start', size: 6 },
    { kind: 'text', role: 'selectedLabel', at: [50, 20], text: '230 rpm', anchor: 'middle' },
    {
      kind: 'polygon',
      role: 'outline',
      points: [
        [5, 5],
        [95, 5],
        [95, 45],
      ],
    },
    { kind: 'polyline', role: 'dimension', points: [] },
  ],
};

describe('a picture as PDF', () => {
  it('is one page of its own size with both faces in it', async () => {
    const pdf = (await pictureToPdf(picture, 'card', 5, fonts)).toString('latin1');
    // 100 × 50 mm in points
    expect(pdf).toMatch(/\/MediaBox \[0 0 283\.46\d* 141\.7\d*\]/);
    expect(pdf.match(/\/FontFile2/g)).toHaveLength(2);
    expect(pdf).toContain('Barlow-Bold');
  });
});

describe('a drawing as PDF', () => {
  const line = (role: 'centreline' | 'outline' | 'hatch', y: number) => ({
    ...{ kind: 'polyline' as const, role },
    points: [
      [0, y],
      [50, y],
    ] as [number, number][],
  });
  it('has a page for each sheet, chain-dotted centrelines, thick outlines, thin hatching, arcs and upright texts', async () => {
    const sheet: Picture = {
      ...picture,
      shapes: [
        line('centreline', 10),
        line('outline', 20),
        line('hatch', 30),
        { kind: 'path', role: 'outline', corners: circleCorners(50, 25, 10), closed: true },
        {
          kind: 'polygon',
          role: 'arrow',
          points: [
            [0, 0],
            [1, 1],
            [2, 0],
          ],
        },
        {
          kind: 'polygon',
          role: 'body',
          points: [
            [0, 0],
            [90, 1],
            [2, 40],
          ],
        },
        { kind: 'text', role: 'label', at: [10, 40], text: 'Ø30 h7', anchor: 'start', size: 4, upright: true },
      ],
    };
    const pdf = await pictureToPdf([sheet, picture], 'drawing', 3, fonts);
    const plain = pdf.toString('latin1');
    expect(plain.match(/\/Type \/Page\b/g)).toHaveLength(2);
    const streams = [...plain.matchAll(/stream\r?\n([\s\S]*?)endstream/g)].flatMap((m) => {
      try {
        return [inflateSync(Buffer.from(m[1]!, 'latin1')).toString('latin1')];
      } catch {
        return [];
      }
    });
    const drawn = streams.find((s) => s.includes(' d\n') && s.includes(' w\n'))!;
    const pt = (mm: number) => (mm * 72) / 25.4;
    const dash = /\[([\d. ]+)\] 0 d/.exec(drawn)![1]!.split(' ').map(Number);
    expect(dash.map((d) => Number(d.toFixed(1)))).toEqual([8, 1.5, 1.5, 1.5].map((mm) => Number(pt(mm).toFixed(1))));
    const widths = [...drawn.matchAll(/([\d.]+) w\n/g)].map((m) => Number(m[1]));
    expect(Math.max(...widths)).toBeCloseTo(pt(0.6), 2);
    expect(Math.min(...widths)).toBeCloseTo(pt(0.18), 2);
    // a circle is curves, an arrow is filled, and what only paints a screen is not there
    expect(drawn.match(/ c\n/g)!.length).toBeGreaterThanOrEqual(4);
    expect(drawn.match(/^f$/gm)).toHaveLength(1);
    expect(drawn).not.toContain(String(Number(pt(90).toFixed(2))));
  });
  it('no text is wider than the layout took it to be', () => {
    const doc = new PDFDocument();
    for (const [name, font] of Object.entries(fonts)) {
      doc.registerFont(name, font).font(name).fontSize(10);
      for (const text of [
        'Ø28 h7 [1.1024]',
        'M24x2 LH 6g',
        '0.5×45°',
        '±0.02/−0.01',
        'Sizes without limits: ISO 2768-m',
        '4× Ø6.6, first at 45°',
        'WMwm@%',
      ])
        expect(doc.widthOfString(text)).toBeLessThanOrEqual(textWidth(text, 10, name === 'bold') + 1e-9);
    }
  });
});

describe('a packed font', () => {
  it('unpacks to a plain one with the same tables, each with its own checksum', () => {
    const ttf = fonts.plain;
    expect(ttf.readUInt32BE(0)).toBe(0x00010000);
    const count = ttf.readUInt16BE(4);
    const tags = Array.from({ length: count }, (_, i) => ttf.toString('latin1', 12 + i * 16, 16 + i * 16));
    expect(tags).toEqual(expect.arrayContaining(['cmap', 'glyf', 'head', 'hmtx', 'loca']));
    for (const [i, tag] of tags.entries()) {
      if (tag === 'head') continue;
      const [sum, offset, length] = [4, 8, 12].map((o) => ttf.readUInt32BE(12 + i * 16 + o)) as [
        number,
        number,
        number,
      ];
      let total = 0;
      for (let k = 0; k < Math.ceil(length / 4); k++) total = (total + ttf.readUInt32BE(offset + k * 4)) >>> 0;
      expect([tag, total]).toEqual([tag, sum]);
    }
  });
  it('is refused when it is none', () => {
    expect(() => unpackWoff(Buffer.from('OTTO and more than four letters'))).toThrow(RangeError);
  });
});
