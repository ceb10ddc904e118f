import { z } from 'zod';
import { type ProblemCode, readTyped, typedLengthSchema } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';
import { dialScale } from './dial.ts';
import type { Lathe } from './schema.ts';
import { feedOf, positionsKey, positionsLabel, spindleSettings } from './settings.ts';
import type { Dial } from './slide-schema.ts';
import { positionsSchema } from './spindle-schema.ts';

const common = {
  schema: z.literal(1),
  id: z.uuid(),
  latheId: z.uuid(),
  /** day and time at the lathe */
  at: z.iso.datetime(),
  note: z.string().max(200),
};
const dialName = z.enum(['crossSlide', 'carriage', 'compound', 'quill']);

/** One measurement of the lathe itself, kept as it was read. It never changes what is written down: it is put in force or not. */
export const calibrationSchema = z.discriminatedUnion('kind', [
  /** a feed run for a fixed time at a known speed, and how far the carriage went, slack taken up first */
  z.strictObject({
    ...common,
    kind: z.literal('feed'),
    feedAt: positionsSchema,
    rpm: z.number().positive().max(10_000),
    seconds: z.number().positive().max(3600),
    distance: typedLengthSchema,
  }),
  /** travel by the ring against an indicator, approached from one side */
  z.strictObject({
    ...common,
    kind: z.literal('dial'),
    dial: dialName,
    readings: z
      .array(z.strictObject({ byDial: typedLengthSchema, byIndicator: typedLengthSchema }))
      .min(1)
      .max(20),
  }),
  /** the ring's lines at the same indicator reading, come to from either side */
  z.strictObject({
    ...common,
    kind: z.literal('slack'),
    dial: dialName,
    pairs: z
      .array(z.strictObject({ fromOutLines: z.number().min(0).max(1000), fromInLines: z.number().min(0).max(1000) }))
      .min(1)
      .max(20),
  }),
  /** the spindle by a tachometer, running free */
  z.strictObject({
    ...common,
    kind: z.literal('speed'),
    spindleAt: positionsSchema,
    rpms: z.array(z.number().positive().max(20_000)).min(1).max(20),
  }),
  /** a stiff bar cut at two depths with the same tool and feed: three diameters, and how far the ring moved in between the cuts */
  z.strictObject({
    ...common,
    kind: z.literal('twoDepths'),
    before: typedLengthSchema,
    shallow: typedLengthSchema,
    deep: typedLengthSchema,
    movedIn: typedLengthSchema,
  }),
  /** one trial cut, as an earlier version took it: touch and spring are not told apart by it */
  z.strictObject({
    ...common,
    kind: z.literal('spring'),
    asked: typedLengthSchema,
    got: typedLengthSchema,
    depth: typedLengthSchema,
  }),
]);
export type Calibration = z.infer<typeof calibrationSchema>;
export type CalibrationKind = Calibration['kind'];

/** What a calibration found. `slot` names what it speaks of: only one of a slot can be in force. */
export type Calibrated =
  | { readonly ok: true; readonly slot: string; readonly value: number; readonly before: number | undefined }
  | { readonly ok: false; readonly code: ProblemCode; readonly path: readonly (string | number)[] };

/** The ring that a calibration speaks of; undefined where the lathe has none there. */
export function dialNamed(lathe: Lathe, name: z.infer<typeof dialName>): Dial | undefined {
  const found = name === 'quill' ? lathe.tailstock.dial : lathe.slides[name];
  return found?.means === 'dial' ? found : undefined;
}

const fault = (code: ProblemCode, ...path: (string | number)[]): Calibrated => ({ ok: false, code, path });
const found = (slot: string, value: number, before: number | undefined): Calibrated => ({
  ok: true,
  slot,
  value,
  before,
});
type Of<K extends CalibrationKind> = Extract<Calibration, { kind: K }>;

function feedFound(lathe: Lathe, c: Of<'feed'>, record?: Recorder): Calibrated {
  const key = positionsKey(c.feedAt);
  const setting = lathe.feeds.settings.find((s) => positionsKey(s.at) === key);
  if (!setting) return fault('calibration.noSetting', 'feedAt');
  const distance = readTyped(c.distance);
  if (!distance.ok) return fault(distance.code, 'distance');
  const distanceMm = distance.mm.valueOf();
  const turns = (c.rpm * c.seconds) / 60;
  const feedMmPerRev = distanceMm / turns;
  record?.({
    code: 'calibration.feed',
    values: {
      setting: positionsLabel(lathe.feeds.controls, c.feedAt),
      distanceMm,
      rpm: c.rpm,
      seconds: c.seconds,
      turns,
      feedMmPerRev,
    },
  });
  return found(`feed:${key}`, feedMmPerRev, feedOf(setting, lathe)?.valueOf());
}

