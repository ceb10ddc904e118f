import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { barKinds, clampings, toolLengthsMm } from '../standard/holder-letters.ts';
import {
  insertClearancesDeg,
  insertFixings,
  insertRadiiMm,
  insertShapes,
  insertThicknessesMm,
  insertTolerances,
} from '../standard/insert-letters.ts';
import { barsForBore, type OwnedBar } from './bore.ts';
import { composeHolder, type HolderChoice, standsAt, stylesOf } from './compose-holder.ts';
import { misfits } from './fit.ts';
import { type Holder, readHolder } from './holder.ts';
import {
  composeInsert,
  type Insert,
  type InsertFixing,
  type InsertTolerance,
  isCodeFault,
  readInsert,
} from './insert.ts';
import { type InsertShape, insertSizes, sizeCodeOf } from './insert-sizes.ts';

const insert = (code: string) => readInsert(code) as Insert;
const holder = (code: string) => readHolder(code) as Holder;

describe('designations of inserts', () => {
  it('are read with their sizes: DCMT 07 02 04', () => {
    expect(insert('DCMT 07 02 04')).toMatchObject({
      ...{ form: 'rhombus', cornerDeg: 55, clearanceDeg: 7, tolerance: 'M', hole: 'countersunk40', breakers: 1 },
      ...{ sizeCode: '07', thicknessMm: 2.38, radiusMm: 0.4, circleMm: 6.35, edgeMm: expect.closeTo(7.75, 2) },
      edges: 2,
    });
  });
  it('are read where they have no circle: a rectangle by its longer edge', () => {
    expect(insert('LNMA 19 06 08')).toMatchObject({
      ...{ form: 'rectangle', cornerDeg: 90, sizeCode: '19', edgeMm: 19.05, radiusMm: 0.8, thicknessMm: 6.35 },
      edges: 8,
    });
    expect(insertSizes('L').map((s) => s.sizeCode)).toEqual(['12', '15', '19', '25', '30', '40', '50']);
    expect(isCodeFault(readInsert('LNMA 11 06 08'))).toBe(true);
  });
  it('are read with their tolerances: SPMN 12 03 08', () => {
    expect(insert('spmn120308')).toMatchObject({
      ...{
        form: 'square',
        clearanceDeg: 11,
        hole: 'none',
        breakers: 0,
        circleToleranceMm: 0.08,
        edgeMm: expect.closeTo(12.7, 9),
      },
      ...{ thicknessMm: 3.18, radiusMm: 0.8, edges: 4 },
    });
  });
  it.each([
    // published edge lengths
    ['C', 12.7, '12', 12.9],
    ['C', 6.35, '06', 6.45],
    ['D', 12.7, '15', 15.5],
    ['T', 9.525, '16', 16.5],
    ['T', 6.35, '11', 11],
    ['V', 9.525, '16', 16.6],
    ['W', 12.7, '08', 8.7],
    ['W', 9.525, '06', 6.5],
    ['S', 15.875, '15', 15.9],
    ['K', 9.525, '11', 11.6],
  ] as const)('%s of circle %d is size %s, its edge %d', (shape, circleMm, size, edge) => {
    expect(sizeCodeOf(shape, circleMm)).toBe(size);
    expect(
      composeInsert({
        shape,
        circleMm,
        clearance: 'N',
        tolerance: 'M',
        fixing: 'G',
        thicknessCode: '04',
        radiusCode: '08',
      }).edgeMm,
    ).toBeCloseTo(edge, 1);
  });
  it('tell a double-sided one from a single-sided one, and round ones by inch or metric', () => {
    expect([
      insert('CNMG120408').edges,
      insert('CNMM120408').edges,
      insert('TCMT110204').edges,
      insert('WNMG080408').edges,
    ]).toEqual([4, 2, 3, 6]);
    expect([
      insert('RCMT 10 T3 M0').circleMm,
      insert('RNGN 12 07 00').circleMm,
      insert('RCMT 12 04 M0').circleMm,
    ]).toEqual([10, 12.7, 12]);
  });
  it('keep what its maker added, and the edge and hand before it', () => {
    expect(insert('CNMG 12 04 08-PX')).toMatchObject({ rest: 'PX', code: 'CNMG 12 04 08-PX' });
    expect(insert('TPGX 09 02 02 FR').edge).toBeUndefined();
    expect(insert('TPGH 09 02 02 FR')).toMatchObject({ edge: 'F', hand: 'R', rest: '' });
    expect(insert('SNUN 12 04 08 T')).toMatchObject({ edge: 'T' });
  });
  it.each([
    ['', 1],
    ['ZNMG120408', 1],
    ['CXMG120408', 2],
    ['CNYG120408', 3],
    ['CNMX120408', 4],
    ['CNMG130408', 5],
    ['CNMG12', 6],
    ['CNMG1204', 7],
    ['CNMG12040', 7],
  ])('%s is refused at its position %d, with what may stand there', (code, position) => {
    const read = readInsert(code);
    expect(isCodeFault(read) && [read.position, read.allowed.length > 0]).toEqual([position, true]);
  });
  it('go both ways: what is put together is read as the same', () => {
    const key = <T extends object>(table: T) => fc.constantFrom(...(Object.keys(table) as (keyof T & string)[]));
    fc.assert(
      fc.property(
        key(insertShapes),
        key(insertClearancesDeg),
        key(insertTolerances),
        key(insertFixings),
        fc.nat(20),
        key(insertThicknessesMm),
        key(insertRadiiMm),
        (shape, clearance, tolerance, fixing, which, thicknessCode, radiusCode) => {
          const sizes = insertSizes(shape as InsertShape).filter((s) => s.sizeCode !== '00');
          if (sizes.length === 0) return;
          const { circleMm } = sizes[which % sizes.length]!;
          const made = composeInsert({
            ...{ shape: shape as InsertShape, clearance, tolerance: tolerance as InsertTolerance },
            ...{ fixing: fixing as InsertFixing, circleMm, thicknessCode, radiusCode },
          });
          expect(readInsert(made.code)).toEqual(made);
        },
      ),
    );
  });
  it('never throw, whatever is typed', () => {
    fc.assert(
      fc.property(
        fc.string({ maxLength: 30 }),
        (text) => readInsert(text) !== undefined && readHolder(text) !== undefined,
      ),
    );
  });
});

