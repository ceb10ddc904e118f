import type { WaitsBecause } from '../../hold/index.ts';
import { toleranceMm } from '../../limit/index.ts';
import type { Problem } from '../../quantity/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import type { Operation } from '../operation/kinds.ts';
import type { TaperBy, TaperOperation } from '../operation/taper.ts';
import { backFor, measureFor, setFor, touchFor } from './around.ts';
import { fitAlong } from './fit.ts';
import type { PlannedCone } from './planned.ts';
import { waysHere } from './way.ts';

/** Besides the last cuts so much is left for proving: two settings more, each with a cut that cleans the cone, mm on the diameter. */
const PROVE_MM = 0.6;
/** What a scale set by eye may be off is left besides, as far as that is reasonable, mm. */
const MOST_EYE_MM = 1;
/** A cut that cleans the cone goes so much deeper than it must, and so much is left at the least when it is proved, on the diameter, mm. */
const CLEANS_MM = 0.16;
const LEAST_LEFT_MM = 0.3;
/** Less on the diameter than this is no cut, mm. */
const NO_CUT_MM = 0.02;

const CAUTION = { compound: 'evenByHand', attachment: 'slackBeforeCut', setOver: 'easeCentre' } as const;

/** What is cut of a cone, or why it waits. */
export type ConeCuts =
  | { readonly by: TaperBy; readonly operations: readonly Operation[] }
  | { readonly why: WaitsBecause; readonly problem?: Problem };

/** The operations of one cone in their order; why not where the lathe does not bear its cuts. */
export function coneOperations(context: FitContext, planned: PlannedCone, recorderFor: RecorderFor): ConeCuts {
  const { cone, way, edges, level, last, startMm, steps } = planned;
  const { on, sign, perLength, halfDeg, lengthMm, gaugeFromTailMm, limits } = cone;
  const { set } = way;
  const round = (mm: number): number => Number(mm.toFixed(6));
  /** so much over its aim, and never more than stands there */
  const over = (mm: number): number => round(level.targetMm + sign * Math.min(mm, sign * (startMm - level.targetMm)));
  const common = {
    ...{ featureId: on.id, zFromMm: on.zFromMm, zToMm: on.zToMm, toolId: edges.finisher.id, caution: CAUTION[set.by] },
    ...{ by: set.by, side: on.side, perLength, halfDeg, lengthMm, gaugeFromTailMm },
  };
  const along = (
    kind: TaperOperation['kind'],
    fromMm: number,
    toMm: number,
    more: Pick<Partial<TaperOperation>, 'fineness' | 'leavesMm' | 'limits'> = {},
  ): Operation[] => {
    if (sign * (fromMm - toMm) < NO_CUT_MM) return [];
    const id = `${on.id}-${kind}`;
    const cut = fitAlong(context, planned, fromMm, toMm, kind !== 'taper', recorderFor, id);
    return cut ? [{ ...common, ...cut, ...{ id, kind, targetMm: toMm }, ...more }] : [];
  };
  const measured = (after: 'rough' | 'semi' | 'finish', aimMm: number): Operation =>
    measureFor(context, planned, after, aimMm, recorderFor);
  const eyeMm = set.by === 'compound' ? Math.min(MOST_EYE_MM, set.eyeMm) : 0;
  // what is proved has to be cut all along; and two last cuts have to be left even so
  const mostMm = sign * (planned.cleanMm - level.targetMm) - CLEANS_MM;
  const leaveMm = Math.min(level.allowanceMm + PROVE_MM + eyeMm, Math.max(mostMm, LEAST_LEFT_MM));
  const roughedMm = over(leaveMm);
  const nearMm = over(Math.min(leaveMm / 2, last.cuts === 2 ? level.allowanceMm / 2 : level.allowanceMm));
  const { means: fineness } = last.fineness;
  const cuts = [
    ...along('taper', startMm, roughedMm).map(overAgain),
    measured('rough', roughedMm),
    ...along('taperNear', roughedMm, nearMm, { fineness, limits, leavesMm: round(sign * (nearMm - level.targetMm)) }),
    measured('semi', nearMm),
    ...along('taperLast', nearMm, level.targetMm, { fineness, limits }),
    measured('finish', level.targetMm),
  ];
  const broken = cuts.find((o) => o.exceeds.length > 0 && context.wishes.own?.[o.id] === undefined)?.exceeds[0];
  if (broken)
    return {
      why: 'wontBear',
      problem: {
        ...{ code: `route.exceeds.${broken}`, path: ['setup', 'support'], value: on.name || on.id },
        severity: 'warning',
      },
    };
  tellWays(context, planned, recorderFor);
  const bored = steps.length > 0 ? [touchFor(context, planned, 'steps', recorderFor), ...steps] : [];
  return {
    by: set.by,
    operations: [
      ...bored,
      setFor(context, planned, recorderFor),
      touchFor(context, planned, 'cone', recorderFor),
      ...cuts,
      backFor(context, planned, recorderFor),
    ].filter((o) => o !== undefined),
  };
}

/** A first cut along a cone is deep at one end and nothing at the other, and springs so: gone over once more at the same number it is true. */
function overAgain(operation: Operation): Operation {
  const last = operation.passes.at(-1);
  if (!last) return operation;
  const again = { ...last, depthMm: 0, diameterBeforeMm: last.diameterAfterMm };
  return { ...operation, passes: [...operation.passes, again], minutes: operation.minutes + last.minutes };
}

/** Tells which ways there are and why not the others, and what is left for proving. */
function tellWays(context: FitContext, { cone, level }: PlannedCone, recorderFor: RecorderFor): void {
  const record = recorderFor(`${cone.on.id}-taperSet`);
  if (!record) return;
  const { perLength, halfDeg, lengthMm, limits } = cone;
  record({
    code: 'route.cone',
    values: {
      perLength,
      halfDeg,
      lengthMm,
      toleranceMm: toleranceMm(limits),
      allowanceMm: level.allowanceMm,
      proveMm: PROVE_MM,
    },
    source: 'FIELD 8',
  });
  for (const way of waysHere(context, cone))
    record({
      code: 'route.taperWay',
      values: {
        way: way.way,
        can: way.can ? 'yes' : 'no',
        ...(way.can ? {} : { why: way.why, limit: way.limit ?? 0 }),
      },
    });
}
