import { z } from 'zod';
import type { Contour } from '../../contour/index.ts';
import { radians } from '../../quantity/index.ts';
import { coneShape, toolsOf } from '../../tool/index.ts';
import type { FitContext, RecorderFor } from '../fit-context.ts';
import { handSetting } from '../hand-setting.ts';
import { usualMinutes } from '../usual-minutes.ts';
import { centrePilot } from './centre.ts';
import { bare, inOnePass, type KindOfOperation, type OfKind, PAST_MM } from './kind.ts';

/** How wide its cone is opened, so that the drill that follows starts true. */
const own = { mouthMm: z.number() };
type SpotOperation = OfKind<'spot', typeof own>;

/** Widest that a centre drill is opened for a spot, in pilots: its cone. ISO 866, mouth up to about twice the pilot */
const CONE_OF_PILOT = 2.1;
/** Feed of a steady hand with a weak pilot, mm per rev. */
const SPOT_FEED = 0.03;
/** Half the included angle of a centre drill. */
const HALF_DEG = 30;

/** A spot for the drill, as wide as the drill's web at least and narrower than the drill. @param diameterMm of the drill that follows */
export function spotOperation(
  context: FitContext,
  featureId: string,
  diameterMm: number,
  recorderFor: RecorderFor,
): SpotOperation | undefined {
  const zMm = context.piece.part.lengthMm;
  const record = recorderFor('spot');
  const owned = toolsOf(context.means.tools, 'centre drill').filter((t) => (t.sizeMm ?? 0) > 0);
  // the smallest that is not weaker than it has to be: its pilot a third of the drill
  const wanted = diameterMm / 3;
  const tool = owned.toSorted((a, b) => Math.abs(a.sizeMm! - wanted) - Math.abs(b.sizeMm! - wanted))[0];
  const mouthMm = Number(Math.min(0.9 * diameterMm, CONE_OF_PILOT * (tool?.sizeMm ?? wanted)).toFixed(2));
  const setting = handSetting(context, mouthMm, 'centreDrilling', tool, SPOT_FEED, record);
  return (
    setting && {
      ...{ ...bare, id: 'spot', kind: 'spot', featureId, zFromMm: zMm - mouthMm, zToMm: zMm, toolId: tool?.id },
      ...{ setting, minutes: usualMinutes(2, record), caution: context.turning ? 'drillTurns' : 'clearDrill', mouthMm },
    }
  );
}

/** Its cone. */
function cone({ zToMm, mouthMm }: SpotOperation): Contour {
  const deepMm = mouthMm / 2 / Math.tan(radians(HALF_DEG));
  return {
    loops: [
      [
        { zMm: zToMm - deepMm, rMm: 0 },
        { zMm: zToMm + PAST_MM, rMm: 0 },
        { zMm: zToMm + PAST_MM, rMm: mouthMm / 2 },
        { zMm: zToMm, rMm: mouthMm / 2 },
      ],
    ],
  };
}

export const spot = {
  ...{ kind: 'spot', own, act: 'plain', turns: true, tailstock: 'drills' },
  swept: cone,
  strokes: ({ zToMm, mouthMm }, { tool }) => {
    const pilotMm = tool.kind === 'centre drill' ? tool.sizeMm : undefined;
    const shape = coneShape(2 * HALF_DEG, mouthMm, PAST_MM, centrePilot(pilotMm, mouthMm));
    return inOnePass(shape, [
      { zMm: zToMm + 2 * mouthMm, rMm: 0 },
      { zMm: zToMm, rMm: 0 },
    ]);
  },
} as const satisfies KindOfOperation<SpotOperation>;
