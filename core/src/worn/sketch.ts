import { limitsForMate } from '../limit/index.ts';
import {
  type BoreStep,
  type Detail,
  type Drawing,
  emptyBoreStep,
  emptyDetail,
  emptyDrawing,
  emptyFeature,
  type Feature,
  type Mate,
  type WornCircle,
  type WornRadial,
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
import { centreDistanceMm, chordAngleDeg, holeCircleMm } from './spans.ts';

/** A length is taken for round when it is no farther off, mm. */
const LENGTH_MM = 0.3;

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
  // what is not worn is as it was read, unless a round size is clearly meant
  const likely = surface.state === 'sound' ? guesses.find((g) => g.clear) : guesses[0];
  const size = surface.nominal.text.trim() ? surface.nominal : (likely?.size ?? as);
  return { readings, guesses, size, problem: undefined };
}

/** Sizes that a length may have been drawn with: round ones next to what was measured from face to face. */
export function lengthGuesses(surface: WornSurface, unit: LengthUnit): readonly NominalGuess[] {
  const read = readTyped(surface.length);
  if (!read.ok || read.mm.valueOf() <= 0) return [];
  const mm = read.mm.valueOf();
  // its faces wear too, and are seldom read finer than with a caliper
  const guesses = nominalGuesses(mm, 'outside', 'worn', unit).filter((g) => Math.abs(g.offMm) <= LENGTH_MM);
  // what is round as it was measured is that
  return guesses.some((g) => g.offMm === 0 && g.clear) ? [] : guesses;
}

/** The angle of a radial hole from the first, anticlockwise, from what was measured round the outside; undefined while it cannot be known. */
export function seeRadial(radial: WornRadial, outsideMm: number | undefined, record?: Recorder): number | undefined {
  if (radial.span.text.trim() === '') return 0;
  const [span, hole] = [readTyped(radial.span), readTyped(radial.hole)];
  if (!span.ok || !hole.ok || outsideMm === undefined) return undefined;
  const chord = centreDistanceMm(span.mm.valueOf(), radial.of, hole.mm.valueOf(), hole.mm.valueOf());
  return chord === undefined ? undefined : chordAngleDeg(chord, outsideMm, record);
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

/** Diameter of the outside where a radial hole goes in, mm, as it is drawn so far. */
export function outsideAt(
  features: readonly Pick<Feature, 'diameter' | 'length'>[],
  radial: Pick<WornRadial, 'place'>,
): number | undefined {
  const place = readTyped(radial.place);
  if (!place.ok) return undefined;
  let zMm = 0;
  for (const { diameter, length } of features) {
    const [long, across] = [readTyped(length), readTyped(diameter)];
    if (!long.ok) return undefined;
    zMm += long.mm.valueOf();
    if (place.mm.valueOf() <= zMm) return across.ok ? across.mm.valueOf() : undefined;
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
    const shared = { name: s.name, diameter, length: s.length };
    const neck =
      s.undercut && readTyped(s.undercut.width).ok && readTyped(s.undercut.floor).ok ? s.undercut : undefined;
    const details = neck
      ? [
          {
            ...emptyDetail('u1', 'groove', unit),
            from: neck.from,
            at: { text: '0', unit },
            width: neck.width,
            floor: neck.floor,
          } as Detail,
        ]
      : [];
    if (s.where === 'outside')
      features.push({ ...emptyFeature(s.id, unit), ...shared, edges: s.edges ?? { left: '', right: '' }, details });
    else bores[s.where].push({ ...emptyBoreStep(s.id, unit, s.made ?? 'bored'), ...shared, details });
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
  const across = (sketch.radials ?? []).flatMap((r) => {
    const angleDeg = seeRadial(r, outsideAt(features, r));
    if (angleDeg === undefined || !readTyped(r.hole).ok || !readTyped(r.place).ok) return [];
    return [
      {
        ...{ id: r.id, name: '', way: 'radial' as const, count: 1, limits: '', depth: r.depth, counterbore: null },
        ...{ angle: shortLength(angleDeg, 'mm', 2), place: r.place, diameter: r.hole },
      },
    ];
  });
  const drawing = emptyDrawing(unit);
  return {
    ...{ ...drawing, features, bores, endView: { ...drawing.endView, holes: [...holes, ...across] }, worn: sketch },
    ...(mates.length > 0 ? { mates } : {}),
  };
}
