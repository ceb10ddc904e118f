import { z } from 'zod';
import {
  bedTwistOf,
  castingRunoutMm,
  eccentricityOf,
  tailstockFromBar,
  tailstockFromDiameters,
  tiltOf,
  truingRound,
} from '../hold/index.ts';
import { truingSchema, usualTruing } from '../lathe/index.ts';
import { calculation } from './entry.ts';

/** Readings of an indicator and lengths on a lathe, mm. */
const reading = z.number().min(-100).max(100);
const length = z.number().min(0.1).max(50_000);
const four = z.tuple([reading, reading, reading, reading]);
const move = z.object({
  slacken: z.number(),
  tighten: z.number(),
  byMm: z.number(),
  keyDeg: z.number(),
  slackenKey: z.string(),
  under: z.number(),
  fromMm: z.number(),
  toMm: z.number(),
});
const tailstock = z.object({ byMm: z.number(), way: z.string(), taperPer100Mm: z.number() });
/** An offset of the tailstock that may stay, where nobody says otherwise, mm. */
const enoughMm = z.number().min(0).max(1).default(0.005);

export const truing = [
  calculation({
    name: 'truing.eccentricity',
    tab: 'truing',
    input: z.strictObject({ readingsMm: four }),
    output: z.object({ offMm: z.number(), runoutMm: z.number(), ovalMm: z.number() }),
    run: ({ readingsMm }, record) => {
      const { offMm, runoutMm, ovalMm } = eccentricityOf(readingsMm, record);
      return { offMm, runoutMm, ovalMm };
    },
  }),
  calculation({
    name: 'truing.round',
    tab: 'truing',
    input: z.strictObject({
      roundsMm: z.array(four).min(1).max(30),
      wantedMm: z.number().min(0.001).max(10),
      chuck: truingSchema.default(usualTruing.fourJaw),
    }),
    output: z.object({ verdict: z.string(), runoutMm: z.number(), moves: z.array(move) }),
    run: ({ roundsMm, wantedMm, chuck }, record) => {
      const round = truingRound(roundsMm, wantedMm, chuck, record);
      return {
        verdict: round.kind,
        runoutMm: round.seen.runoutMm,
        moves: round.kind === 'move' ? [...round.moves] : [],
      };
    },
  }),
  calculation({
    name: 'truing.tilt',
    tab: 'truing',
    input: z.strictObject({ nearMm: four, farMm: four, apartMm: length }),
    output: z.object({ tapAt: z.number(), tapMm: z.number(), perMetreMm: z.number() }),
    run: ({ nearMm, farMm, apartMm }, record) => {
      const { tapAt, tapMm, perMetreMm } = tiltOf(nearMm, farMm, apartMm, record);
      return { tapAt, tapMm, perMetreMm };
    },
  }),
  calculation({
    name: 'truing.casting',
    tab: 'truing',
    input: z.strictObject({ allowanceMm: z.number().min(0).max(100), skinMm: z.number().min(0).max(100) }),
    output: z.object({ runoutMm: z.number() }),
    run: ({ allowanceMm, skinMm }) => ({ runoutMm: castingRunoutMm(allowanceMm, skinMm) }),
  }),
  calculation({
    name: 'truing.tailstockFromDiameters',
    tab: 'truing',
    input: z.strictObject({ headMm: length, tailMm: length, apartMm: length, wholeMm: length, enoughMm }),
    output: tailstock,
    run: (i, record) => tailstockFromDiameters(i.headMm, i.tailMm, i.apartMm, i.wholeMm, i.enoughMm, record),
  }),
  calculation({
    name: 'truing.tailstockFromBar',
    tab: 'truing',
    input: z.strictObject({ headMm: reading, tailMm: reading, apartMm: length, wholeMm: length, enoughMm }),
    output: tailstock,
    run: (i, record) => tailstockFromBar(i.headMm, i.tailMm, i.apartMm, i.wholeMm, i.enoughMm, record),
  }),
  calculation({
    name: 'truing.bedTwist',
    tab: 'truing',
    input: z.strictObject({
      headMm: length,
      tailMm: length,
      apartMm: length,
      axisHighMm: length,
      feetApartMm: length,
      feetAtMm: length,
      enoughMm,
    }),
    output: z.object({ awayMm: z.number(), foot: z.string(), liftMm: z.number() }),
    run: ({ enoughMm: enough, axisHighMm, feetApartMm, feetAtMm, ...chuck }, record) => {
      const { awayMm, foot, liftMm } = bedTwistOf(
        chuck,
        { axisHighMm, feetApartMm, feetAtMm },
        enough,
        undefined,
        record,
      );
      return { awayMm, foot, liftMm };
    },
  }),
];