function dialFound(lathe: Lathe, c: Of<'dial'>, record?: Recorder): Calibrated {
  if (!dialNamed(lathe, c.dial)) return fault('calibration.noDial', 'dial');
  let xy = 0;
  let xx = 0;
  for (const [i, { byDial, byIndicator }] of c.readings.entries()) {
    const [x, y] = [readTyped(byDial), readTyped(byIndicator)];
    if (!x.ok) return fault(x.code, 'readings', i, 'byDial');
    if (!y.ok) return fault(y.code, 'readings', i, 'byIndicator');
    xy += x.mm.mul(y.mm).valueOf();
    xx += x.mm.mul(x.mm).valueOf();
  }
  const scale = xy / xx;
  if (scale < 0.9 || scale > 1.1) return fault('calibration.farOff', 'readings');
  record?.({ code: 'calibration.dial', values: { count: c.readings.length, scale } });
  return found(`dial:${c.dial}`, Number(scale.toFixed(6)), dialNamed(lathe, c.dial)!.scale ?? 1);
}

function slackFound(lathe: Lathe, c: Of<'slack'>, record?: Recorder): Calibrated {
  const dial = dialNamed(lathe, c.dial);
  if (!dial) return fault('calibration.noDial', 'dial');
  const lineMm = dialScale(dial).lineTravelMm.valueOf();
  const lines = c.pairs.map(({ fromOutLines, fromInLines }) => {
    // past the ring's 0 the shorter way round is meant: slack is never half a turn
    const apart = Math.abs(fromOutLines - fromInLines) % dial.divisions;
    return Math.min(apart, dial.divisions - apart);
  });
  const meanLines = lines.reduce((a, b) => a + b, 0) / lines.length;
  const slackMm = meanLines * lineMm;
  record?.({ code: 'calibration.slack', values: { count: lines.length, meanLines, lineMm, slackMm } });
  return found(`slack:${c.dial}`, Number(slackMm.toFixed(4)), dial.slackMm);
}

function speedFound(lathe: Lathe, c: Of<'speed'>, record?: Recorder): Calibrated {
  const key = positionsKey(c.spindleAt);
  const setting = spindleSettings(lathe).find((s) => positionsKey(s.at) === key);
  if (setting?.kind !== 'fixed') return fault('calibration.noSetting', 'spindleAt');
  const rpm = c.rpms.reduce((a, b) => a + b, 0) / c.rpms.length;
  record?.({ code: 'calibration.speed', values: { count: c.rpms.length, rpm, marked: setting.rpm } });
  return found(`speed:${key}`, Number(rpm.toFixed(1)), setting.rpm);
}

function springFound(_lathe: Lathe, c: Of<'spring'>, record?: Recorder): Calibrated {
  const [asked, got, depth] = [readTyped(c.asked), readTyped(c.got), readTyped(c.depth)];
  if (!asked.ok) return fault(asked.code, 'asked');
  if (!got.ok) return fault(got.code, 'got');
  if (!depth.ok) return fault(depth.code, 'depth');
  const springMm = got.mm.sub(asked.mm).valueOf();
  const depthMm = depth.mm.valueOf();
  const share = springMm / (2 * depthMm);
  if (share < 0) return fault('calibration.springNegative', 'got');
  if (share > 0.5) return fault('calibration.farOff', 'got');
  record?.({ code: 'calibration.spring', values: { springMm, depthMm, sharePercent: share * 100 } });
  return found('spring', Number(share.toFixed(5)), undefined);
}

/** Depths that differ by less than this show nothing of the spring, mm on the radius. */
const APART_MM = 0.1;

