import type { Lathe } from '../lathe/index.ts';
import type { Tool } from '../tool/index.ts';
import type { Workpiece } from '../work/index.ts';
import type { Recorder } from '../working/index.ts';
import { withEnds } from './ends.ts';
import { onArbor } from './grip/arbor.ts';
import { betweenCentres } from './grip/centres.ts';
import { inJaws } from './grip/in-jaws.ts';
import { insideJaws } from './grip/inside-jaws.ts';
import type { HoldAnswer } from './grip/kind.ts';
import { onSlide } from './grip/on-slide.ts';
import { onStep } from './grip/step-jaws.ts';
import { withRest } from './rest.ts';
import type { Setup } from './schema.ts';

/**
 * Puts a piece in: on its spare stock, on a length that is turned or still raw, by jaws opened into its hole or on their step,
 * between centres, on its hole, on its face, or bolted to the cross-slide; with a rest where one is set.
 * @param piece as it lies in the lathe @param clearanceMm what the tool keeps from the jaws
 * @param tools of the drawer, for the bar that turns where the work stands
 */
export function heldIn(
  piece: Workpiece,
  setup: Setup,
  lathe: Lathe,
  clearanceMm: number,
  record?: Recorder,
  tools?: readonly Tool[],
): HoldAnswer {
  const asked = { piece, setup, lathe, clearanceMm, tools, record };
  const { grip } = setup;
  if (grip.kind === 'centres') return betweenCentres(asked, grip);
  if (grip.kind === 'slide') return onSlide(asked, grip);
  if (grip.kind !== 'jaws') return onArbor(asked, grip.kind);
  if (grip.by === 'inside') return insideJaws(asked, grip);
  if (grip.by === 'step') return onStep(asked, grip);
  return withEnds(asked, withRest(asked, inJaws(asked, grip)));
}
