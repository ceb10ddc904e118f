import { z } from 'zod';
import { type Contour, volumeMm3 } from '../../contour/index.ts';
import { cutForces } from '../../cutting/index.ts';
import { centreDepth, centreForLoad, centreHole, onTailCentre } from '../../hold/index.ts';
import { centreHoleRows, centreId, outsides } from '../../part/index.ts';
import { PLACE_MM } from '../../quantity/index.ts';
import { coneShape, edgeFor, toolsOf } from '../../tool/index.ts';
import { hollowMm, isFinished, reachOf } from '../../work/index.ts';
import type { Recorder } from '../../working/index.ts';
import type { FitContext } from '../fit-context.ts';
import { handSetting } from '../hand-setting.ts';
import { usualMinutes } from '../usual-minutes.ts';
import { bare, inOnePass, type KindOfOperation, type OfKind, PAST_MM } from './kind.ts';

/** Of the hole its sizes; the mass of the whole piece and the cut's push at its very end, which it was chosen by. */
const own = {
  ...{ pilotMm: z.number(), mouthMm: z.number(), massKg: z.number(), forceN: z.number() },
  /** whether the tail centre is brought up straight after; so in plans of earlier versions, where it is missing */
  broughtUp: z.boolean().optional(),
};
type CentreOperation = OfKind<'centre', typeof own>;

/** Feed of a roughing cut as the tail centre is loaded by it, mm per rev. */
const ROUGH_FEED = 0.2;

/** Whether a centre hole is drilled in this setup: for its own centre, or because only the ends are made. */
export function wantsCentreHole({ piece, setup, held }: Pick<FitContext, 'piece' | 'setup' | 'held'>): boolean {
  if (isFinished(piece, centreId(piece.part.tail))) return false;
  // what carries a hollow end runs in its bore
  if (hollowMm(piece, reachOf(piece).zToMm - PLACE_MM) > 0) return false;
  return (onTailCentre(held.method) && held.method !== 'mandrel') || setup.extent === 'ends';
}

/** What leans on the tail centre of this work: half its weight, and the push of a usual roughing cut at its very end. */
function centreLoad({ piece, means }: FitContext): { massKg: number; forceN: number } {
  const { material, lathe, tools } = means;
  const massKg = (volumeMm3(piece.contour) * material.densityKgPerM3) / 1e9;
  const rougher = edgeFor(tools, 'rougher');
  const cut = {
    ...{ depthMm: lathe.rigidity.usualDepthMm, feedMmPerRev: ROUGH_FEED },
    ...{ kappaDeg: rougher?.kappaDeg ?? 90, noseRadiusMm: rougher?.noseRadiusMm ?? 0 },
  };
  // the cone's figures are told for the push away from the tool; what presses the work down besides is in them
  return { massKg, forceN: cutForces(material, rougher?.material ?? 'hss', cut).radialN };
}

/**
 * The centre hole in the end at the tailstock, by diameter and load, drilled with the largest centre drill of the drawer that is no
 * larger; at the speed that the shop is used to.
 */
