import { type CutSetup, speedTable, usualPolicy } from '../cutting/index.ts';
import { chuckOf, feedsOf } from '../lathe/index.ts';
import { materialById } from '../material/index.ts';
import { shaftOf } from '../mechanics/index.ts';
import { metricLathe } from './shop.ts';

/** Speeds of the test lathe with its chuck. */
export const latheSpeeds = speedTable(metricLathe, chuckOf(metricLathe).maxRpm);
/** Turning Ø40 of medium carbon steel, 90 out of the chuck. */
export const turningCut: CutSetup = {
  material: materialById('medium-carbon-steel')!,
  tool: { material: 'hss', noseRadiusMm: 0.8, kappaDeg: 80, edgeRadiusMm: 0.015, deepestMm: 4, flatMm: 0 },
  lathe: metricLathe,
  table: latheSpeeds,
  feeds: feedsOf(metricLathe),
  operation: 'turning',
  diameterMm: 40,
  hold: {
    bending: { shaft: shaftOf([{ lengthMm: 90, diameterMm: 40 }], 210), support: 'chuck', atMm: 80 },
    ...{ gripDiameterMm: 45, jawForceN: 18_000, bendAllowedMm: 0.2 },
  },
  policy: usualPolicy,
};
