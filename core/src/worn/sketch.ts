import { limitsForMate } from '../limit/index.ts';
import {
  type BoreStep,
  type Drawing,
  emptyBoreStep,
  emptyDrawing,
  emptyFeature,
  type Feature,
  type Mate,
  type WornCircle,
  type WornSketch,
  type WornSurface,
} from '../part/index.ts';
import {
  type LengthUnit,
  type Problem,
  parseLength,
  readTyped,
  shortLength,
  type TypedLength,
} from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';
import { type NominalGuess, nominalGuesses } from './nominal.ts';
import { areReadings, type WornReadings, wornReadings } from './readings.ts';
import { centreDistanceMm, holeCircleMm } from './spans.ts';

/** What a surface's line says, as far as it is filled in. */
export interface SeenSurface {
  readonly readings: WornReadings | undefined;
  readonly guesses: readonly NominalGuess[];
  /** the size the copy gets */
  readonly size: TypedLength | undefined;
  readonly problem: Problem | undefined;
}
/** Steps that a guided sketch asks for, in this order, surface by surface. */
export type WornAsk = 'readings' | 'nominal' | 'mate' | 'length' | 'done';

/** Reads a surface's line: its readings, what it may have been made to, and the size that is chosen. */
export function seeSurface(surface: WornSurface, unit: LengthUnit): SeenSurface {
  const inside = surface.where !== 'outside';
  if (surface.state === 'mate') {
    const measured = readTyped(surface.mate.measured);
    const [least, most] = [surface.mate.least, surface.mate.most].map((t) => parseLength(t, unit, 'any'));
    const given = surface.nominal.text.trim() !== '';
    if (!measured.ok || !least!.ok || !most!.ok)
      return { readings: undefined, guesses: [], size: given ? surface.nominal : undefined, problem: undefined };
    const limits = limitsForMate(measured.mm, least!.mm, most!.mm, inside ? 'inside' : 'outside');
    if (!limits)
      return {
        readings: undefined,
        guesses: [],
        size: undefined,
        problem: { code: 'mate.noRoom', path: ['mate', 'most'] },
      };
    // drawn at its mate's nominal size; its limits follow the mate itself
    const guesses = nominalGuesses(measured.mm.valueOf(), inside ? 'outside' : 'inside', 'worn', unit);
    const usual = guesses[0]?.size ?? { text: shortLength((limits.upperMm + limits.lowerMm) / 2, unit, 3), unit };
    return { readings: undefined, guesses, size: given ? surface.nominal : usual, problem: undefined };
  }
  const readings = wornReadings(surface.readings, unit);
  if (!areReadings(readings))
    return {
      readings: undefined,
      guesses: [],
      size: surface.nominal.text.trim() ? surface.nominal : undefined,
      problem: readings,
    };
  const readMm = inside ? readings.smallestMm : readings.largestMm;
  const guesses = nominalGuesses(readMm, inside ? 'inside' : 'outside', surface.state, unit);
  const as = { text: shortLength(readMm, unit, unit === 'mm' ? 3 : 4), unit };
  const size = surface.nominal.text.trim() ? surface.nominal : (guesses[0]?.size ?? as);
  return { readings, guesses, size, problem: undefined };
}

/** The diameter of the circle that a span over holes gives; undefined while it cannot be known. */
export function seeCircle(circle: WornCircle, record?: Recorder): number | undefined {
  const [span, hole] = [readTyped(circle.span), readTyped(circle.hole)];
  if (!span.ok || !hole.ok) return undefined;
  const distance = centreDistanceMm(span.mm.valueOf(), circle.of, hole.mm.valueOf(), hole.mm.valueOf(), record);
  return distance === undefined ? undefined : holeCircleMm(distance, circle.count, circle.way, record);
}

/** What a sketch still wants: the first surface with something open, and what it is. */
export function nextAsk(
  sketch: WornSketch,
  unit: LengthUnit,
): { readonly id: string; readonly ask: WornAsk } | undefined {
  for (const s of sketch.surfaces) {
    const seen = seeSurface(s, unit);
    if (s.state === 'mate' && !readTyped(s.mate.measured).ok) return { id: s.id, ask: 'mate' };
    if (s.state !== 'mate' && !seen.readings) return { id: s.id, ask: 'readings' };
    if (!seen.size) return { id: s.id, ask: 'nominal' };
    if (s.where === 'outside' && !readTyped(s.length).ok) return { id: s.id, ask: 'length' };
  }
  return undefined;
}

/**
 * The drawing of a copy: every surface at the size it was made to, those that follow a mate with that mate, holes on their
 * circles. The sketch stays with it.
 * @param unit of the drawing; sizes keep the system they were found in
 */
export function drawingOfWorn(sketch: WornSketch, unit: LengthUnit): Drawing {
  const features: Feature[] = [];
  const bores: { left: BoreStep[]; right: BoreStep[] } = { left: [], right: [] };
  const mates: Mate[] = [];
  const blank = { text: '', unit };
  for (const s of sketch.surfaces) {
    const diameter = seeSurface(s, unit).size ?? blank;
    if (s.where === 'outside') features.push({ ...emptyFeature(s.id, unit), name: s.name, diameter, length: s.length });
    else bores[s.where].push({ ...emptyBoreStep(s.id, unit, 'bored'), name: s.name, diameter, length: s.length });
    if (s.state === 'mate' && readTyped(s.mate.measured).ok)
      mates.push({
        ...{ id: `m${mates.length + 1}`, on: s.id, note: '', unit, from: null },
        ...{ measured: s.mate.measured, least: s.mate.least, most: s.mate.most },
      });
  }
  const holes = sketch.circles.flatMap((c) => {
    const circleMm = seeCircle(c);
    if (circleMm === undefined) return [];
    return [
      {
        ...{ id: c.id, name: '', way: c.side, count: c.count, angle: '', limits: '', depth: blank, counterbore: null },
        place: { text: shortLength(circleMm, unit, unit === 'mm' ? 2 : 3), unit },
        diameter: c.hole,
      },
    ];
  });
  const drawing = emptyDrawing(unit);
  return {
    ...{ ...drawing, features, bores, endView: { ...drawing.endView, holes }, worn: sketch },
    ...(mates.length > 0 ? { mates } : {}),
  };
}
