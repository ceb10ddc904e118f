import { describe, expect, it } from 'vitest';
import type { Lathe } from '../lathe/index.ts';
import { resolveDrawing } from '../part/index.ts';
import { drawingOf, feature, metricLathe } from '../testing/shop.ts';
import type { Held } from './held.ts';
import { checkSlides } from './slide-reach.ts';

const { part } = resolveDrawing(drawingOf([feature(1, 40, 120), feature(2, 30, 80)]));
const holding: Held = {
  ...{ method: 'chuckAndCentre', why: 'chosen', jawsMm: -9, rawEndMm: 201, overhangMm: 210, overhangDiameters: 4.7 },
  ...{ wantsRest: false, gripMm: 30, onMm: 45, forceN: 18_000, maxRpm: 2000, chuckId: 'three-jaw' },
};
const withTravel = (carriage: number, crossSlide: number, quillTravelMm: number): Lathe => ({
  ...metricLathe,
  slides: {
    ...metricLathe.slides,
    carriage: { ...metricLathe.slides.carriage, travelMm: carriage },
    crossSlide: { ...metricLathe.slides.crossSlide, travelMm: crossSlide },
  },
  tailstock: { ...metricLathe.tailstock, quillTravelMm },
});
const told = (lathe: Lathe, depthMm = 12, stockMm = 45) =>
  checkSlides(part, holding, stockMm, lathe, depthMm).map((p) => [p.code, p.value, p.limit, p.severity]);

describe('what slides and quill must reach', () => {
  it('is nothing to speak of on a lathe that is large enough', () => {
    expect(told(withTravel(600, 150, 100))).toEqual([]);
  });
  it('is the whole length that stands out, from the rim to the axis, and the centre hole with room to draw back', () => {
    expect(told(withTravel(180, 150, 100))).toEqual([['hold.carriageShort', 202, 180, 'warning']]);
    expect(told(withTravel(600, 20, 100))).toEqual([['hold.crossSlideShort', 22.5, 20, 'warning']]);
    expect(told(withTravel(600, 150, 25))).toEqual([['hold.quillShort', 27, 25, 'warning']]);
    expect(told(withTravel(10, 10, 10)).map(([code]) => code)).toEqual([
      'hold.carriageShort',
      'hold.crossSlideShort',
      'hold.quillShort',
    ]);
  });
  it('asks nothing of the quill where no centre hole is drilled', () => {
    expect(told(withTravel(600, 150, 5), 0)).toEqual([]);
  });
  it('just reaches what is just as long', () => {
    expect(told(withTravel(202, 22.5, 27))).toEqual([]);
    expect(told(withTravel(201.9, 22.4, 26.9))).toHaveLength(3);
  });
});