describe('designations of holders', () => {
  it('are read for boring bars: S20S-SVUBR 16', () => {
    expect(holder('S20S-SVUBR 16')).toMatchObject({
      ...{ kind: 'boring', body: 'steel', shankWideMm: 20, lengthMm: 250, clamping: 'screw', insertShape: 'V' },
      ...{ settingDeg: 93, insertClearanceDeg: 5, hand: 'right', sizeCode: '16' },
    });
    expect(holder('e12q sclcl06')).toMatchObject({ body: 'carbide', coolant: true, hand: 'left', lengthMm: 180 });
  });
  it('are read for outside holders: PCLNR 2020 K12', () => {
    expect(holder('PCLNR 2020K12')).toMatchObject({
      ...{ kind: 'outside', clamping: 'lever', settingDeg: 95, shankHighMm: 20, shankWideMm: 20, lengthMm: 125 },
      ...{ insertClearanceDeg: 0, hand: 'right', sizeCode: '12' },
    });
    expect(holder('SDNCN 1616 X 11').lengthMm).toBeUndefined();
  });
  it.each([
    ['XCLNR2020K12', 1],
    ['PCZNR2020K12', 3],
    ['PCLNX2020K12', 5],
    ['PCLNR', 6],
    ['PCLNR2020I12', 8],
    ['PCLNR2020K', 9],
    ['Z20S-SVUBR16', 1],
    ['S20S-SVABR16', 6],
  ])('%s is refused at position %d', (code, position) => {
    const read = readHolder(code);
    expect('kind' in read && read.kind === 'fault' && read.position).toBe(position);
  });
});

