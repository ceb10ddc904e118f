import type { NoMove } from '@whelk/core/run';
import { measure } from '../../../ui/format.ts';

/** What to say where no number is safe: what, why, and what can be done instead. */
export function refusalText(
  { why, leftMm }: NoMove,
  unit: 'mm' | 'in',
): { title: string; reason: string; ways: readonly string[] } {
  const left = `${measure(Math.max(0, leftMm), unit)} ${unit}`;
  if (why === 'edge')
    return {
      title: 'Too little left for this edge',
      reason: `Only ${left} is left on the diameter: the tool would rub and spring back rather than cut.`,
      ways: [
        'File or emery, spindle slow, left hand on the handle; then read again.',
        'A keener edge, or a ground HSS tool instead of an insert; touch it off anew.',
        'Take it as it is, if it serves.',
      ],
    };
  return {
    title: 'This ring and gauge cannot finish it safely',
    reason: `${left} is left on the diameter, and no mark of the ring is sure to keep clear of the limit that cannot be put back.`,
    ways: [
      'Swing the compound to 5.74° from the bed, touch off anew, and set the last cuts with it.',
      'An indicator against the cross-slide, read to a tenth of a line.',
      'File or emery, or leave it for a grinder.',
    ],
  };
}

/** Words for a slip that would explain a reading. @param mm what it is out by, in the shown unit */
export function slipText(code: string, out: string, surface: string | undefined): string {
  const words: Record<string, string> = {
    halfMillimetre: `half a millimetre on the thimble (${out})`,
    wholeTurn: `one whole turn of the ring (${out})`,
    thou25: `one turn of the thimble, 0.025 in (${out})`,
    otherUnit: 'the other unit',
    digits: 'two figures exchanged',
    otherSurface: `${surface} measured instead`,
  };
  return words[code] ?? code;
}
