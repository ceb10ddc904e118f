import { z } from 'zod';
import type { KindOfOperation, OfKind } from './kind.ts';

/** Lengths in mm. What it is begun on and how it comes out, teeth round it, and the wheels' own width. */
const own = {
  knurlId: z.string(),
  pattern: z.enum(['straight', 'crossed']),
  pitchMm: z.number(),
  startMm: z.number(),
  toothCount: z.number(),
  growsMm: z.number(),
  wheelMm: z.number(),
  /** diameter that stands there before, where it still has to be brought down to what it is begun on */
  fromDiameterMm: z.number(),
  /** diameters that it stands out of the jaws with nothing behind it, where that is much */
  standsOut: z.number().optional(),
};
export type KnurlOperation = OfKind<'knurl', typeof own>;

/** Wheels press the metal up; nothing is cut, and nothing of it can be proved by a tool's way. */
export const knurl = {
  ...{ kind: 'knurl', own, act: 'plain', turns: true, tailstock: 'carries', byHand: true },
  notes: ({ standsOut }) => (standsOut === undefined ? [] : [{ code: 'knurlPushes', value: standsOut }]),
  finishes: ({ knurlId }) => [knurlId],
} as const satisfies KindOfOperation<KnurlOperation>;
