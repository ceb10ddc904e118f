import type { Lathe } from '../lathe/index.ts';
import type { Part } from '../part/index.ts';
import { outsides } from '../part/index.ts';
import type { Problem, ProblemCode } from '../quantity/index.ts';
import type { Held } from './held.ts';

/** What the quill must still draw back for the work to come out, mm. */
const QUILL_FREE_MM = 15;

/** What slides and quill must reach in a holding: the whole length that stands out, the axis from the rim, the centre hole's depth. */
export function checkSlides(part: Part, held: Held, stockMm: number, lathe: Lathe, centreDepthMm: number): Problem[] {
  const problems: Problem[] = [];
  const { carriage, crossSlide } = lathe.slides;
  const beyond = (code: ProblemCode, value: number, limit: number): void => {
    if (value > limit)
      problems.push({
        ...{ code, path: ['lathe'], value: Number(value.toFixed(1)), limit, unit: 'mm' },
        severity: 'warning',
      });
  };
  const fromMm = Math.max(held.jawsMm, outsides(part).length > 0 ? -1 : 0);
  beyond('hold.carriageShort', held.rawEndMm - fromMm, carriage.travelMm);
  beyond('hold.crossSlideShort', stockMm / 2, crossSlide.travelMm);
  if (centreDepthMm > 0) beyond('hold.quillShort', centreDepthMm + QUILL_FREE_MM, lathe.tailstock.quillTravelMm);
  return problems;
}
