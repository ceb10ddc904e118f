import { type Limits, limitsForMate, type SizeOf } from '../limit/index.ts';
import { parseLength } from '../quantity/index.ts';
import { readThread } from '../thread/index.ts';
import type { Recorder } from '../working/index.ts';
import { mouthOf } from './ask.ts';
import type { Drawing } from './drawing.ts';
import { geometryOf, type Mate } from './geometry-schema.ts';
import type { Relation } from './part.ts';
import type { Reader } from './read.ts';
import type { CutIn } from './shape/details.ts';
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

/**
 * Limits that a mate asks for here; undefined while it is not measured, and where it cannot be the mate of such a size: that is told.
 * @param offMm how far the size may lie from its nominal one
 */
function readMate(mate: Mate, of: SizeOf, nominalMm: number, offMm: number, i: number, reader: Reader) {
  const size = reader.sizeOrNone(mate.measured, ['mates', i, 'measured']);
  let isRead = size !== undefined;
  for (const key of ['least', 'most'] as const) {
    const length = parseLength(mate[key], mate.unit, 'any');
    if (!length.ok) reader.add({ code: length.code, path: ['mates', i, key], value: mate[key] });
    isRead &&= length.ok;
  }
  // not measured yet: what the drawing says stands
  if (!isRead) return undefined;
  const limits = limitsOfMate(mate, of);
  if (!limits) reader.add({ code: 'mate.noRoom', path: ['mates', i, 'most'], value: mate.most });
  else if (Math.abs(limits.upperMm - nominalMm) > offMm)
    reader.add({ code: 'mate.farFromNominal', path: ['mates', i, 'measured'], value: mate.measured.text });
  else return limits;
  return undefined;
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
    if (i < 0) return f;
    const nominalMm = 'from' in f ? mouthOf(f).diameterMm : f.diameterMm;
    const limits = readMate(mates[i]!, of, nominalMm, Math.max(0.5, nominalMm / 20), i, reader);
    return limits ? { ...f, limits } : f;
  });
}

/** A mate's pitch diameter may lie so far from the basic one, as a share of the pitch: a diameter over its crests lies further. */
const PITCH_SHARE = 0.25;
/** What is cut into a length, its threads with the pitch diameters that their measured mates ask for. */
export function readThreadMates(drawing: Drawing, cuts: readonly CutIn[], reader: Reader): readonly CutIn[] {
  const mates = drawing.mates ?? [];
  if (mates.length === 0) return cuts;
  return cuts.map((c) => {
    const i = mates.findIndex((m) => m.on === c.id);
    const named = c.kind === 'thread' ? readThread(c.designation) : undefined;
    if (i < 0 || c.kind !== 'thread' || !named?.ok) return c;
    const { pitchDiameterMm, pitchMm } = named.thread;
    const limits = readMate(
      mates[i]!,
      c.side === 'inside' ? 'inside' : 'outside',
      pitchDiameterMm,
      PITCH_SHARE * pitchMm,
      i,
      reader,
    );
    return limits ? { ...c, toMate: { upperMm: limits.upperMm, lowerMm: limits.lowerMm } } : c;
  });
}

/** Mates of what is no longer drawn, and second mates of one feature. */
export function checkMates(drawing: Drawing, reader: Reader): void {
  const lengths = [...drawing.features, ...drawing.bores.left, ...drawing.bores.right];
  const threads = lengths.flatMap((f) => f.details.filter((d) => d.kind === 'thread'));
  const known = new Set([...lengths, ...threads].map((f) => f.id));
  const seen = new Set<string>();
  for (const [i, { on }] of (drawing.mates ?? []).entries()) {
    if (!known.has(on)) reader.add({ code: 'mate.gone', path: ['mates', i, 'on'] });
    else if (seen.has(on)) reader.add({ code: 'mate.twice', path: ['mates', i, 'on'] });
    seen.add(on);
  }
}
