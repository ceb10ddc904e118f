import { z } from 'zod';
import { MM_PER_IN, type Rational, radians, rational } from '../quantity/index.ts';
import {
  bestWireMm,
  overWiresMm,
  pitchDiameterOverWiresMm,
  readThread,
  threadDepthMm,
  threadLimits,
  wireRangeMm,
} from '../thread/index.ts';
import {
  byCompound,
  clearsStuds,
  closesAgain,
  equalAreaDepths,
  gearTrains,
  offOverMm,
  pitchesToStart,
  stepByCompound,
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
      /** what was measured over the wires, for going back */
      overMm: positive.optional(),
    }),
    output: z.object({
      overMm: z.number(),
      bestWireMm: z.number(),
      leastWireMm: z.number(),
      mostWireMm: z.number(),
      pitchDiameterMm: z.number().optional(),
    }),
    run: ({ pitchDiameterMm, wireMm, overMm, ...thread }) => {
      const { leastMm, mostMm } = wireRangeMm(thread);
      return {
        ...{ overMm: overWiresMm(thread, pitchDiameterMm, wireMm), bestWireMm: bestWireMm(thread) },
        ...{ leastWireMm: leastMm, mostWireMm: mostMm },
        ...(overMm === undefined ? {} : { pitchDiameterMm: pitchDiameterOverWiresMm(thread, overMm, wireMm) }),
      };
    },
  }),
];
