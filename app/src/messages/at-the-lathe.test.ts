import { shopFileSchema } from '@whelk/core/job';
import type { Lathe } from '@whelk/core/lathe';
import { materialById } from '@whelk/core/material';
import type { StandChange } from '@whelk/core/run';
import { BIT_SHAPES } from '@whelk/core/tool';
import { describe, expect, it } from 'vitest';
import shopJson from '../../../demo/shop.json' with { type: 'json' };
import { bitShapeNames, grindingSheetOf } from './grinding.ts';
import { inUnit } from './in-unit.ts';
import { standChangeText } from './stand.ts';
import { evidenceText } from './trouble.ts';

const demo = shopFileSchema.parse(shopJson);
const [long, grey] = demo.lathes as [Lathe, Lathe];

describe('what has to be changed on the lathe', () => {
  it.each<[StandChange, string]>([
    [{ what: 'chuck', to: 'three-jaw', from: 'four-jaw' }, 'Put on the three-jaw 160, was the four-jaw 200'],
    [{ what: 'chuck', to: 'three-jaw' }, 'Put on the three-jaw 160'],
    [{ what: 'setOver', toMm: 0, fromMm: -2.5 }, 'Bring the tailstock back onto the axis, it is set over 2.5 mm'],
    [{ what: 'setOver', toMm: 0 }, 'See that the tailstock is not set over'],
    [{ what: 'lock', slide: 'carriage' }, 'Lock the carriage once the tool is in its place'],
    [{ what: 'lock', slide: 'tailstock' }, 'Lock the tailstock to the bed'],
    [{ what: 'unlock', slide: 'tailstock' }, 'Unlock the tailstock'],
    [{ what: 'unlock', slide: 'quill' }, 'Unlock the quill'],
    [{ what: 'reverse' }, 'Turn the spindle forward again; it was left in reverse'],
  ])('%o', (change, text) => {
    expect(standChangeText(change, long)).toBe(text);
  });
  it('warns on a screwed nose that reverse may have loosened', () => {
    expect(standChangeText({ what: 'reverse' }, grey)).toMatch(/see that the chuck has not come loose$/);
  });
});

describe('the words of a grinding sheet', () => {
  it('name shape and material, every angle in degrees, and what is done in order', () => {
    for (const shape of BIT_SHAPES) {
      const sheet = grindingSheetOf(materialById('low-carbon-steel')!, shape);
      expect(sheet.title.toLowerCase()).toBe(bitShapeNames[shape].toLowerCase());
      const angles = shape === 'roundNose' ? 4 : 6;
      expect(sheet.rows.slice(0, angles).map(([, value]) => value)).toEqual(
        Array(angles).fill(expect.stringMatching(/^\d+°$/)),
      );
      expect(sheet.order[0]).toMatch(/Eyes/);
    }
  });
  it('tell a flat top and a sharp point where there are any', () => {
    const brass = grindingSheetOf(materialById('brass')!, 'rougher');
    expect(brass.order).toContain('Top: flat, no rake; only stone it.');
    expect(brass.order).toContain('Nose, by turning the wrist.');
    const thread = grindingSheetOf(materialById('low-carbon-steel')!, 'thread60');
    expect(thread.rows.at(-1)).toEqual(['Nose', 'sharp, stoned']);
    expect(thread.order).toContain('Leave the point; gauge the angle.');
    const steel = grindingSheetOf(materialById('low-carbon-steel')!, 'rougher');
    expect(steel.order).toContain('Top: the rake.');
    expect(steel.rows.at(-1)).toEqual(['Nose', '0.8 mm']);
  });
});

describe('what raised a cause', () => {
  it('is told with its value and its line, no digits more than matter', () => {
    expect(evidenceText.overhangDiameters?.(6.04, 4, inUnit('mm'))).toBe(
      '6.0 diameters stand out; up to 4 stand freely',
    );
    expect(evidenceText.powerShare?.(0.953, 0.9, inUnit('mm'))).toBe('95 % of the motor is used; 90 % is near its end');
    expect(evidenceText.feedMmPerRev?.(0.20001, 0.15, inUnit('mm'))).toBe('fed 0.2 mm a turn; 0.15 mm is the line');
    expect(evidenceText.chipThicknessMm?.(0.00512, 0.01, inUnit('mm'))).toBe(
      'a chip 0.005 mm thick; below 0.01 mm the edge rubs',
    );
    expect(evidenceText.speedMPerMin?.(44.7, 32.2, inUnit('mm'))).toBe(
      '45 m/min where 32 m/min would be the edge of right',
    );
  });
});
