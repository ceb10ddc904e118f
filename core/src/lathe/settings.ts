import { MM_PER_IN, type Rational, rational, readTyped } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';
import type { FeedSetting } from './feed-schema.ts';
import type { Lathe } from './schema.ts';
import type { Control, Positions, SpeedSetting, SpindleSetting } from './spindle-schema.ts';

/** A speed the lathe has: one fixed setting, or one value inside a stepless range. */
export interface Speed {
  readonly setting: SpeedSetting;
  readonly rpm: number;
  readonly label: string;
}
/** A power feed the lathe has, exact mm per revolution. */
export interface Feed {
  readonly setting: FeedSetting;
  readonly mmPerRev: number;
  readonly exactMmPerRev: Rational;
  readonly label: string;
}

/** Names of the positions, in the order of the controls: `Belt 2, Back gear out`. */
export function positionsLabel(controls: readonly Control[], at: Positions): string {
  return controls.flatMap((control) => (at[control.id] ? [`${control.name} ${at[control.id]}`] : [])).join(', ');
}

/** One name for a setting however its positions are ordered; slots of calibrations are told by it. */
export function positionsKey(at: Positions): string {
  return Object.keys(at)
    .sort()
    .map((id) => `${id}=${at[id]}`)
    .join(';');
}

/** Whether positions contain a combination that must never stand together; its reason, or undefined. */
export function forbiddenBecause(lathe: Lathe, at: Positions): string | undefined {
  return lathe.spindle.forbidden.find((f) => {
    const ids = Object.keys(f.at);
    return ids.length > 0 && ids.every((id) => at[id] === f.at[id]);
  })?.why;
}

type Pulleys = Extract<SpindleSetting, { kind: 'pulleys' }>;

/**
 * Speed of the spindle behind belts and gears, rpm, to a tenth; a belt's creep, a hundredth or two, is left to be measured.
 * @param pairs diameters or teeth, driver and driven, from the motor on
 * @source n = n_motor · product of drivers over product of driven
 * @example rpmOfPulleys({ motorRpm: 1420, pairs: [[60, 120], [30, 90]] }) // 236.7
 */
export function rpmOfPulleys({ motorRpm, pairs }: Pick<Pulleys, 'motorRpm' | 'pairs'>): number {
  return Number(pairs.reduce((rpm, [driver, driven]) => (rpm * driver) / driven, motorRpm).toFixed(1));
}

const figured = new WeakMap<SpindleSetting, SpeedSetting>();
/** A setting with its speed as a figure; the same value each time. */
function withFigure(setting: SpindleSetting): SpeedSetting {
  if (setting.kind !== 'pulleys') return setting;
  const known = figured.get(setting);
  if (known) return known;
  const { motorRpm: _, pairs: __, ...shared } = setting;
  const made = { ...shared, kind: 'fixed' as const, rpm: rpmOfPulleys(setting) };
  figured.set(setting, made);
  return made;
}

/** Settings of the spindle that may be used at all, each with its speed as a figure. */
export function spindleSettings(lathe: Lathe): readonly SpeedSetting[] {
  const allowed =
    lathe.spindle.forbidden.length === 0
      ? lathe.spindle.settings
      : lathe.spindle.settings.filter((s) => forbiddenBecause(lathe, s.at) === undefined);
  return allowed.some((s) => s.kind === 'pulleys') ? allowed.map(withFigure) : (allowed as readonly SpeedSetting[]);
}

/**
 * Feed of a setting in exact mm per revolution: as engraved, as measured, or leadscrew lead times the train's ratio.
 * @returns undefined for an unmarked feed that nobody has measured
 * @source ratio of a train = product of drivers over product of driven
 */
