import { describe, expect, it } from 'vitest';
import { barWantsMm, cutterRing } from './over-slide.ts';

const screw = {
  mostBoreMm: 60,
  unit: 'mm',
  travelPerTurn: '0.5',
  divisions: 50,
  kind: 'radius',
  slackMm: 0.03,
  clockwise: 'out',
} as const;

describe('a cutter’s own screw', () => {
  it('brings a leaning cutter out by the sine of its angle', () => {
    expect(cutterRing({ ...screw, by: 'centres', angleDeg: 30 }, 24)).toMatchObject({
      ...{ of: 'bar', travelPerTurn: '0.25', travelMm: 18, clockwiseMoves: 'out' },
    });
    expect(cutterRing({ ...screw, by: 'head' }, 24)).toMatchObject({ of: 'head', travelPerTurn: '0.5' });
  });
  it('is carried by a bar as long as the work asks', () => {
    // the work passes the cutter from one side to the other; a head only goes in
    expect(barWantsMm('centres', 50)).toBe(140);
    expect(barWantsMm('head', 50)).toBe(55);
  });
});
