import { type Limits, limitsForMate, type SizeOf } from '../limit/index.ts';
import { parseLength } from '../quantity/index.ts';
import type { Recorder } from '../working/index.ts';
import { mouthOf } from './ask.ts';
import type { Drawing } from './drawing.ts';
import { geometryOf, type Mate } from './geometry-schema.ts';
import type { Relation } from './part.ts';
import type { Reader } from './read.ts';
import type { Inside, Outside } from './surface.ts';
import { type SurfaceId, surfaceName } from './surface-id.ts';

/** Reads tolerances to datums; what cannot be is told and left out. */
export function readRelations(drawing: Drawing, reader: Reader): readonly Relation[] {
  const ids = new Set([...drawing.features, ...drawing.bores.left, ...drawing.bores.right].map((f) => f.id));
  const known = (on: SurfaceId): boolean => ids.has(surfaceName(on).of);
  const datums = drawing.datums ?? [];
  const letters = new Set<string>();
  for (const [i, { letter, on }] of datums.entries()) {
    if (letters.has(letter)) reader.add({ code: 'datum.twice', path: ['datums', i, 'letter'], value: letter });
    if (!known(on)) reader.add({ code: 'datum.gone', path: ['datums', i, 'on'], value: letter });
    letters.add(letter);
  }
  return (drawing.geometry ?? []).flatMap((g, i): Relation[] => {
    const path = ['geometry', i];
    const datum = datums.find((d) => d.letter === g.datum);
    const tolerance = reader.size(g.tolerance, [...path, 'tolerance']);
    const { kind } = g;
    if (!known(g.on)) reader.add({ code: 'geometry.gone', path: [...path, 'on'] });
    else if (!geometryOf[kind].includes(isFace(g.on) ? 'face' : 'round'))
      reader.add({ code: 'geometry.wrongSurface', path: [...path, 'on'], value: kind });
    else if (!datum) reader.add({ code: 'geometry.noDatum', path: [...path, 'datum'], value: g.datum });
    else if (datum.on === g.on) reader.add({ code: 'geometry.toItself', path: [...path, 'datum'], value: g.datum });
    else if (kind === 'parallelism' && !isFace(datum.on))
      reader.add({ code: 'geometry.parallelToFace', path: [...path, 'datum'], value: g.datum });
    else if (kind === 'squareness' && isFace(datum.on))
      reader.add({ code: 'geometry.squareToRound', path: [...path, 'datum'], value: g.datum });
    else if (tolerance)
      return [{ id: g.id, kind, on: g.on, toleranceMm: tolerance.valueOf(), datum: g.datum, to: datum.on }];
    return [];
  });
}
const isFace = (id: SurfaceId): boolean => surfaceName(id).what !== 'itself';

/**
 * Limits that a measured mate asks of its feature.
 * @returns undefined while a text of it cannot be read or the clearances are not in order
 */
export function limitsOfMate(mate: Mate, of: SizeOf, record?: Recorder): Limits | undefined {
  const [size, least, most] = [
    parseLength(mate.measured.text, mate.measured.unit),
    parseLength(mate.least, mate.unit, 'any'),
    parseLength(mate.most, mate.unit, 'any'),
  ];
  return size.ok && least.ok && most.ok ? limitsForMate(size.mm, least.mm, most.mm, of, record) : undefined;
}

/** A feature's limits moved to where its measured mate asks for them. */
function mated<F extends Outside | Inside>(feature: F, mate: Mate, of: SizeOf, i: number, reader: Reader): F {
  const size = reader.sizeOrNone(mate.measured, ['mates', i, 'measured']);
  let isRead = size !== undefined;
  for (const key of ['least', 'most'] as const) {
    const length = parseLength(mate[key], mate.unit, 'any');
    if (!length.ok) reader.add({ code: length.code, path: ['mates', i, key], value: mate[key] });
    isRead &&= length.ok;
  }
  // not measured yet: what the drawing says stands
  if (!isRead) return feature;
  const limits = limitsOfMate(mate, of);
  const nominal = 'from' in feature ? mouthOf(feature).diameterMm : feature.diameterMm;
  if (!limits) reader.add({ code: 'mate.noRoom', path: ['mates', i, 'most'], value: mate.most });
  else if (Math.abs(limits.upperMm - nominal) > Math.max(0.5, nominal / 20))
    reader.add({ code: 'mate.farFromNominal', path: ['mates', i, 'measured'], value: mate.measured.text });
  else return { ...feature, limits };
  return feature;
}

/** Features and holes whose mates were measured, with the limits that follow. */
export function readMates<F extends Outside | Inside>(
  drawing: Drawing,
  features: readonly F[],
  of: SizeOf,
  reader: Reader,
): readonly F[] {
  const mates = drawing.mates ?? [];
  if (mates.length === 0) return features;
  return features.map((f) => {
    const i = mates.findIndex((m) => m.on === f.id);
    return i < 0 ? f : mated(f, mates[i]!, of, i, reader);
  });
}

/** Mates of what is no longer drawn, and second mates of one feature. */
export function checkMates(drawing: Drawing, reader: Reader): void {
  const known = new Set([...drawing.features, ...drawing.bores.left, ...drawing.bores.right].map((f) => f.id));
  const seen = new Set<string>();
  for (const [i, { on }] of (drawing.mates ?? []).entries()) {
    if (!known.has(on)) reader.add({ code: 'mate.gone', path: ['mates', i, 'on'] });
    else if (seen.has(on)) reader.add({ code: 'mate.twice', path: ['mates', i, 'on'] });
    seen.add(on);
  }
}
