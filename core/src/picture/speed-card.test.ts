import { describe, expect, it } from 'vitest';
import { chooseSpeed, rpmFor, speedTable, switchRpm } from '../cutting/index.ts';
import { chuckOf, type Lathe } from '../lathe/index.ts';
import { metricLathe } from '../testing/shop.ts';
import { speedCardPicture } from './speed-card.ts';

const materials = [
  { name: 'Low-carbon steel', speedMPerMin: 32 },
  { name: 'Alloy steel, quenched and tempered', speedMPerMin: 20 },
];
const card = (lathe: Lathe) =>
  speedCardPicture({ lathe, materials, title: 'the Long one', underTitle: 'by diameter', foot: 'First the depth.' });
const texts = (lathe: Lathe) => card(lathe).shapes.flatMap((s) => (s.kind === 'text' ? [s] : []));

describe('speed card', () => {
  it('has a row for every speed, fastest on top, and ranges that follow one another', () => {
    const words = texts(metricLathe).map((s) => s.text);
    expect(words.filter((t) => t.endsWith(' rpm'))).toEqual(
      [1600, 1100, 750, 500, 335, 230, 155, 100, 70, 45].map((n) => `${n} rpm`),
    );
    // 1100 is too slow from 1100/0.7 = 1571 on: 1000·32/(π·1571) = 6.5; 750 from 1071: 9.5; 500 from 714: 14.3; 335 from 478.6: 21.3
    expect(words).toEqual(expect.arrayContaining(['to 6.5', '6.5–9.5', '9.5–14', '14–21', '21–31']));
    expect(words).toEqual(expect.arrayContaining(['to 1/4 in', '13/16 – 1 1/4 in']));
  });
  it('gives the lever that would be chosen for a diameter well inside a range', () => {
    const table = speedTable(metricLathe, 3000);
    for (const { text } of texts(metricLathe)) {
      const range = /^(\d+(?:\.5)?)–(\d+(?:\.5)?)$/.exec(text);
      if (!range) continue;
      const middle = (Number(range[1]) + Number(range[2])) / 2;
      const chosen = materials.map((m) => chooseSpeed(table, rpmFor(m.speedMPerMin, middle))!.speed.rpm);
      const rows = texts(metricLathe);
      const here = rows.find((s) => s.text === text)!;
      const rpm = rows.filter((s) => s.text.endsWith(' rpm')).find((s) => s.at[1] > here.at[1])!;
      expect(chosen).toContain(Number.parseInt(rpm.text, 10));
    }
  });
  it('says what the plan would set, at every diameter, by every way of choosing', () => {
    const table = speedTable(metricLathe, chuckOf(metricLathe).maxRpm);
    for (const choice of ['notAbove', 'nearest'] as const) {
      const policy = { choice, belowShare: 0.3, aboveShare: 0.1 };
      const from = table.fixed.map((s, i) => (i === 0 ? 0 : switchRpm(table.fixed[i - 1]!.rpm, s.rpm, policy)));
      for (let ideal = 50; ideal < 3000; ideal += 7) {
        const told = table.fixed.findLast((_, i) => from[i]! <= ideal)!;
        expect([ideal, told.rpm]).toEqual([ideal, chooseSpeed(table, ideal, undefined, policy)!.speed.rpm]);
      }
    }
  });
  it('keeps everything on the page, and its figures tall enough for two metres', () => {
    const { shapes, width, height } = card(metricLathe);
    for (const shape of shapes)
      for (const [x, y] of shape.kind === 'text' ? [shape.at] : shape.kind === 'path' ? [] : shape.points) {
        expect(x).toBeGreaterThanOrEqual(5);
        expect(x).toBeLessThanOrEqual(width - 5);
        expect(y).toBeGreaterThanOrEqual(5);
        expect(y).toBeLessThanOrEqual(height - 5);
      }
    const figures = texts(metricLathe).filter((s) => /^\d+(\.5)?–/.test(s.text) && s.role === 'selectedLabel');
    // two minutes of arc a stroke, ten strokes high, at two metres: 7 mm letters, of which figures are seven tenths
    expect(Math.min(...figures.map((s) => s.size ?? 0))).toBeGreaterThan(7);
  });
  it('turns round for a stepless lathe: rows of diameters, cells of rpm within its ranges and the chuck’s limit', () => {
    const stepless: Lathe = {
      ...metricLathe,
      spindle: {
        ...metricLathe.spindle,
        controls: [{ ...metricLathe.spindle.controls[0]!, id: 'gear', name: 'Gear', positions: ['low', 'high'] }],
        settings: [
          { kind: 'stepless', at: { gear: 'low' }, minRpm: 80, maxRpm: 900, baseRpm: 600 },
          { kind: 'stepless', at: { gear: 'high' }, minRpm: 250, maxRpm: 3000, baseRpm: 1600 },
        ],
      },
    };
    const words = texts(stepless).map((s) => s.text);
    expect(words).toEqual(expect.arrayContaining(['Ø10', 'Ø100', 'Gear low', 'Gear high', '1010']));
    const rpms = words.filter((t) => /^\d{2,4}$/.test(t)).map(Number);
    expect(Math.max(...rpms)).toBeLessThanOrEqual(2500);
    expect(Math.min(...rpms)).toBeGreaterThanOrEqual(80);
  });
});