export function feedOf(setting: FeedSetting, lathe: Lathe, record?: Recorder): Rational | undefined {
  if (setting.kind === 'unmarked') return undefined;
  if (setting.kind === 'measured') {
    record?.({ code: 'lathe.measuredFeed', values: { feedMmPerRev: setting.mmPerRev } });
    return rational(setting.mmPerRev);
  }
  if (setting.kind === 'marked') {
    const read = readTyped(setting.perRev);
    const mm = read.ok ? read.mm : rational(0);
    record?.({
      code: 'lathe.markedFeed',
      values: { text: setting.perRev.text, unit: setting.perRev.unit, feedMmPerRev: mm.valueOf() },
    });
    return mm;
  }
  const lead = readTyped(lathe.threads.leadscrewLead);
  const ratio = setting.pairs.reduce((total, [driver, driven]) => total.mul(rational(driver).div(driven)), rational(1));
  const leadMm = lead.ok ? lead.mm : MM_PER_IN.div(8);
  const feed = leadMm.mul(ratio);
  record?.({
    code: 'lathe.gearFeed',
    values: {
      train: trainText(setting.pairs),
      ratio: ratio.toFraction(),
      leadMm: leadMm.valueOf(),
      feedMmPerRev: feed.valueOf(),
    },
    source: 'drivers ÷ driven',
  });
  return feed;
}

/** A gear train as it is written down, first pair first: 20/80 × 30/90. */
export function trainText(pairs: readonly (readonly [number, number])[]): string {
  return pairs.map((pair) => pair.join('/')).join(' × ');
}

/** Every power feed of the lathe that is known, finest first. A hand-fed lathe has none. */
export function feedsOf(lathe: Lathe): readonly Feed[] {
  return lathe.feeds.settings
    .flatMap((setting) => {
      const exactMmPerRev = feedOf(setting, lathe);
      if (!exactMmPerRev) return [];
      const levers = positionsLabel(lathe.feeds.controls, setting.at);
      // gears are told by their train, drivers over driven, after the name that the owner gave it
      const label =
        setting.kind === 'gears' ? [setting.name, trainText(setting.pairs), levers].filter(Boolean).join(', ') : levers;
      return [{ setting, exactMmPerRev, mmPerRev: exactMmPerRev.valueOf(), label }];
    })
    .sort((a, b) => a.mmPerRev - b.mmPerRev);
}

/** Every fixed speed that may be set, slowest first; stepless ranges are answered by chooseSpeed. */
export function fixedSpeeds(lathe: Lathe): readonly Speed[] {
  return spindleSettings(lathe)
    .flatMap((setting) =>
      setting.kind === 'fixed'
        ? [{ setting, rpm: setting.rpm, label: positionsLabel(lathe.spindle.controls, setting.at) }]
        : [],
    )
    .sort((a, b) => a.rpm - b.rpm);
}

/** Torque of a curve at a speed, straight between its points and level beyond its ends. */
function onCurve(curve: readonly { readonly rpm: number; readonly torqueNm: number }[], rpm: number): number {
  const points = [...curve].sort((a, b) => a.rpm - b.rpm);
  const after = points.findIndex((p) => p.rpm >= rpm);
  if (after === 0) return points[0]!.torqueNm;
  if (after < 0) return points.at(-1)!.torqueNm;
  const [a, b] = [points[after - 1]!, points[after]!];
  return a.torqueNm + ((b.torqueNm - a.torqueNm) * (rpm - a.rpm)) / (b.rpm - a.rpm);
}

/**
 * Torque at the spindle in N·m: by the range's own curve, or from motor and efficiency.
 * @source P = T·n/9549.3; stepless drives: constant torque below base speed
 */
export function torqueNm(lathe: Lathe, setting: SpeedSetting, rpm: number, record?: Recorder): number {
  if (setting.torque && setting.torque.length > 0) {
    const torque = onCurve(setting.torque, rpm);
    record?.({ code: 'lathe.torqueCurve', values: { points: setting.torque.length, rpm, torqueNm: torque } });
    return torque;
  }
  const { motorKw, efficiency } = lathe.drive;
  const atRpm = Math.max(rpm, setting.kind === 'stepless' ? setting.baseRpm : 0);
  const torque = (9549.3 * motorKw * efficiency) / atRpm;
  record?.({
    code: 'lathe.torque',
    values: { motorKw, efficiency, atRpm, rpm, torqueNm: torque },
    source: 'P = T·n / 9549.3',
  });
  return torque;
}

/** Power at the spindle in kW at that speed, from the range's torque. */
export function powerKwAt(lathe: Lathe, setting: SpeedSetting, rpm: number, record?: Recorder): number {
  const torque = torqueNm(lathe, setting, rpm, record);
  const powerKw = (torque * rpm) / 9549.3;
  record?.({ code: 'lathe.power', values: { torqueNm: torque, rpm, powerKw }, source: 'P = T·n / 9549.3' });
  return powerKw;
}
