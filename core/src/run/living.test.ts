import { describe, expect, it } from 'vitest';
import { AtTheLathe } from '../testing/at-the-lathe.ts';
import { runOf } from '../testing/runs.ts';
import { feature } from '../testing/shop.ts';
import { livingAfter } from './living.ts';

const features = [feature(1, 40, 30), feature(2, 28, 40, 'h9')];
const run = runOf(features, 45);

describe('the numbers of a piece', () => {
  const first = new AtTheLathe(run).to('none');
  const living = livingAfter(first.state);
  const second = new AtTheLathe({ ...run, living });
  it('live on for both tools, with the carriage’s', () => {
    const tools = run.steps.filter((s) => s.kind === 'touchOff').map((s) => s.toolId);
    expect(living.map((l) => l.toolId).sort()).toEqual(tools.toSorted());
    expect(living.every((l) => l.endLines === 50)).toBe(true);
  });
  it('set the first short cut of the next piece, which should come out as they say', () => {
    const { check, expected } = second.to('touchOff').advice!;
    // touched at Ø44.6 by 0.30: Ø44.6 again, for four tenths off the bar
    expect(check!.number).toBe('0.30');
    expect(check!.diameterMm).toBeCloseTo(44.6, 9);
    expect(check!.endNumber).toBe('5.0');
    expect(expected).toEqual({ mm: check!.diameterMm, boundMm: 0.1 });
    expect(check!.hands).toMatchObject({ number: '0.30', outHand: 'anticlockwise' });
  });
  it('are doubted when the short cut does not come out so, and are told of no other tool', () => {
    second.touch(44.9, '0.30');
    expect(second.step!.kind).toBe('touchOff');
    second.touch(44.62, '0.30');
    expect(second.step!.kind).toBe('glance');
    const other = new AtTheLathe({ ...run, living: living.filter((l) => l.toolId !== run.steps[2]!.toolId) });
    expect(other.to('touchOff').advice!.check).toBeUndefined();
  });
});