function twoDepthsFound(c: Of<'twoDepths'>, record?: Recorder): Calibrated {
  const sizes: Record<string, number> = {};
  for (const key of ['before', 'shallow', 'deep', 'movedIn'] as const) {
    const read = readTyped(c[key]);
    if (!read.ok) return fault(read.code, key);
    sizes[key] = read.mm.valueOf();
  }
  const { before, shallow, deep, movedIn } = sizes as {
    before: number;
    shallow: number;
    deep: number;
    movedIn: number;
  };
  const [depth1Mm, depth2Mm] = [(before - shallow) / 2, (shallow - deep) / 2];
  if (depth1Mm <= 0) return fault('calibration.notSmaller', 'shallow');
  if (depth2Mm <= 0) return fault('calibration.notSmaller', 'deep');
  if (depth2Mm - depth1Mm < APART_MM) return fault('calibration.depthsAlike', 'deep');
  const share = (movedIn - depth2Mm) / (depth2Mm - depth1Mm);
  if (share < -0.02) return fault('calibration.springNegative', 'movedIn');
  if (share > 0.5) return fault('calibration.farOff', 'movedIn');
  record?.({
    code: 'calibration.twoDepths',
    values: { movedInMm: movedIn, depth1Mm, depth2Mm, sharePercent: share * 100 },
    source: 'k = (travel − a2)/(a2 − a1)',
  });
  return found('spring', Number(Math.max(0, share).toFixed(5)), undefined);
}

/**
 * What a calibration found on a lathe: mm per rev for a feed, true travel over the ring's for a dial, mm of slack, rpm for a
 * speed, and for spring the share of a cut's depth that it falls short by.
 * @returns the value and the slot it is for, or why nothing can be said
 * @source feed = distance ÷ turns; dial: least squares through nothing, Σxy/Σx²; slack = lines apart × line
 */
export function calibrated(lathe: Lathe, calibration: Calibration, record?: Recorder): Calibrated {
  switch (calibration.kind) {
    case 'feed':
      return feedFound(lathe, calibration, record);
    case 'dial':
      return dialFound(lathe, calibration, record);
    case 'slack':
      return slackFound(lathe, calibration, record);
    case 'speed':
      return speedFound(lathe, calibration, record);
    case 'twoDepths':
      return twoDepthsFound(calibration, record);
    case 'spring':
      return springFound(lathe, calibration, record);
  }
}

function withDial(lathe: Lathe, name: string, change: Partial<Dial>): Lathe {
  if (name === 'quill') {
    const { dial } = lathe.tailstock;
    return dial ? { ...lathe, tailstock: { ...lathe.tailstock, dial: { ...dial, ...change } } } : lathe;
  }
  return { ...lathe, slides: { ...lathe.slides, [name]: { ...lathe.slides[name as 'crossSlide'], ...change } } };
}

function withValue(lathe: Lathe, slot: string, value: number): Lathe {
  const at = slot.indexOf(':');
  const kind = at < 0 ? slot : slot.slice(0, at);
  const rest = slot.slice(at + 1);
  if (kind === 'dial') return withDial(lathe, rest, { scale: value });
  if (kind === 'slack') return withDial(lathe, rest, { slackMm: value });
  if (kind === 'spring') return { ...lathe, rigidity: { ...lathe.rigidity, springShare: value } };
  if (kind === 'speed')
    return {
      ...lathe,
      spindle: {
        ...lathe.spindle,
        settings: lathe.spindle.settings.map((s) => {
          if (s.kind === 'stepless' || positionsKey(s.at) !== rest) return s;
          return { kind: 'fixed', at: s.at, stopTurns: s.stopTurns, torque: s.torque, rpm: value };
        }),
      },
    };
  return {
    ...lathe,
    feeds: {
      ...lathe.feeds,
      settings: lathe.feeds.settings.map((s) =>
        positionsKey(s.at) === rest ? { kind: 'measured', at: s.at, mmPerRev: value } : s,
      ),
    },
  };
}

/**
 * The lathe as it really works: its description with the calibrations that are in force. The description itself stays.
 * @param calibrations any number of them, of this lathe or others; only those named in `inForce` count
 */
export function withCalibrations(lathe: Lathe, calibrations: readonly Calibration[]): Lathe {
  let made = lathe;
  for (const [slot, id] of Object.entries(lathe.inForce)) {
    const calibration = calibrations.find((c) => c.id === id && c.latheId === lathe.id);
    const result = calibration && calibrated(lathe, calibration);
    // one that speaks of a setting which was since described otherwise has lost its meaning
    if (result?.ok && result.slot === slot) made = withValue(made, slot, result.value);
  }
  return made;
}
