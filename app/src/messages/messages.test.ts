import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { catalogue } from '@whelk/core/calc';
import { materials } from '@whelk/core/material';
import { PROBLEM_CODES } from '@whelk/core/quantity';
import { CAUTIONS } from '@whelk/core/route';
import { causes } from '@whelk/core/trouble';
import { WORKING_CODES, type WorkingCode } from '@whelk/core/working';
import { describe, expect, it } from 'vitest';
import { APP_CODES } from './app-code.ts';
import { calculationSentences } from './calculations.ts';
import { cautionText, materialCautionText } from './cautions.ts';
import { tellProblem, wordedCodes } from './problems.ts';
import { causeText, changeText, evidenceText } from './trouble.ts';
import { wordedWorkings, wordStep } from './workings.ts';

const CORE = path.resolve(import.meta.dirname, '../../../core/src');
const sources = (readdirSync(CORE, { recursive: true }) as string[])
  .filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts'))
  .map((f) => readFileSync(path.join(CORE, f), 'utf8'));

describe('words', () => {
  it('stand for every problem that core or the application can answer, and for nothing else', () => {
    expect(wordedCodes.toSorted()).toEqual([...PROBLEM_CODES, ...APP_CODES].toSorted());
    // and every code in the list is one that is answered somewhere
    const text = sources.join('\n');
    const composed = /^(route\.(exceeds|lacks|tooFine))\./;
    expect(PROBLEM_CODES.filter((code) => !composed.test(code) && text.split(`'${code}'`).length < 3)).toEqual([]);
  });
  it('stand for every working, caution and calculation', () => {
    expect(wordedWorkings.toSorted()).toEqual([...WORKING_CODES].toSorted());
    for (const caution of CAUTIONS) expect(cautionText(caution)).toMatch(/\.$/);
    expect(materials.flatMap((m) => m.cautions).filter((code) => materialCautionText(code) === code)).toEqual([]);
    expect(catalogue.map((c) => c.name).filter((name) => !calculationSentences[name])).toEqual([]);
  });
  it('say what, where and what would be right, and cut long values short', () => {
    expect(tellProblem({ code: 'length.divisionByZero', path: ['features', 0, 'diameter'], value: '3/0"' })).toEqual({
      code: 'length.divisionByZero',
      path: ['features', 0, 'diameter'],
      value: '3/0"',
      what: '“3/0"” divides by zero.',
      right: 'The lower number of a fraction is at least 1, as in 3/8".',
    });
    expect(tellProblem({ code: 'length.notALength', path: [], value: 'x'.repeat(60) }).what.length).toBeLessThan(60);
    expect(tellProblem<string>({ code: 'never.heard', path: [] }).what).toContain('never.heard');
  });
  it('put the values into the formula', () => {
    expect(wordStep({ code: 'cutting.rpm', values: { speedMPerMin: 28, diameterMm: 45, rpm: 198.06 } })).toMatchObject({
      title: 'Ideal speed',
      formula: '1000 × 28 ÷ (π × 45) = 198 rpm',
    });
    // a size keeps its hundredths however large it is
    expect(
      wordStep({
        code: 'gauge.combine',
        values: { count: 2, meanMm: 142.0235, spreadMm: 0.003, uncertaintyMm: 0.004 },
      }),
    ).toMatchObject({ formula: 'mean of 2, weighed by their gauges: 142.0235 mm, spread 0.003 mm, ± 0.004 mm' });
  });
});

describe('a working in inches', () => {
  it('has every length of it in inches: what is put in and what comes out belong together', () => {
    const said = (code: WorkingCode, values: Record<string, number | string>) =>
      wordStep({ code, values }, 'in').formula;
    expect(
      said('truing.eccentricity', {
        r1: 2.54,
        r2: 0,
        r3: 0,
        r4: 0,
        towards1Mm: 1.27,
        towards2Mm: 0,
        offMm: 1.27,
        ovalMm: 0,
      }),
    ).toContain('(0.1 − 0)/2 = 0.05 towards 1');
    expect(said('truing.move', { gotPair1Share: 1, gotPair2Share: 1, mmPerTurn: 2.54 })).toContain('0.1 in a turn');
    expect(said('calibration.twoDepths', { movedInMm: 12.7, depth2Mm: 12.7, depth1Mm: 2.54, sharePercent: 0 })).toBe(
      '(moved 0.5 − came off 0.5) ÷ (0.5 − 0.1) = 0 % of the depth',
    );
    expect(
      said('tool.bar', {
        overhangMm: 50.8,
        modulusGPa: 210,
        per100NMm: 0.0254,
        overhangDiameters: 4,
        bearsDiameters: 4,
      }),
    ).toContain('= 0.001 in');
    expect(said('cutting.rpm', { speedMPerMin: 30.48, diameterMm: 25.4, rpm: 382 })).toBe(
      '12 × 100 ÷ (π × 1) = 382 rpm',
    );
  });
});

describe('words for trouble', () => {
  it('stand for every cause, change and condition that can raise one', () => {
    for (const cause of causes) {
      expect([cause.id, (causeText[cause.id]?.length ?? 0) > 4]).toEqual([cause.id, true]);
      for (const change of cause.changes)
        expect([change, (changeText[change]?.length ?? 0) > 4]).toEqual([change, true]);
    }
    const conditions = sources.join('').match(/(?:beyond|against)\('(\w+)'/g) ?? [];
    expect(conditions.length).toBeGreaterThan(10);
    for (const found of conditions) expect(Object.keys(evidenceText)).toContain(/'(\w+)'/.exec(found)![1]);
    // no two causes, and no two changes, are told in the same words
    for (const texts of [Object.values(causeText), Object.values(changeText)])
      expect(new Set(texts).size).toBe(texts.length);
  });
});

describe('every wording', () => {
  it('is two plain sentences, whatever values a problem carries', () => {
    const values = [undefined, '', 'x', '3/0"', 12.3456789, 0];
    for (const code of wordedCodes)
      for (const value of values)
        for (const limit of [undefined, 5.5, 'h7']) {
          const { what, right } = tellProblem<string>({ code, path: [], value, limit, unit: 'mm' });
          for (const sentence of [what, right]) {
            expect([code, sentence.length > 8, /[.?]$/.test(sentence)]).toEqual([code, true, true]);
            // what was typed is quoted as it was; no other number has more digits than a gauge shows
            expect([code, /\d\.\d{5,}/.test(sentence.replace(/“[^”]*”/g, ''))]).toEqual([code, false]);
          }
        }
  });
});