describe('what fits', () => {
  const why = (code: string, into: string, thicknessMm?: number) =>
    misfits(insert(code), { holder: holder(into), thicknessMm }).map((m) => m.code);
  it('is the same shape, clearance and size with a hole for the clamping', () => {
    expect(why('DCMT 11 T3 04', 'SDJCR 2020 K11')).toEqual([]);
    expect(why('CCMT 06 02 04', 'S16R-SCLCR 09')).toEqual(['fit.size']);
    expect(why('CNMG 12 04 08', 'S32U-PWLNR 08')).toEqual(['fit.shape', 'fit.size']);
    expect(why('CNMG 12 04 08', 'PCLNR 2020 K12')).toEqual([]);
    expect(why('CNMN 12 04 08', 'PCLNR 2020 K12')).toEqual(['fit.hole']);
    expect(why('CPMT 09 T3 04', 'SCLCR 1616 H09')).toEqual(['fit.clearance']);
    expect(why('CCMT 09 T3 04', 'SCLCR 1616 H09', 3.18)).toEqual(['fit.thickness']);
    expect(why('DCGT 11 T3 04 FL', 'SDJCR 2020 K11')).toEqual(['fit.hand']);
  });
  it('into a bore is the stiffest bar that enters, withdraws, reaches and does not spring', () => {
    const bar = (
      id: string,
      shankMm: number,
      leastBoreMm: number,
      lengthMm: number,
      more: Partial<OwnedBar> = {},
    ): OwnedBar => ({
      ...{ id, shankMm, leastBoreMm, lengthMm, body: 'steel', damped: false },
      ...more,
    });
    const found = barsForBore(
      [
        bar('8', 8, 11, 125),
        bar('12', 12, 16, 150),
        bar('16', 16, 20, 60),
        bar('16 close', 16, 21.5, 200),
        bar('20', 20, 25, 250),
        bar('12 carbide', 12, 16, 150, { body: 'carbide' }),
      ],
      { boreMm: 22, depthMm: 46, withdrawMm: 0.5, heldMm: 40 },
    );
    expect(found.map((f) => [f.bar.id, f.verdict])).toEqual([
      ['12 carbide', 'good'],
      ['12', 'good'],
      ['8', 'springs'],
      ['16 close', 'cannotWithdraw'],
      ['16', 'tooShort'],
      ['20', 'tooThick'],
    ]);
    // 100 N on 48 mm of 12 mm steel
    expect(found[1]!.per100NMm).toBeCloseTo((100 * 48 ** 3) / (3 * 207_000 * 1017.876), 6);
  });
});

describe('holders put together', () => {
  const choice = fc.record({
    kind: fc.constantFrom('outside' as const, 'boring' as const),
    clamping: fc.constantFrom(...(Object.keys(clampings) as (keyof typeof clampings)[])),
    insertShape: fc.constantFrom<InsertShape>('C', 'D', 'S', 'T', 'V', 'W', 'R', 'K'),
    styleAt: fc.nat(40),
    insertClearance: fc.constantFrom(...(Object.keys(insertClearancesDeg) as (keyof typeof insertClearancesDeg)[])),
    hand: fc.constantFrom('R' as const, 'L' as const, 'N' as const),
    shankMm: fc.constantFrom(8, 12, 16, 20, 25, 32),
    length: fc.constantFrom(...(Object.keys(toolLengthsMm) as (keyof typeof toolLengthsMm)[])),
    sizeAt: fc.nat(20),
    body: fc.constantFrom(...(Object.keys(barKinds) as (keyof typeof barKinds)[])),
  });
  it('say in every letter what was chosen', () => {
    fc.assert(
      fc.property(choice, ({ styleAt, sizeAt, ...c }) => {
        const styles = stylesOf(c.kind);
        const style = styles[styleAt % styles.length]!;
        const sizes = insertSizes(c.insertShape);
        const { sizeCode } = sizes[sizeAt % sizes.length]!;
        const read = holder(composeHolder({ ...c, style, sizeCode }));
        expect(read).toMatchObject({
          ...{ kind: c.kind, clamping: clampings[c.clamping], insertShape: c.insertShape, style, sizeCode },
          ...{ shankHighMm: c.shankMm, shankWideMm: c.shankMm, lengthMm: toolLengthsMm[c.length] },
          hand: { R: 'right', L: 'left', N: 'neutral' }[c.hand],
          ...(c.kind === 'boring' ? barKinds[c.body] : {}),
        });
        expect(read.insertClearance).toBe(c.insertClearance);
      }),
    );
  });
  it('take the nearest size that the shape is made in, and a style of their kind', () => {
    const base: HolderChoice = {
      kind: 'boring',
      clamping: 'S',
      insertShape: 'C',
      style: 'L',
      insertClearance: 'C',
      hand: 'R',
      shankMm: 16,
      length: 'R',
      sizeCode: '10',
      body: 'S',
    };
    expect(composeHolder(base)).toBe('S16R-SCLCR 09');
    expect(composeHolder({ ...base, kind: 'outside', sizeCode: '12', clamping: 'P', insertClearance: 'N' })).toBe(
      'PCLNR 1616 R12',
    );
    expect(holder(composeHolder({ ...base, style: 'A' })).style).toBe(stylesOf('boring')[0]);
  });
  it('want air behind the corner: a square insert cannot stand at 93°', () => {
    expect([standsAt(95, 80), standsAt(93, 55), standsAt(93, 90), standsAt(107.5, 80), standsAt(45, 90)]).toEqual([
      true,
      true,
      false,
      false,
      true,
    ]);
    expect(standsAt(117.5, 0)).toBe(true);
  });
});

