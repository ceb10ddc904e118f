import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { metricLathe, mm } from '../testing/shop.ts';
import { collectWorking } from '../working/index.ts';
import { type Calibration, calibrated, withCalibrations } from './calibration.ts';
import { dialScale } from './dial.ts';
import type { Lathe } from './schema.ts';
import { feedsOf, fixedSpeeds } from './settings.ts';
import { standOn, unknownStand } from './stand.ts';

const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
type Body = Calibration extends infer C ? (C extends Calibration ? Omit<C, keyof typeof head> : never) : never;
const head = { schema: 1 as const, id: id(90), latheId: metricLathe.id, at: '2026-01-12T09:00:00.000Z', note: '' };
const made = (body: Body, n = 90) => ({ ...head, id: id(n), ...body }) as Calibration;
const inForce = (lathe: Lathe, ...all: Calibration[]) =>
  withCalibrations(
    {
      ...lathe,
      inForce: Object.fromEntries(
        all.flatMap((c) => {
          const result = calibrated(lathe, c);
          return result.ok ? [[result.slot, c.id]] : [];
        }),
      ),
    },
    all,
  );

const feed = made({ kind: 'feed', feedAt: { feed: '3' }, rpm: 155, seconds: 60, distance: mm('31.93') });

describe('calibrations', () => {
  it('give an unmarked feed its figure by time and distance', () => {
    const unmarked: Lathe = {
      ...metricLathe,
      feeds: { ...metricLathe.feeds, settings: [{ kind: 'unmarked', at: { feed: '3' } }] },
    };
    expect(feedsOf(unmarked)).toEqual([]);
    // 155 turns in a minute: 31.93 mm
    expect(calibrated(unmarked, feed)).toEqual({ ok: true, slot: 'feed:feed=3', value: 0.206, before: undefined });
    expect(feedsOf(inForce(unmarked, feed)).map((f) => f.mmPerRev)).toEqual([0.206]);
  });
  it('find what a screw really moves by the slope of its readings, and every line is worth that', () => {
    const readings = [10, 20, 40].map((x) => ({ byDial: mm(String(x)), byIndicator: mm((x * 1.002).toFixed(3)) }));
    const dial = made({ kind: 'dial', dial: 'crossSlide', readings });
    expect(calibrated(metricLathe, dial)).toMatchObject({ value: 1.002, before: 1 });
    const line = dialScale(inForce(metricLathe, dial).slides.crossSlide);
    expect(line.lineTravelMm.valueOf()).toBeCloseTo(0.02 * 1.002, 12);
    // the ring's numbers stay as they are engraved
    expect(line.lineNumber.valueOf()).toBe(0.02);
  });
  it('take slack the shorter way round the ring', () => {
    const slack = made({
      kind: 'slack',
      dial: 'crossSlide',
      pairs: [
        { fromOutLines: 97, fromInLines: 4 },
        { fromOutLines: 50, fromInLines: 43 },
      ],
    });
    expect(inForce(metricLathe, slack).slides.crossSlide.slackMm).toBeCloseTo(0.14, 9);
  });
  it('put the spindle’s measured speed in the place of the marked one', () => {
    const speed = made({ kind: 'speed', spindleAt: { lever: '5' }, rpms: [221, 223] });
    expect(fixedSpeeds(inForce(metricLathe, speed)).map((s) => s.rpm)).toEqual([
      45, 70, 100, 155, 222, 335, 500, 750, 1100, 1600,
    ]);
  });
  it('know spring from a stiff bar cut at two depths: what the ring asked beyond what came off, over how much deeper', () => {
    // 0.1 and 0.5 mm on the radius, 4 % spring and a touch that is nowhere in it: the ring moved 0.5 + 0.04·0.4
    const cuts = { before: mm('40'), shallow: mm('39.8'), deep: mm('38.8'), movedIn: mm('0.516') };
    expect(inForce(metricLathe, made({ kind: 'twoDepths', ...cuts })).rigidity.springShare).toBeCloseTo(0.04, 9);
    const { steps, record } = collectWorking();
    calibrated(metricLathe, made({ kind: 'twoDepths', ...cuts }), record);
    expect(steps[0]).toMatchObject({ code: 'calibration.twoDepths', values: { depth1Mm: expect.closeTo(0.1, 9) } });
    const says = (more: object) => {
      const found = calibrated(metricLathe, made({ kind: 'twoDepths', ...cuts, ...more }));
      return found.ok ? found.value : [found.code, found.path.join('.')];
    };
    expect(says({ movedIn: mm('0.497') })).toBe(0);
    expect(says({ movedIn: mm('0.4') })).toEqual(['calibration.springNegative', 'movedIn']);
    expect(says({ movedIn: mm('0.9') })).toEqual(['calibration.farOff', 'movedIn']);
    expect(says({ deep: mm('39.5') })).toEqual(['calibration.depthsAlike', 'deep']);
    expect(says({ deep: mm('39.9') })).toEqual(['calibration.notSmaller', 'deep']);
    expect(says({ shallow: mm('40.1') })).toEqual(['calibration.notSmaller', 'shallow']);
    expect(says({ before: mm('much') })).toEqual(['length.notALength', 'before']);
  });
  it('know spring as a share of the depth', () => {
    const spring = made({ kind: 'spring', asked: mm('30'), got: mm('30.02'), depth: mm('0.5') });
    expect(inForce(metricLathe, spring).rigidity.springShare).toBe(0.02);
  });
  it.each<[Body, string, string]>([
    [{ kind: 'feed', feedAt: { feed: '9' }, rpm: 9, seconds: 9, distance: mm('9') }, 'calibration.noSetting', 'feedAt'],
    [
      { kind: 'feed', feedAt: { feed: '3' }, rpm: 9, seconds: 9, distance: mm('1,000') },
      'length.ambiguousComma',
      'distance',
    ],
    [{ kind: 'slack', dial: 'quill', pairs: [{ fromOutLines: 1, fromInLines: 2 }] }, 'calibration.noDial', 'dial'],
    [
      { kind: 'dial', dial: 'compound', readings: [{ byDial: mm('10'), byIndicator: mm('5') }] },
      'calibration.farOff',
      'readings',
    ],
    [{ kind: 'spring', asked: mm('30'), got: mm('29.9'), depth: mm('0.5') }, 'calibration.springNegative', 'got'],
  ])('refuse %o', (body, code, path) => {
    expect(calibrated(metricLathe, made(body))).toMatchObject({ ok: false, code, path: [path] });
  });
  it('never touch the description, and count only when in force and of this lathe', () => {
    const before = structuredClone(metricLathe);
    const other = { ...feed, latheId: id(77) };
    expect(withCalibrations(metricLathe, [feed])).toEqual(before);
    expect(withCalibrations({ ...metricLathe, inForce: { 'feed:feed=3': feed.id } }, [other])).toMatchObject({
      feeds: before.feeds,
    });
    // the slot it is put in force for must be what it speaks of
    expect(withCalibrations({ ...metricLathe, inForce: { 'feed:feed=2': feed.id } }, [feed]).feeds).toEqual(
      before.feeds,
    );
    inForce(metricLathe, feed);
    expect(metricLathe).toEqual(before);
  });
  it('give back a feed from any true one, whatever time and speed were used', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 900 }),
        fc.integer({ min: 30, max: 2000 }),
        fc.integer({ min: 10, max: 600 }),
        (thousandths, rpm, seconds) => {
          const distance = mm((((thousandths / 1000) * rpm * seconds) / 60).toFixed(5));
          const result = calibrated(metricLathe, made({ kind: 'feed', feedAt: { feed: '1' }, rpm, seconds, distance }));
          if (!result.ok) return Number(distance.text) > 90_000;
          return Math.abs(result.value - thousandths / 1000) < 1e-5;
        },
      ),
    );
  });
});

describe('the lathe as it stands', () => {
  it('forgets what the lathe no longer has', () => {
    const stand = { ...unknownStand(metricLathe), controls: { lever: '5', feed: '9', gone: 'x' }, chuckId: 'gone' };
    expect(standOn(metricLathe, stand)).toMatchObject({ controls: { lever: '5' }, chuckId: null });
    expect(unknownStand(metricLathe).chuckId).toBe('three-jaw');
  });
});
