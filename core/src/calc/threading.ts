import { z } from 'zod';
import { MM_PER_IN, type Rational, radians, rational } from '../quantity/index.ts';
import {
  bestWireMm,
  crestFlatShareOf,
  identifyThread,
  nearThreads,
  overWiresExactMm,
  overWiresMm,
  pitchDiameterOverWiresMm,
  readThread,
  threadDepthMm,
  threadLimits,
  threadSheet,
  UNREAD_THREAD,
  wireRangeMm,
} from '../thread/index.ts';
import {
  byCompound,
  clearsStuds,
  closesAgain,
  equalAreaDepths,
  gearTrains,
  INFEED_SCHOOLS,
  offOverMm,
  PASS_SCHEDULES,
  pitchesToStart,
  reactRpm,
  reacts,
  stepByCompound,
  threadPasses,
} from '../threading/index.ts';
import { calculation } from './entry.ts';
import { positive } from './positive.ts';

/** A whole number, a decimal or a quotient, as it is written; exact, never nothing. */
const exact = z
  .string()
  .regex(/^\d{1,4}(\.\d{1,6})?(\/\d{1,4})?$/)
  .refine((text) => text.split('/').every((part) => Number(part) > 0));
/** A pitch or lead: millimetres, or how many to the inch. */
const pitch = z.union([z.strictObject({ mm: exact }), z.strictObject({ perInch: exact })]);
const inMm = (p: z.output<typeof pitch>): Rational => ('mm' in p ? rational(p.mm) : MM_PER_IN.div(rational(p.perInch)));
const angle = z.number().min(20).max(120);
const starts = z.number().int().min(1).max(12).default(1);
const teeth = z.number().int().min(8).max(400);

