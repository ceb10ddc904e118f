import type { Recorder } from '../../working/index.ts';
import { eccentricityOf, type FourReadings } from './eccentricity.ts';

/** Work that is true near the jaws and swings farther out. */
export interface Tilt {
  /** how far its middle goes off over the length between the stations, towards jaw 1 and towards jaw 2, mm */
  readonly towardsMm: readonly [number, number];
  readonly perMetreMm: number;
  /** jaw that the far end leans to most, 1 to 4: it is tapped there, towards the opposite one */
  readonly tapAt: number;
  /** what the indicator at the far station is to fall by at that jaw */
  readonly tapMm: number;
  readonly runoutFarMm: number;
}

/**
 * Tilt from readings at two stations: near the jaws, and `apartMm` farther out.
 * @source first principles: difference of the two eccentricities over their distance
 */
export function tiltOf(near: FourReadings, far: FourReadings, apartMm: number, record?: Recorder): Tilt {
  const a = eccentricityOf(near);
  const b = eccentricityOf(far);
  const towardsMm = [b.towardsMm[0] - a.towardsMm[0], b.towardsMm[1] - a.towardsMm[1]] as const;
  const pair = Math.abs(towardsMm[0]) >= Math.abs(towardsMm[1]) ? 0 : 1;
  const perMetreMm = (Math.hypot(...towardsMm) / apartMm) * 1000;
  record?.({
    code: 'truing.tilt',
    values: {
      nearMm: a.offMm,
      farMm: b.offMm,
      apartMm,
      towards1Mm: towardsMm[0],
      towards2Mm: towardsMm[1],
      perMetreMm,
    },
  });
  return {
    ...{ towardsMm, perMetreMm },
    tapAt: towardsMm[pair] >= 0 ? pair + 1 : pair + 3,
    tapMm: Math.abs(towardsMm[pair]),
    runoutFarMm: b.runoutMm,
  };
}
