import { MM_PER_IN, type Rational, rational, readTyped } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';
import type { Control, FeedSetting, Lathe, SpindleSetting } from './schema.ts';

/** A speed the lathe has: one fixed setting, or one value inside a stepless range. */
export interface Speed {
  readonly setting: SpindleSetting;
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
export function positionsLabel(controls: readonly Control[], at: Readonly<Record<string, string>>): string {
  return controls.flatMap((control) => (at[control.id] ? [`${control.name} ${at[control.id]}`] : [])).join(', ');
}

/**
 * Feed of a setting in exact mm per revolution: as engraved, or leadscrew lead times the train's ratio.
 * @source ratio of a train = product of drivers over product of driven
 */
export function feedOf(setting: FeedSetting, lathe: Lathe, record?: Recorder): Rational {
  if (setting.kind === 'marked') {
    const read = readTyped(setting.perRev);
    const mm = read.ok ? read.mm : rational(0);
    record?.({
      code: 'lathe.markedFeed',
      values: { text: setting.perRev.text, unit: setting.perRev.unit, feedMmPerRev: mm.valueOf() },
    });
    return mm;
  }
  const lead = readTyped(lathe.feeds.leadscrewLead);
  const ratio = setting.pairs.reduce((total, [driver, driven]) => total.mul(rational(driver).div(driven)), rational(1));
  const leadMm = lead.ok ? lead.mm : MM_PER_IN.div(8);
  const feed = leadMm.mul(ratio);
  record?.({
    code: 'lathe.gearFeed',
    values: {
      train: setting.pairs.map((pair) => pair.join('/')).join(' × '),
      ratio: ratio.toFraction(),
      leadMm: leadMm.valueOf(),
      feedMmPerRev: feed.valueOf(),
    },
    source: 'drivers ÷ driven',
  });
  return feed;
}

/** Every power feed of the lathe, finest first. A hand-fed lathe has none. */
export function feedsOf(lathe: Lathe): readonly Feed[] {
  return lathe.feeds.settings
    .map((setting) => {
      const exactMmPerRev = feedOf(setting, lathe);
      return {
        setting,
        exactMmPerRev,
        mmPerRev: exactMmPerRev.valueOf(),
        label: positionsLabel(lathe.feeds.controls, setting.at),
      };
    })
    .sort((a, b) => a.mmPerRev - b.mmPerRev);
}

/** Every fixed speed up to the chuck's limit, slowest first; stepless ranges are answered by speedNotAbove. */
export function fixedSpeeds(lathe: Lathe): readonly Speed[] {
  return lathe.spindle.settings
    .flatMap((setting) =>
      setting.kind === 'fixed'
        ? [{ setting, rpm: setting.rpm, label: positionsLabel(lathe.spindle.controls, setting.at) }]
        : [],
    )
    .sort((a, b) => a.rpm - b.rpm);
}

/** Torque at the spindle in N·m. @source P = T·n/9549.3; stepless drives: constant torque below base speed */
export function torqueNm(lathe: Lathe, setting: SpindleSetting, rpm: number, record?: Recorder): number {
  const powerKw = lathe.motorKw * lathe.driveEfficiency;
  const fullPowerFromRpm = setting.kind === 'stepless' ? setting.baseRpm : 0;
  const torque = (9549.3 * powerKw) / Math.max(rpm, fullPowerFromRpm);
  record?.({
    code: 'lathe.torque',
    values: {
      motorKw: lathe.motorKw,
      efficiency: lathe.driveEfficiency,
      atRpm: Math.max(rpm, fullPowerFromRpm),
      rpm,
      torqueNm: torque,
    },
    source: 'P = T·n / 9549.3',
  });
  return torque;
}

/** Power at the spindle in kW at that speed, from the range's torque. */
export function powerKwAt(lathe: Lathe, setting: SpindleSetting, rpm: number, record?: Recorder): number {
  const torque = torqueNm(lathe, setting, rpm, record);
  const powerKw = (torque * rpm) / 9549.3;
  record?.({ code: 'lathe.power', values: { torqueNm: torque, rpm, powerKw }, source: 'P = T·n / 9549.3' });
  return powerKw;
}
