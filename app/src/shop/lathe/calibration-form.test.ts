import { shopFileSchema } from '@whelk/core/job';
import { type CalibrationKind, calibrated, calibrationSchema, type Lathe, positionsKey } from '@whelk/core/lathe';
import { describe, expect, it } from 'vitest';
import shopJson from '../../../../demo/shop.json' with { type: 'json' };
import { bodyOf, calibrationKinds, subjectOf, subjects, valueText } from './calibration-form.ts';

const { lathes } = shopFileSchema.parse(shopJson);
const [long, grey, small] = lathes as [Lathe, Lathe, Lathe];
/** What the form would send for texts typed, read as the server reads it. */
function typed(lathe: Lathe, kind: CalibrationKind, of: string, texts: Record<string, string>) {
  const read = calibrationSchema.safeParse({
    ...{ schema: 1, id: '00000000-0000-4000-8000-000000000001', latheId: lathe.id },
    ...{ at: '2026-01-12T09:00:00.000Z', note: '', ...bodyOf(kind, of, texts, lathe) },
  });
  if (!read.success) return undefined;
  const result = calibrated(lathe, read.data);
  return result.ok ? { text: valueText(read.data, result.value), of: subjectOf(lathe, read.data), ...result } : result;
}

describe('a calibration typed in', () => {
  it('feed: distance over turns', () => {
    const of = positionsKey(long.feeds.settings[2]!.at);
    // 31.5 mm in a minute at 155 rpm
    expect(typed(long, 'feed', of, { rpm: '155', seconds: '60', distance: '31.5' })).toMatchObject({
      ok: true,
      value: expect.closeTo(31.5 / 155, 9),
      text: '0.203 mm a turn',
    });
    expect(typed(long, 'feed', of, { rpm: '155', seconds: '60', distance: '1.25 in' })).toMatchObject({
      value: expect.closeTo(31.75 / 155, 9),
    });
  });
  it('ring: several travels against the indicator', () => {
    const found = typed(long, 'dial', 'carriage', { byDial: '10, 20,40', byIndicator: ' 10.02,20.05 , 40.08' });
    expect(found).toMatchObject({ ok: true, of: 'carriage' });
    expect(found && 'value' in found ? found.value : 0).toBeCloseTo(1.002, 3);
    // a travel without its partner is told, not guessed
    expect(typed(long, 'dial', 'carriage', { byDial: '10, 20', byIndicator: '10.02' })).not.toMatchObject({ ok: true });
  });
  it('slack: numbers of that ring, either way round', () => {
    expect(typed(long, 'slack', 'crossSlide', { fromOut: '0.12', fromIn: '0.26' })).toMatchObject({
      ok: true,
      value: expect.closeTo(0.14),
      text: '0.140 mm',
    });
    // 0.098 and 0.004 on an inch ring of 0.100: six thousandths
    expect(typed(grey, 'slack', 'crossSlide', { fromOut: '.098', fromIn: '.004' })).toMatchObject({
      value: expect.closeTo(0.006 * 25.4),
    });
    expect(typed(long, 'slack', 'crossSlide', { fromOut: '2.5', fromIn: '0.26' })).toBeUndefined();
    expect(typed(long, 'slack', 'crossSlide', { fromOut: 'much', fromIn: '0.26' })).toBeUndefined();
  });
  it('spindle: the mean of the tachometer', () => {
    const of = positionsKey(long.spindle.settings[4]!.at);
    expect(typed(long, 'speed', of, { rpms: '226, 228' })).toMatchObject({ value: 227, text: '227 rpm', before: 230 });
    expect(typed(long, 'speed', of, { rpms: '226, fast' })).toBeUndefined();
  });
  it('spring: a share of the depth', () => {
    expect(typed(grey, 'spring', '', { asked: '1', got: '1.0008', depth: '.020' })).toMatchObject({
      ok: true,
      text: '2.0 % of the depth',
      of: 'a trial cut',
    });
    expect(typed(grey, 'spring', '', { asked: '1', got: '', depth: '.020' })).not.toMatchObject({ ok: true });
  });
});

describe('what can be calibrated', () => {
  it('is every feed, every fixed speed and every ring that the lathe has', () => {
    expect(subjects(long, 'speed')).toHaveLength(10);
    expect(subjects(long, 'speed')[0]).toEqual(['lever=1;range=L', 'Range L, Lever 1']);
    expect(subjects(grey, 'feed')).toHaveLength(grey.feeds.settings.length);
    expect(subjects(long, 'dial').map(([key]) => key)).toEqual(expect.arrayContaining(['crossSlide', 'compound']));
    expect(subjects(long, 'spring')).toEqual([['', 'a trial cut']]);
    expect(subjects(long, 'twoDepths')).toEqual([['', 'two cuts']]);
  });
  it('is nothing where there is nothing: no power feed, no fixed speed, no ring', () => {
    expect([subjects(small, 'feed'), subjects(small, 'speed')]).toEqual([[], []]);
    const scribed: Lathe = {
      ...long,
      slides: { ...long.slides, carriage: { means: 'line', unit: 'mm', resolutionMm: 0.5, travelMm: 500 } },
      tailstock: { ...long.tailstock, dial: null },
    };
    expect(subjects(scribed, 'dial').map(([key]) => key)).toEqual(['crossSlide', 'compound']);
  });
  it('shows for each kind how it is read, with an example that the form itself reads', () => {
    const examples: [CalibrationKind, string][] = [
      ['feed', positionsKey(long.feeds.settings[0]!.at)],
      ['dial', 'crossSlide'],
      ['slack', 'crossSlide'],
      ['speed', positionsKey(long.spindle.settings[4]!.at)],
      ['spring', ''],
      ['twoDepths', ''],
    ];
    expect(examples.map(([kind]) => kind).sort()).toEqual(Object.keys(calibrationKinds).sort());
    for (const [kind, of] of examples) {
      const texts = Object.fromEntries(calibrationKinds[kind].fields.map(([key, , hint]) => [key, hint]));
      expect([kind, typed(long, kind, of, texts)]).toEqual([kind, expect.objectContaining({ ok: true })]);
    }
  });
});
