import { z } from 'zod';
import { latheSchema } from '../lathe/index.ts';
import type { ProblemCode } from '../quantity/index.ts';
import {
  angleGrade,
  coneZone,
  fitCone,
  halfDegOf,
  holdsItself,
  identifyTaper,
  inMinutes,
  readTaper,
  sayTaper,
  taperNamed,
} from '../taper/index.ts';
import {
  correctTaper,
  diameterOfStandOff,
  goesOnMm,
  heightErrorMm,
  ofBalls,
  ofRollers,
  pivotsMm,
  riseMm,
  setOver,
  sineHeightMm,
  stationsFor,
  taperWays,
} from '../tapering/index.ts';
import { calculation } from './entry.ts';

const taper = z.string().min(1).max(64);
const length = z.number().positive().max(100_000);
const depth = z.number().min(-100).max(1000).default(0);
const between = z.strictObject({ wholeMm: length, headDepthMm: depth, tailDepthMm: depth });
const station = z.strictObject({
  zMm: z.number().min(-100_000).max(100_000),
  diameterMm: length,
  uncertaintyMm: z.number().positive().max(10),
});
const stations = z.array(station).min(2).max(50);
const notRead = (code: ProblemCode, value: string) => ({ problems: [{ code, path: ['taper'], value }] });
/** What cannot be told from what was measured. */
const unsolved = (...path: string[]) => ({ problems: [{ code: 'taper.unsolved' as const, path }] });
const fitted = z.object({
  perLength: z.number(),
  doubtPerLength: z.number(),
  halfDeg: z.number(),
  atZeroMm: z.number(),
  offMm: z.array(z.number()),
  straightMm: z.number(),
  doubtful: z.number().optional(),
});