export function centreOperation(context: FitContext, record: Recorder | undefined): CentreOperation | undefined {
  const { piece, held, means, wishes, stockMm } = context;
  const { part } = piece;
  const { tools, lathe } = means;
  const zEnd = part.lengthMm;
  const endMm = outsides(part).at(-1)?.diameterMm ?? stockMm;
  const { massKg, forceN } = centreLoad(context);
  // a running centre is usual where nothing is written down
  const { centres } = lathe.holding;
  const live = centres.length === 0 || centres.some((c) => c.kind === 'live');
  const wanted = centreForLoad(stockMm, endMm, massKg, forceN, live ? 'live' : 'plain', record);
  // no room for any in so thin an end
  if (!wanted) return undefined;
  const drills = toolsOf(tools, 'centre drill')
    .filter((t) => (t.sizeMm ?? 0) <= wanted.pilotMm)
    .sort((a, b) => (b.sizeMm ?? 0) - (a.sizeMm ?? 0));
  const owned = drills[0]?.sizeMm;
  const hole = owned === undefined ? wanted : centreHole(owned);
  const mouthMm = hole?.mouthMm ?? 5;
  const pilotMm = hole?.pilotMm ?? 0;
  record?.({
    code: 'hold.centre',
    values: { stockMm, endDiameterMm: endMm, wantedMm: wanted.pilotMm, pilotMm, mouthMm },
    source: 'ISO 6411 type A',
  });
  const by = { mouth: mouthMm, pilot: pilotMm || mouthMm, asTurned: stockMm }[wishes.centreSpeed ?? 'mouth'];
  const setting = handSetting(
    context,
    by,
    wishes.centreSpeed === 'asTurned' ? 'turning' : 'centreDrilling',
    drills[0],
    0.03,
    record,
  );
  return (
    setting && {
      ...{ id: 'centre', kind: 'centre', zFromMm: zEnd - mouthMm, zToMm: zEnd, toolId: drills[0]?.id, setting },
      ...{ ...bare, minutes: usualMinutes(3, record), caution: 'centreOil' },
      ...{ pilotMm, mouthMm: Number(mouthMm.toFixed(2)) },
      broughtUp: onTailCentre(held.method) && !held.ends,
      ...{ massKg: Number(massKg.toFixed(3)), forceN: Math.round(forceN) },
    }
  );
}

/** How deep the tail end is drilled for its centre, from the face, mm; 0 where none is drilled. */
export function centreHoleDepthMm(drilled: { readonly pilotMm: number } | undefined): number {
  const pilotMm = drilled?.pilotMm;
  const row = centreHoleRows.find((r) => r.pilotMm === pilotMm);
  return row ? centreDepth(row.pilotMm, row.pilotLengthMm, row.mouthMm).totalMm : 0;
}

/** The pilot of a centre drill that is run in until its cone is so wide: how far from the face it reaches. */
export function centrePilot(
  pilotMm: number | undefined,
  mouthMm: number,
): { readonly diameterMm: number; readonly toMm: number } | undefined {
  const row = centreHoleRows.find((r) => r.pilotMm === pilotMm);
  return row && { diameterMm: row.pilotMm, toMm: centreDepth(row.pilotMm, row.pilotLengthMm, mouthMm).totalMm };
}

/** The cone and pilot of a centre hole as a half-section. */
function centreContour(zEndMm: number, pilotMm: number, mouthMm: number): Contour {
  const row = centreHoleRows.find((r) => r.pilotMm === pilotMm);
  const { coneMm: deepMm, totalMm: pilotEndMm } = centreDepth(pilotMm, row?.pilotLengthMm ?? 0, mouthMm);
  return {
    loops: [
      [
        { zMm: zEndMm - pilotEndMm, rMm: 0 },
        { zMm: zEndMm, rMm: 0 },
        { zMm: zEndMm, rMm: mouthMm / 2 },
        { zMm: zEndMm - deepMm, rMm: pilotMm / 2 },
        { zMm: zEndMm - pilotEndMm, rMm: pilotMm / 2 },
      ],
    ],
  };
}

export const centre = {
  kind: 'centre',
  own,
  act: 'plain',
  turns: true,
  tailstock: 'drills',
  swept: ({ zToMm, pilotMm, mouthMm }) => centreContour(zToMm, pilotMm, mouthMm),
  strokes: ({ zToMm, pilotMm, mouthMm }) =>
    inOnePass(coneShape(60, mouthMm, PAST_MM, centrePilot(pilotMm, mouthMm)), [
      { zMm: zToMm + 2 * mouthMm, rMm: 0 },
      { zMm: zToMm, rMm: 0 },
    ]),
  finishes: (_, part) => [centreId(part.tail)],
} satisfies KindOfOperation<CentreOperation>;
