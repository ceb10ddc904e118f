import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Picture } from '@whelk/core/picture';
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
