import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { usualTruing } from '../../lathe/index.ts';
import { PretendChuck } from '../../testing/four-jaw.ts';
import { collectWorking } from '../../working/index.ts';
import { bedTwistOf } from './bed-twist.ts';
import { castingRunoutMm, fromGaps } from './casting.ts';
import { eccentricityOf, type FourReadings } from './eccentricity.ts';
import { truingRound } from './round.ts';
import { tailstockFromBar, tailstockFromDiameters } from './tailstock.ts';
import { tiltOf } from './tilt.ts';

const { fourJaw, fineAdjusting } = usualTruing;

/** Rounds of adjusting until the piece is found true, as the helper says it; the last is the runout that is really left. */
function trueUp(seed: number, chuck: typeof fourJaw, wantedMm: number, most = 8): { rounds: number; leftMm: number } {
  const piece = new PretendChuck(seed, chuck.sense);
  const readings: FourReadings[] = [piece.read()];
  for (let rounds = 0; ; rounds++) {
    const next = truingRound(readings, wantedMm, chuck);
    if (next.kind !== 'move' || rounds === most) return { rounds, leftMm: piece.runoutMm };
    for (const move of next.moves) piece.turn(move);
    readings.push(piece.read());
  }
}

describe('truing with four readings', () => {
  it('finds the eccentricity as half the difference of opposite readings, and tells form apart', () => {
    expect(eccentricityOf([0.42, 0.1, 0.02, 0.1])).toMatchObject({
      towardsMm: [expect.closeTo(0.2, 12), 0],
      offMm: expect.closeTo(0.2, 12),
      runoutMm: expect.closeTo(0.4, 12),
    });
    expect(eccentricityOf([0.1, 0, 0.1, 0])).toMatchObject({ offMm: 0, ovalMm: expect.closeTo(0.1, 12) });
    fc.assert(
      fc.property(
        fc.double({ min: -2, max: 2, noNaN: true }),
        fc.double({ min: -2, max: 2, noNaN: true }),
        fc.double({ min: -9, max: 9, noNaN: true }),
        (a, b, zero) => {
          const seen = eccentricityOf([zero + a, zero + b, zero - a, zero - b]);
          expect(seen.towardsMm[0]).toBeCloseTo(a, 9);
          expect(seen.towardsMm[1]).toBeCloseTo(b, 9);
          expect(seen.ovalMm).toBeCloseTo(0, 9);
        },
      ),
    );
  });
  it('slackens the low side of a four-jaw and the high side of a fine-adjusting body', () => {
    // jaw 1 is high: the work stands off towards it
    const jaws = truingRound([[0.5, 0.2, 0.1, 0.2]], 0.02, fourJaw);
    expect(jaws).toMatchObject({
      kind: 'move',
      moves: [{ slacken: 3, tighten: 1, under: 1, byMm: 0.2, slackenKey: 'anticlockwise', keyDeg: 18 }],
    });
    expect(jaws.kind === 'move' && jaws.moves[0]!.toMm).toBeCloseTo(0.3, 12);
    const screws = truingRound([[0.5, 0.2, 0.1, 0.2]], 0.02, { ...fineAdjusting, clockwise: 'slackens' });
    expect(screws).toMatchObject({ moves: [{ slacken: 1, tighten: 3, slackenKey: 'clockwise', keyDeg: 72 }] });
  });
  it('takes the pair that is farther off first, and leaves one alone that is good enough', () => {
    const both = truingRound([[0.1, 0.4, 0, -0.2]], 0.02, fourJaw);
    expect(both.kind === 'move' && both.moves.map((m) => [m.slacken, m.tighten])).toEqual([
      [4, 2],
      [3, 1],
    ]);
    const one = truingRound([[0.5, 0.001, 0.1, 0]], 0.02, fourJaw);
    expect(one.kind === 'move' && one.moves).toHaveLength(1);
  });
  it('learns what a pair gets of what is asked', () => {
    // 0.2 was asked of pair 1 and half of it was got: so the next move asks for more than what is left
    const next = truingRound(
      [
        [0.4, 0, 0, 0],
        [0.2, 0, 0, 0],
      ],
      0.02,
      fourJaw,
    );
    expect(next.kind === 'move' && next.moves[0]!.byMm).toBeGreaterThan(0.17);
    expect(next.kind === 'move' && next.moves[0]!.byMm).toBeLessThan(0.2);
  });
  it('stops when it is true, and says when only form is left', () => {
    expect(truingRound([[0.01, 0, 0, 0]], 0.02, fourJaw).kind).toBe('true');
    expect(truingRound([[0.05, 0, 0.05, 0]], 0.02, fourJaw).kind).toBe('outOfRound');
  });
  it.each([
    ['four-jaw', fourJaw],
    ['fine-adjusting body', fineAdjusting],
  ] as const)('brings a pretended %s to 0.03 in at most three rounds in 99 of 100 runs', (_name, chuck) => {
    let within = 0;
    for (let seed = 1; seed <= 1000; seed++) {
      const { rounds, leftMm } = trueUp(seed, chuck, 0.03);
      // what it calls true is so, as far as an indicator read to half a line can tell
      expect(leftMm).toBeLessThan(0.03 + 0.012);
      if (rounds <= 3) within++;
    }
    expect(within).toBeGreaterThanOrEqual(990);
  });
  it('never gets there when the sense of the chuck is wrong', () => {
    const piece = new PretendChuck(7, 'push');
    const readings: FourReadings[] = [piece.read()];
    for (let i = 0; i < 3; i++) {
      const next = truingRound(readings, 0.03, fineAdjusting);
      if (next.kind === 'move') for (const move of next.moves) piece.turn(move);
      readings.push(piece.read());
    }
    expect(piece.runoutMm).toBeGreaterThan(eccentricityOf(readings[0]!).runoutMm);
  });
  it('says where the far end is tapped', () => {
    const tilt = tiltOf([0, 0, 0, 0], [0.02, 0.15, -0.02, -0.15], 100);
    expect(tilt).toMatchObject({ tapAt: 2, tapMm: expect.closeTo(0.15, 12), runoutFarMm: expect.closeTo(0.3027, 3) });
    expect(tilt.perMetreMm).toBeCloseTo(1.513, 3);
    expect(tiltOf([0, 0, 0, 0], [-0.2, 0, 0.2, 0], 50).tapAt).toBe(3);
  });
  it('reads a pointer’s gaps: where the gap is small the casting is high', () => {
    const next = truingRound([fromGaps([0.5, 1.5, 2.5, 1.5])], 0.5, fourJaw);
    expect(next).toMatchObject({ kind: 'move', moves: [{ slacken: 3, tighten: 1, byMm: 1 }] });
    expect([castingRunoutMm(3, 1.5), castingRunoutMm(1, 1)]).toEqual([3, 0.3]);
  });
});