describe('an insert by its inch designation', () => {
  it.each([
    ['CNMG 432', 'CNMG 12 04 08'],
    ['cnmg432', 'CNMG 12 04 08'],
    ['CCMT 32.51', 'CCMT 09 T3 04'],
    ['CCMT 21.51', 'CCMT 06 02 04'],
    ['DCMT 32.52', 'DCMT 11 T3 08'],
    ['TNMG 331', 'TNMG 16 04 04'],
    ['SNMG 433', 'SNMG 12 04 12'],
    ['VBMT 331', 'VBMT 16 04 04'],
    ['WNMG 432', 'WNMG 08 04 08'],
    ['CCGT 21.5.5', 'CCGT 06 02 02'],
  ])('%s is %s', (inch, metric) => {
    const [a, b] = [readInsert(inch), readInsert(metric)];
    expect(isCodeFault(a)).toBe(false);
    expect(a).toEqual(b);
  });
  it('is read as it is otherwise, and refused where it is neither', () => {
    expect(readInsert('CNMG 12 04 08')).toMatchObject({ circleMm: 12.7 });
    for (const text of ['CNMG 992', 'CNMG 4', 'CNMG 43', 'XNMG 432']) expect(isCodeFault(readInsert(text))).toBe(true);
  });
});

describe('a holder by its inch designation', () => {
  it.each([
    // sixteenths of a square shank, circle in eighths, length letter
    [
      'MCLNR 16-4D',
      { kind: 'outside', shankHighMm: 25.4, shankWideMm: 25.4, lengthMm: 152.4, sizeCode: '12', settingDeg: 95 },
    ],
    ['MCLNR-123B', { shankHighMm: 19.05, lengthMm: 114.3, sizeCode: '09' }],
    ['PDJNL 85-4D', { shankWideMm: 25.4, shankHighMm: 31.75, hand: 'left', sizeCode: '15' }],
    ['S10M-SCLCR 2', { kind: 'boring', shankHighMm: 15.875, lengthMm: 152.4, sizeCode: '06', body: 'steel' }],
    ['C08K SCLCL2', { shankHighMm: 12.7, lengthMm: 127, body: 'carbide', hand: 'left' }],
  ])('%s', (text, said) => {
    expect(readHolder(text)).toMatchObject(said);
  });
  it('is the metric one where its figures are metric, and refused where they are neither', () => {
    expect(readHolder('PCLNR 2020 K 12')).toMatchObject({ shankHighMm: 20, lengthMm: 125, sizeCode: '12' });
    expect(readHolder('S20S-SVUBR 16')).toMatchObject({ shankHighMm: 20, lengthMm: 250, sizeCode: '16' });
    for (const text of ['MCLNR 16-9D', 'MCLNR 16-4Z', 'S10M-SCLCR 9']) expect(isCodeFault(readHolder(text))).toBe(true);
  });
});