/** Tapers: what they are, how they are set, proved and corrected. */
export const taperCalculations = [
  calculation({
    name: 'taper.say',
    tab: 'tapers',
    input: z.strictObject({ taper, unit: z.enum(['mm', 'in']).default('mm') }),
    output: z.object({
      ...{ perLength: z.number(), halfDeg: z.number(), includedDeg: z.number(), perFootIn: z.number() },
      ...{ percent: z.number(), ratio: z.number(), exact: z.string().optional(), holds: z.string() },
      half: z.object({ deg: z.number(), min: z.number(), sec: z.number() }),
      named: z
        .object({
          name: z.string(),
          sizeMm: z.number().optional(),
          sizeAt: z.string(),
          lengthMm: z.number().optional(),
        })
        .optional(),
    }),
    run: ({ taper: text, unit }) => {
      const read = readTaper(text, unit);
      if (!read.ok) return notRead(read.code, text);
      const said = sayTaper(read.perLength);
      const named = taperNamed(text);
      return {
        ...said,
        ...(read.exact ? { exact: read.exact.toFraction() } : {}),
        ...{ holds: holdsItself(Math.abs(said.includedDeg)), half: inMinutes(said.halfDeg) },
        ...(named
          ? { named: { name: named.name, sizeMm: named.sizeMm, sizeAt: named.sizeAt, lengthMm: named.lengthMm } }
          : {}),
      };
    },
  }),
  calculation({
    name: 'taper.grade',
    tab: 'tapers',
    input: z.strictObject({ grade: z.number().int().min(1).max(12), lengthMm: length }),
    output: z.object({ microradians: z.number(), overLengthUm: z.number() }),
    run: ({ grade, lengthMm }) => {
      const found = angleGrade(grade, lengthMm);
      return found
        ? { ...found }
        : { problems: [{ code: 'taper.noGrade' as const, path: ['lengthMm'], value: lengthMm }] };
    },
  }),
  calculation({
    name: 'taper.zone',
    tab: 'tapers',
    input: z.strictObject({ taper, unit: z.enum(['mm', 'in']).default('mm'), lengthMm: length, zoneMm: length }),
    output: z.object({ microradians: z.number(), grade: z.number().optional(), gaugeMm: z.number() }),
    run: ({ taper: text, unit, lengthMm, zoneMm }) => {
      const read = readTaper(text, unit);
      return read.ok ? { ...coneZone(zoneMm, lengthMm, read.perLength) } : notRead(read.code, text);
    },
  }),
  calculation({
    name: 'taper.stations',
    tab: 'tapers',
    input: z.strictObject({ stations }),
    output: fitted.extend({ likely: z.array(z.object({ name: z.string(), overLengthMm: z.number() })) }),
    run: ({ stations: read }) => {
      const cone = fitCone(read);
      if (!cone) return unsolved('stations');
      const { diameterAtMm, perLength, doubtPerLength, offMm, straightMm, doubtful } = cone;
      const places = read.map((s) => s.zMm);
      const ends = [Math.min(...places), Math.max(...places)].map(diameterAtMm) as [number, number];
      const long = Math.max(...places) - Math.min(...places);
      return {
        ...{ perLength, doubtPerLength, halfDeg: halfDegOf(perLength), atZeroMm: diameterAtMm(0) },
        ...{ offMm: [...offMm], straightMm, ...(doubtful === undefined ? {} : { doubtful }) },
        likely: identifyTaper(cone, long, Math.min(...ends), Math.max(...ends)).map((l) => ({
          ...{ name: l.taper.name, overLengthMm: l.overLengthMm },
        })),
      };
    },
  }),
  calculation({
    name: 'tapering.ways',
    tab: 'tapers',
    input: z.strictObject({
      lathe: latheSchema,
      taper,
      lengthMm: length,
      side: z.enum(['outside', 'inside']).default('outside'),
      between: between.optional(),
      lengthsVary: z.boolean().default(false),
    }),
    output: z.object({ ways: z.array(z.looseObject({ way: z.string(), can: z.boolean() })) }),
    run: ({ lathe, taper: text, ...cone }) => {
      const read = readTaper(text, lathe.unit);
      return read.ok
        ? { ways: taperWays(lathe, { ...cone, perLength: read.perLength }).map((w) => ({ ...w })) }
        : notRead(read.code, text);
    },
  }),
  calculation({
    name: 'tapering.setOver',
    tab: 'tapers',
    input: z.strictObject({ taper, ...between.shape }),
    output: z.object({ offsetMm: z.number(), byRuleMm: z.number(), way: z.string(), nearerMm: z.number() }),
    run: ({ taper: text, ...places }) => {
      const read = readTaper(text, 'mm');
      if (!read.ok) return notRead(read.code, text);
      return pivotsMm(places) > 0 ? { ...setOver(read.perLength, places) } : unsolved('wholeMm');
    },
  }),
  calculation({
    name: 'tapering.byIndicator',
    tab: 'tapers',
    input: z.strictObject({ taper, travelMm: length, sineBarMm: length.default(100) }),
    output: z.object({ alongCompoundMm: z.number(), alongConeMm: z.number(), sineHeightMm: z.number() }),
    run: ({ taper: text, travelMm, sineBarMm }) => {
      const read = readTaper(text, 'mm');
      if (!read.ok) return notRead(read.code, text);
      const half = halfDegOf(read.perLength);
      return {
        alongCompoundMm: riseMm(half, travelMm, 'compound'),
        alongConeMm: riseMm(half, travelMm, 'cone'),
        sineHeightMm: sineHeightMm(half, sineBarMm),
      };
    },
  }),
  calculation({
    name: 'tapering.toolHeight',
    tab: 'tapers',
    input: z.strictObject({ taper, sizedMm: length, lengthMm: length, heightMm: z.number().min(-50).max(50) }),
    output: z.object({ largerMm: z.number() }),
    run: ({ taper: text, sizedMm, lengthMm, heightMm }) => {
      const read = readTaper(text, 'mm');
      if (!read.ok) return notRead(read.code, text);
      if (Math.abs(heightMm) >= sizedMm / 2)
        return { problems: [{ code: 'taper.unsolved' as const, path: ['heightMm'] }] };
      return { largerMm: heightErrorMm(sizedMm, halfDegOf(read.perLength), lengthMm, heightMm) };
    },
  }),
  calculation({
    name: 'tapering.standOff',
    tab: 'tapers',
    input: z.strictObject({ taper, standOffMm: z.number().min(-1000).max(1000) }),
    output: z.object({ diameterOffMm: z.number(), perHundredthMm: z.number() }),
    run: ({ taper: text, standOffMm }) => {
      const read = readTaper(text, 'mm');
      if (!read.ok) return notRead(read.code, text);
      const share = Math.abs(read.perLength);
      return { diameterOffMm: diameterOfStandOff(standOffMm, share), perHundredthMm: goesOnMm(0.01, share) };
    },
  }),
  calculation({
    name: 'tapering.rollers',
    tab: 'tapers',
    input: z.strictObject({ rollerMm: length, lowMm: length, highMm: length, blocksMm: length }),
    output: z.object({ halfDeg: z.number(), smallEndMm: z.number() }),
    run: (read) => {
      const found = ofRollers(read);
      return read.highMm >= read.lowMm && found.smallEndMm > 0 ? { ...found } : unsolved('highMm');
    },
  }),
  calculation({
    name: 'tapering.balls',
    tab: 'tapers',
    input: z.strictObject({
      ...{ smallMm: length, largeMm: length },
      ...{ smallDownMm: z.number().min(-1000).max(10_000), largeDownMm: z.number().min(-1000).max(10_000) },
    }),
    output: z.object({ halfDeg: z.number(), atFaceMm: z.number() }),
    run: (read) => {
      const found = ofBalls(read);
      return read.largeMm > read.smallMm && Number.isFinite(found.atFaceMm) && found.halfDeg > 0
        ? { ...found }
        : unsolved('smallDownMm');
    },
  }),
  calculation({
    name: 'tapering.correct',
    tab: 'tapers',
    input: z.strictObject({
      taper,
      stations,
      set: z.discriminatedUnion('by', [
        z.strictObject({ by: z.enum(['compound', 'attachment']), travelMm: length, setMm: length }),
        z.strictObject({ by: z.literal('setOver'), pivotsMm: length, setMm: length }),
      ]),
      /** half the cone's angle may be off by so much */
      toleranceDeg: z.number().positive().max(5),
    }),
    output: z.object({
      ...{ kind: z.string(), why: z.string().optional(), offDeg: z.number(), doubtDeg: z.number().optional() },
      ...{ moveMm: z.number().optional(), moveDeg: z.number().optional() },
    }),
    run: ({ taper: text, stations: read, set, toleranceDeg }) => {
      const wanted = readTaper(text, 'mm');
      if (!wanted.ok) return notRead(wanted.code, text);
      const cone = fitCone(read);
      if (!cone) return unsolved('stations');
      // stations count from either end
      const share = Math.abs(wanted.perLength) * Math.sign(cone.perLength || 1);
      const sense = Math.sign(share);
      const found = { perLength: sense * cone.perLength, doubtPerLength: cone.doubtPerLength };
      return { ...correctTaper(Math.abs(share), found, set, toleranceDeg) };
    },
  }),
  calculation({
    name: 'tapering.places',
    tab: 'tapers',
    input: z.strictObject({
      lengthMm: length,
      anvilMm: z.number().min(0).max(100).default(4),
      apartMm: length.default(25),
    }),
    output: z.object({ fromLargeEndMm: z.array(z.number()) }),
    run: ({ lengthMm, anvilMm, apartMm }) => ({ fromLargeEndMm: [...stationsFor(lengthMm, anvilMm, apartMm)] }),
  }),
];