describe('what was worked out', () => {
  it('is told as it came: of the four readings, of the move, and of a tilt', () => {
    const { steps, record } = collectWorking();
    truingRound([[0.5, 0.3, 0.1, 0.2]], 0.02, fourJaw, record);
    expect(steps[0]!.values).toMatchObject({
      ...{ towards1Mm: expect.closeTo(0.2, 9), towards2Mm: expect.closeTo(0.05, 9) },
      ...{ offMm: expect.closeTo(Math.hypot(0.2, 0.05), 9), runoutMm: expect.closeTo(2 * Math.hypot(0.2, 0.05), 9) },
    });
    expect(steps[1]!.values).toMatchObject({ gotPair1Share: 1, gotPair2Share: 1 });
    const leaning = collectWorking();
    // 0.1 towards jaw 1 near the jaws, 0.3 there and 0.15 towards jaw 2 farther out: 0.2 and 0.15 more over 50 mm
    const tilt = tiltOf([0.2, 0, 0, 0], [0.6, 0.3, 0, 0], 50, leaning.record);
    expect(leaning.steps[0]!.values).toMatchObject({
      ...{ towards1Mm: expect.closeTo(0.2, 9), towards2Mm: expect.closeTo(0.15, 9) },
      perMetreMm: expect.closeTo((Math.hypot(0.2, 0.15) / 50) * 1000, 9),
    });
    expect(tilt).toMatchObject({ tapAt: 1, tapMm: expect.closeTo(0.2, 9) });
    expect(tiltOf([0, 0, 0.2, 0], [0, 0, 0.2, 0.5], 50)).toMatchObject({ tapAt: 4, tapMm: expect.closeTo(0.25, 9) });
  });
  it('leaves a pair alone that is off by less than a tenth of what is wanted, and takes the next', () => {
    const moved = (r2: number) => {
      const next = truingRound([[0.5, r2, 0.1, 0]], 0.1, fourJaw);
      return next.kind === 'move' ? next.moves.length : 0;
    };
    // half of 0.0198 and of 0.0202 against 0.2 · 0.1 / 2
    expect([moved(0.0198), moved(0.0202)]).toEqual([1, 2]);
  });
});

