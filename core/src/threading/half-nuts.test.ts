import { describe, expect, it } from 'vitest';
import { rational } from '../quantity/index.ts';
import { seeded } from '../testing/seeded.ts';
import { closesAgain, marksOfStarts, pitchesBetween, pitchesToStart } from './half-nuts.ts';

const perInch = (n: number | string) => rational('25.4').div(rational(n));
const mm = (n: number | string) => rational(n);
const all = (n: number) => Array.from({ length: n }, (_, i) => i);

describe('half-nuts', () => {
  it.each([
    // leadscrew, lead, teeth, marks → least pitches, marks that are right
    [perInch(8), perInch(20), 32, 8, 2, all(8)],
    [perInch(8), perInch(40), 32, 8, 1, all(8)],
    [perInch(4), perInch(20), 16, 16, 1, all(16)],
    [perInch(8), mm(1), 32, 8, 40, []],
    [mm(3), mm('7/4'), 14, 14, 7, [0, 7]],
    [mm(3), mm(6), 14, 7, 2, all(7)],
  ] as const)(
    'close again on the right marks: %s by %s on %d teeth and %d marks',
    (screw, lead, teeth, marks, every, right) => {
      expect(closesAgain(screw, lead, { teeth, marks })).toMatchObject({ everyPitches: every, marks: [...right] });
    },
  );
  it('may close anywhere where the lead divides the pitch of the leadscrew', () => {
    expect(closesAgain(perInch(8), perInch(40), { teeth: 32, marks: 8 }).anyPlace).toBe(true);
    expect(closesAgain(perInch(8), perInch(20), { teeth: 32, marks: 8 }).anyPlace).toBe(false);
  });
  it('have right places between the marks where too few are engraved', () => {
    // 11½ to the inch on a leadscrew of 4: every second inch; a wheel of 16 with 3 marks
    const { everyPitches, marks, between } = closesAgain(perInch(4), perInch('11.5'), { teeth: 16, marks: 3 });
    expect([everyPitches, marks, between]).toEqual([8, [0], [1.5]]);
  });
  it('are counted by turns where the wheel does not come round evenly', () => {
    const { marks, turns } = closesAgain(perInch(8), mm(1), { teeth: 32, marks: 8 });
    // 40 pitches are 1¼ turns: the first mark is right again after five
    expect([marks, turns]).toEqual([[], 5]);
  });
  it('agree with trying every place by brute force, over ten thousand lathes and threads', () => {
    const next = seeded(7);
    const pick = (low: number, high: number) => low + Math.floor(next() * (high - low + 1));
    let tried = 0;
    while (tried < 10_000) {
      tried++;
      // whole numbers of a quarter of a thousandth, so that everything is told without fractions
      const [screw, lead] = [pick(1, 80) * 250, pick(1, 160) * 125];
      const [teeth, marks] = [pick(8, 48), pick(1, 16)];
      const found = closesAgain(rational(screw), rational(lead), { teeth, marks });
      let least = 1;
      while ((least * screw) % lead !== 0) least++;
      expect(found.everyPitches).toBe(least);
      // a mark is right if the nuts can close there, and every time it comes round
      const right = all(marks).filter((j) => {
        if ((teeth * j) % marks !== 0) return false;
        const k = (teeth * j) / marks;
        return all(6).every((turn) => ((k + turn * teeth) * screw) % lead === 0);
      });
      const repeats = (teeth * screw) % lead === 0;
      expect(found.marks).toEqual(repeats ? right : []);
    }
  });
  it('take up another start where the leadscrew has a place for it', () => {
    // two starts of 3 mm on a leadscrew of 3: half a lead is one pitch on
    expect(pitchesToStart(mm(3), mm(6), 1, 2)).toBe(1);
    expect(pitchesToStart(mm(3), mm(6), 0, 2)).toBe(0);
    // of 4 they never meet it: the compound is shifted
    expect(pitchesToStart(mm(4), mm(4), 1, 2)).toBeUndefined();
    expect(pitchesBetween(mm(4), mm(4))).toBe(1);
  });
  it('have marks for each start exactly where closing there meets it, by brute force', () => {
    const next = seeded(11);
    const pick = (low: number, high: number) => low + Math.floor(next() * (high - low + 1));
    let found = 0;
    for (let i = 0; i < 5000; i++) {
      const [screw, lead, starts] = [pick(1, 24) * 250, pick(1, 40) * 250, pick(2, 4)];
      const [teeth, marks] = [pick(4, 48), pick(1, 16)];
      const told = marksOfStarts(rational(screw), rational(lead), starts, { teeth, marks });
      // which start each mark meets, at each of a few turns of the dial; none where it is not the same one every time
      const meets = all(marks).map((mark) => {
        const turns = all(8).map((turn) => {
          const pitches = (mark * teeth) / marks + turn * teeth;
          const part = ((pitches * screw * starts) % (lead * starts)) / lead;
          return Number.isInteger(pitches) && Number.isInteger(part) ? part : -1;
        });
        return turns.every((start) => start === turns[0]) ? turns[0] : -1;
      });
      const wanted = all(starts).map((start) => all(marks).filter((mark) => meets[mark] === start));
      const whole = (teeth * screw) % lead === 0 && wanted.every((of) => of.length > 0);
      expect(told).toEqual(whole ? wanted : undefined);
      if (told) found++;
    }
    expect(found).toBeGreaterThan(50);
  });
});