const size = z.object({ upperMm: z.number(), lowerMm: z.number() });
/** Leadscrew, gears, infeed and wires of threads. */
export const threadingCalculations = [
  calculation({
    name: 'thread.limits',
    tab: 'threads',
    input: z.strictObject({
      designation: z.string().min(1).max(40),
      class: z.string().min(1).max(16),
      /** outside where it is not given and the class does not say it */
      side: z.enum(['outside', 'inside']).optional(),
      /** where the standard asks for it: the usual one where it is not given */
      engagedMm: positive.optional(),
    }),
    output: z.object({
      side: z.enum(['outside', 'inside']),
      pitch: size,
      major: z.union([size, z.object({ leastMm: z.number() })]),
      minor: z.union([size, z.object({ basicMm: z.number() })]),
    }),
    run: ({ designation, class: close, side, engagedMm }) => {
      const read = readThread(designation);
      if (!read.ok)
        return { problems: [{ code: 'thread.noDesignation' as const, path: ['designation'], value: designation }] };
      const { thread } = read;
      const sides = side ? [side] : (['outside', 'inside'] as const);
      const found = sides.map((one) => threadLimits(thread, one, close, engagedMm)).find((limits) => limits);
      if (!found) return { problems: [{ code: 'threading.noClass' as const, path: ['class'], value: close }] };
      const { pitchDiameter, major, minor } = found;
      return { side: found.side, pitch: pitchDiameter, major, minor };
    },
  }),
  calculation({
    name: 'thread.sheet',
    tab: 'threads',
    input: z.strictObject({
      designation: z.string().min(1).max(60),
      side: z.enum(['outside', 'inside']).default('outside'),
      class: z.string().max(16).default(''),
    }),
    output: z.object({
      form: z.string(),
      series: z.string().optional(),
      starts: z.number(),
      majorMm: z.number(),
      pitchMm: z.number(),
      leadMm: z.number(),
      pitchDiameterMm: z.number(),
      minorMm: z.number(),
      holeMm: z.number(),
      includedDeg: z.number(),
      leadAngleDeg: z.number(),
      limits: z.unknown().optional(),
      depthMm: z.number(),
      widestFlatMm: z.number(),
      widestRadiusMm: z.number(),
      groove: z.object({ usualMm: z.number(), leastMm: z.number(), floorMm: z.number() }),
      chamferMm: z.number(),
      dies: z.array(z.object({ part: z.number(), blankMm: z.number() })).optional(),
      bores: z.array(z.object({ share: z.number(), boreMm: z.number() })).optional(),
      wires: z.unknown().optional(),
    }),
    run: ({ designation, side, class: close }) => {
      const read = readThread(designation);
      const near = nearThreads(designation).join(', ');
      if (!read.ok)
        return {
          problems: [{ code: UNREAD_THREAD[read.why], path: ['designation'], value: designation, limit: near }],
        };
      const { thread } = read;
      const sheet = threadSheet(thread, side, close);
      if (!sheet.limits && close !== '')
        return { problems: [{ code: 'threading.noClass' as const, path: ['class'], value: close }] };
      const { form, series, starts, majorMm, pitchMm, leadMm, pitchDiameterMm, minorMm, holeMm } = thread;
      const { includedDeg, leadAngleDeg, limits, depthMm, widest, groove, chamferMm, dies, bores, wires } = sheet;
      return {
        ...{ form, series, starts, majorMm, pitchMm, leadMm, pitchDiameterMm, minorMm, holeMm, includedDeg },
        ...{ leadAngleDeg, limits, depthMm, widestFlatMm: widest.flatMm, widestRadiusMm: widest.radiusMm },
        ...{ groove, chamferMm, wires, ...(dies ? { dies: [...dies] } : {}), ...(bores ? { bores: [...bores] } : {}) },
      };
    },
  }),
  calculation({
    name: 'thread.identify',
    tab: 'threads',
    input: z.strictObject({
      side: z.enum(['outside', 'inside']).default('outside'),
      diameterMm: positive,
      pitchCount: z.number().min(1).max(1000),
      overMm: positive,
      byMm: z.number().min(0.01).max(5).default(0.3),
      includedDeg: angle.optional(),
    }),
    output: z.object({
      likely: z.array(z.object({ name: z.string(), share: z.number(), overLengthMm: z.number(), wornMm: z.number() })),
    }),
    run: ({ includedDeg, ...worn }) => ({
      likely: identifyThread({ ...worn, ...(includedDeg === undefined ? {} : { includedDeg }) }).map(
        ({ name, share, overLengthMm, wornMm }) => ({ name, share, overLengthMm, wornMm }),
      ),
    }),
  }),
  calculation({
    name: 'threading.passes',
    tab: 'threads',
    input: z.strictObject({
      depthMm: z.number().min(0.02).max(50),
      flanksDeg: z.tuple([z.number().min(0).max(60), z.number().min(0).max(60)]),
      tipMm: z.number().min(0.02).max(40),
      school: z.enum(INFEED_SCHOOLS).default('flank'),
      schedule: z.enum(PASS_SCHEDULES).default('equalArea'),
      compoundDeg: z.number().min(0).max(60),
      firstMm: z.number().min(0.01).max(2),
      lastMm: z.number().min(0.005).max(1),
    }),
    output: z.object({
      passes: z.array(
        z.object({
          depthMm: z.number(),
          cutMm: z.number(),
          areaMm2: z.number(),
          contactMm: z.number(),
          leadingShare: z.number(),
          trailingShare: z.number(),
          alongMm: z.number(),
        }),
      ),
    }),
    run: (wish) => ({ passes: threadPasses(wish).map((p) => ({ ...p })) }),
  }),
  calculation({
    name: 'threading.runOut',
    tab: 'threads',
    input: z.strictObject({
      grooveMm: positive,
      toolMm: positive,
      leadMm: z.number().min(0.05).max(1000),
      rpm: positive,
      /** turns that the spindle makes after it is switched off */
      stopTurns: z.number().min(0).max(100).default(0),
      nutsShut: z.boolean().default(false),
    }),
    output: z.object({ seconds: z.number(), coastMm: z.number(), enough: z.boolean(), mostRpm: z.number() }),
    run: ({ grooveMm, toolMm, leadMm, rpm, stopTurns, nutsShut }) => {
      const room = { usableMm: Math.max(0, grooveMm - toolMm), leadMm, stopTurns, nutsShut };
      return { ...reacts(rpm, room), mostRpm: reactRpm(room) };
    },
  }),
  calculation({
    name: 'threading.halfNuts',
    tab: 'threads',
    input: z.strictObject({
      leadscrew: pitch,
      pitch,
      starts,
      wheel: z.strictObject({ teeth, marks: z.number().int().min(1).max(64) }),
    }),
    output: z.object({
      everyPitches: z.number(),
      anyPlace: z.boolean(),
      marks: z.array(z.number()),
      between: z.array(z.number()),
      turns: z.number(),
      keepShut: z.boolean(),
      startsAt: z.array(z.number().nullable()),
    }),
    run: ({ leadscrew, pitch: one, starts: count, wheel }) => {
      const [screwMm, leadMm] = [inMm(leadscrew), inMm(one).mul(count)];
      const again = closesAgain(screwMm, leadMm, wheel);
      return {
        ...{ everyPitches: again.everyPitches, anyPlace: again.anyPlace, turns: again.turns },
        ...{ marks: [...again.marks], between: [...again.between] },
        keepShut: again.marks.length + again.between.length === 0,
        startsAt: Array.from({ length: count }, (_, i) => pitchesToStart(screwMm, leadMm, i, count) ?? null),
      };
    },
  }),
  calculation({
    name: 'threading.changeGears',
    tab: 'gears',
    input: z.strictObject({
      leadscrew: pitch,
      pitch,
      starts,
      /** turns of the first driver for each of the spindle, where the lathe has that fixed */
      fixedRatio: exact.default('1'),
      gears: z.array(teeth).min(2).max(30),
      pairs: z.union([z.literal(1), z.literal(2)]),
      /** room that a stud takes, in teeth; every train where it is not given */
      studTeeth: z.number().int().min(0).max(60).optional(),
      engagedMm: positive.optional(),
      most: z.number().int().min(1).max(200).default(20),
    }),
    output: z.object({
      trains: z.array(
        z.object({
          drivers: z.array(z.number()),
          driven: z.array(z.number()),
          exact: z.boolean(),
          errorPpm: z.number(),
          offMm: z.number().optional(),
        }),
      ),
    }),
    run: ({ leadscrew, pitch: one, starts: count, fixedRatio, gears, pairs, studTeeth, engagedMm, most }) => {
      const ratio = inMm(one).mul(count).div(inMm(leadscrew)).div(rational(fixedRatio));
      const room =
        studTeeth === undefined
          ? {}
          : { goesOn: (a: readonly number[], b: readonly number[]) => clearsStuds(a, b, studTeeth) };
      const trains = gearTrains({ gears, ratio, pairs, most, ...room });
      return {
        trains: trains.map((t) => ({
          ...{ drivers: [...t.drivers], driven: [...t.driven], exact: t.exact, errorPpm: t.errorPpm },
          ...(engagedMm === undefined ? {} : { offMm: offOverMm(t.errorPpm, engagedMm) }),
        })),
      };
    },
  }),
  calculation({
    name: 'threading.infeed',
    tab: 'threads',
    input: z.strictObject({
      blankMm: positive,
      pitchDiameterMm: positive,
      pitchMm: z.number().min(0.05).max(100),
      includedDeg: angle,
      tip: z.discriminatedUnion('kind', [
        z.strictObject({ kind: z.literal('flat'), flatMm: z.number().min(0).max(50) }),
        z.strictObject({ kind: z.literal('radius'), radiusMm: z.number().min(0).max(50) }),
      ]),
      /** of the compound from the cross-slide's line; 0: straight in */
      compoundDeg: z.number().min(0).max(60),
      passes: z.number().int().min(1).max(100),
    }),
    output: z.object({
      depthMm: z.number(),
      travelMm: z.number(),
      alongMm: z.number(),
      trailingShare: z.number(),
      afterPassesMm: z.array(z.number()),
    }),
    run: ({ blankMm, pitchDiameterMm, pitchMm, includedDeg, tip, compoundDeg, passes }) => {
      const depthMm = threadDepthMm(blankMm, pitchDiameterMm, pitchMm, [includedDeg / 2, includedDeg / 2], tip);
      if (depthMm <= 0)
        return {
          problems: [
            { code: 'threading.noDepth' as const, path: ['pitchDiameterMm'], value: pitchDiameterMm, limit: blankMm },
          ],
        };
      const { travelMm, alongMm } = byCompound(depthMm, compoundDeg);
      const flat = tip.kind === 'flat' ? tip.flatMm : 2 * tip.radiusMm;
      return {
        ...{ depthMm, travelMm, alongMm, trailingShare: stepByCompound(1, compoundDeg, includedDeg).trailingMm },
        afterPassesMm: [...equalAreaDepths(depthMm, passes, 2 * Math.tan(radians(includedDeg / 2)), flat)],
      };
    },
  }),
  calculation({
    name: 'thread.overWires',
    tab: 'threads',
    input: z.strictObject({
      pitchMm: z.number().min(0.05).max(100),
      leadMm: z.number().min(0.05).max(1000),
      includedDeg: angle,
      pitchDiameterMm: z.number().min(0.3).max(5000),
      wireMm: z.number().min(0.01).max(200),
      /** by the true contact with the helix as well; slow */
      exact: z.boolean().default(false),
      /** what was measured over the wires, for going back */
      overMm: positive.optional(),
      /** diameter of the surface, for which wires can be used at all; sharp 60° crests where it is not given */
      blankMm: positive.optional(),
    }),
    output: z.object({
      overMm: z.number(),
      bestWireMm: z.number(),
      leastWireMm: z.number(),
      mostWireMm: z.number(),
      exactOverMm: z.number().optional(),
      pitchDiameterMm: z.number().optional(),
    }),
    run: ({ pitchDiameterMm, wireMm, overMm, exact: byHelix, blankMm, ...thread }) => {
      const crest = blankMm === undefined ? undefined : crestFlatShareOf(thread, blankMm, pitchDiameterMm);
      const { leastMm, mostMm } = wireRangeMm(thread, crest);
      return {
        ...{ overMm: overWiresMm(thread, pitchDiameterMm, wireMm), bestWireMm: bestWireMm(thread) },
        ...{ leastWireMm: leastMm, mostWireMm: mostMm },
        ...(byHelix ? { exactOverMm: overWiresExactMm(thread, pitchDiameterMm, wireMm) } : {}),
        ...(overMm === undefined ? {} : { pitchDiameterMm: pitchDiameterOverWiresMm(thread, overMm, wireMm) }),
      };
    },
  }),
];