describe('the tailstock', () => {
  it('turns so much taper over 100 mm', () => {
    // 0.04 on the diameter over 200 mm of 400: off by 0.04, which makes 0.02 on 100 mm
    expect(tailstockFromDiameters(30, 30.04, 200, 400, 0.005)).toMatchObject({
      ...{ byMm: expect.closeTo(0.04, 9), way: 'tool', taperPer100Mm: expect.closeTo(0.02, 9) },
    });
  });
  it('comes towards the tool when the tail collar is larger', () => {
    const move = tailstockFromDiameters(30.02, 30.06, 150, 400, 0.005);
    expect(move).toMatchObject({ way: 'tool', byMm: expect.closeTo(0.0533, 4) });
    expect(tailstockFromDiameters(30.06, 30.02, 150, 400, 0.005).way).toBe('away');
    expect(tailstockFromDiameters(30.02, 30.022, 150, 400, 0.005).way).toBe('none');
  });
  it('says the same from an indicator on the tool’s side of a test bar as from collars turned on it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.5, max: 0.5, noNaN: true }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        (offMm, share) => {
          // the tail stands off towards the tool by offMm: collars are smaller there, the indicator is pressed in
          const [whole, head] = [500, 20];
          const apart = share * 400;
          const at = (z: number) => (offMm * z) / whole;
          const bar = tailstockFromBar(at(head), at(head + apart), apart, whole, 0);
          const turned = tailstockFromDiameters(30 - 2 * at(head), 30 - 2 * at(head + apart), apart, whole, 0);
          expect(bar.byMm).toBeCloseTo(Math.abs(offMm), 9);
          expect(turned.byMm).toBeCloseTo(Math.abs(offMm), 9);
          if (Math.abs(offMm) > 1e-6)
            expect([bar.way, turned.way]).toEqual(offMm > 0 ? ['away', 'away'] : ['tool', 'tool']);
        },
      ),
    );
  });
  it('is told apart from a twisted bed by a bar that stands out of the chuck alone', () => {
    const bed = { axisHighMm: 120, feetApartMm: 240, feetAtMm: 900 };
    const alone = { headMm: 25, tailMm: 25.03, apartMm: 150 };
    const twist = bedTwistOf(alone, bed, 0.003);
    // 0.015 away over 150, 0.09 over 900, twice that at the feet: as far apart as twice the height
    expect(twist).toMatchObject({ foot: 'front', liftMm: expect.closeTo(0.18, 9) });
    expect(bedTwistOf({ ...alone, tailMm: 24.97 }, bed, 0.003).foot).toBe('rear');
    // the same taper between centres is all the bed's
    const both = bedTwistOf(alone, bed, 0.003, { ...alone, wholeMm: 400 });
    expect(both.tailstock?.way).toBe('none');
    const more = bedTwistOf(alone, bed, 0.003, { ...alone, tailMm: 25.05, wholeMm: 300 });
    expect(more.tailstock).toMatchObject({ way: 'tool', byMm: expect.closeTo(0.02, 9) });
  });
});
