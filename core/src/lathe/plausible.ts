import type { Problem } from '../quantity/index.ts';
import type { Lathe } from './schema.ts';
import { feedsOf, fixedSpeeds } from './settings.ts';

/** A torque may be so much over what the motor gives at that speed: plates round, and motors bear some overload. */
const TORQUE_SHARE = 1.3;
/** Neighbouring speeds of a headstock lie no farther apart than this, as a ratio; farther ones are a slip of the pen. */
const SPEEDS_APART = 6;
/** No lathe that is turned by hand feeds farther in a turn, mm. */
const COARSEST_FEED_MM = 5;

/**
 * What in a lathe's description can hardly be: figures that a slip of the pen makes. Told, not forbidden. Paths into the lathe.
 * @source P = T·n/9549.3; practice of workshop lathes
 */
export function checkPlausible(lathe: Lathe): Problem[] {
  return [...torques(lathe), ...speedsApart(lathe), ...feeds(lathe)].map((p) => ({ ...p, severity: 'warning' }));
}

function torques({ spindle, drive }: Lathe): Problem[] {
  return spindle.settings.flatMap((setting, i): Problem[] => {
    const path = ['spindle', 'settings', i];
    const over = (setting.torque ?? []).findIndex(
      ({ rpm, torqueNm }) => (torqueNm * rpm) / 9549.3 > TORQUE_SHARE * drive.motorKw,
    );
    const point = setting.torque?.[over];
    const most = point && (9549.3 * drive.motorKw) / point.rpm;
    const base = setting.kind === 'stepless' ? setting.baseRpm : undefined;
    const beyond = setting.kind === 'stepless' && setting.baseRpm > setting.maxRpm;
    return [
      ...(point
        ? [
            {
              ...{ code: 'lathe.torqueOverMotor' as const, path: [...path, 'torque', over, 'torqueNm'] },
              ...{ value: point.torqueNm, limit: Number(most!.toFixed(0)) },
            },
          ]
        : []),
      ...(beyond && base !== undefined
        ? [{ code: 'lathe.baseOutside' as const, path: [...path, 'baseRpm'], value: base, limit: setting.maxRpm }]
        : []),
    ];
  });
}

/** A speed ten times its neighbour was written with a figure too many or too few. */
function speedsApart(lathe: Lathe): Problem[] {
  const speeds = fixedSpeeds(lathe);
  const [last, before] = [speeds.at(-1), speeds.at(-2)];
  if (speeds.length < 3 || !last || !before || last.rpm < SPEEDS_APART * before.rpm) return [];
  const at = lathe.spindle.settings.findIndex((s) => s.at === last.setting.at);
  return [{ code: 'lathe.speedApart', path: ['spindle', 'settings', at, 'rpm'], value: last.rpm, limit: before.rpm }];
}

function feeds(lathe: Lathe): Problem[] {
  return feedsOf(lathe).flatMap((feed): Problem[] => {
    if (feed.mmPerRev <= COARSEST_FEED_MM) return [];
    const at = lathe.feeds.settings.indexOf(feed.setting);
    const value = Number(feed.mmPerRev.toFixed(2));
    return [{ code: 'lathe.feedCoarse', path: ['feeds', 'settings', at], value, limit: COARSEST_FEED_MM, unit: 'mm' }];
  });
}
