import { fitCone, identifyTaper, readTaper } from '../src/taper/index.ts';
import { correctTaper, stationsFor, taperWays } from '../src/tapering/index.ts';
import { twoChucks } from '../src/testing/jobs.ts';
import { median, row } from './measure.ts';

const lathe = { ...twoChucks, taperAttachment: { lengthMm: 250, mostDeg: 8, graduated: 'degrees' as const } };
const between = { wholeMm: 200, headDepthMm: 5, tailDepthMm: 5 };
const names = ['Morse 3', '1:50', '7:24', '1°26\'16"', '0.6/ft'];

/** What is said read, every way weighed, stations laid out, what was read fitted, the next setting. */
const decision = (): void => {
  for (const text of names) {
    const read = readTaper(text, 'mm');
    if (!read.ok) throw new Error(text);
    const { perLength } = read;
    taperWays(lathe, { perLength, lengthMm: 110, side: 'outside', between });
    const stations = stationsFor(110, 4, 25).map((zMm, i) => ({
      ...{ zMm, diameterMm: 60 - (perLength + 0.0004) * zMm + (i % 2) * 0.002, uncertaintyMm: 0.004 },
    }));
    const cone = fitCone(stations)!;
    identifyTaper(cone, 102, 55, 60);
    const found = { perLength: -cone.perLength, doubtPerLength: cone.doubtPerLength };
    correctTaper(perLength, found, { by: 'compound', travelMm: 80, setMm: 0.004 }, 0.0036);
  }
};
row('full decision of a taper', `${(median(60, decision) / names.length).toFixed(3)} ms`, 'target < 1 ms');
