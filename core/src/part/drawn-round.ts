import { exactText, type Problem, rational, readTyped, type TypedLength } from '../quantity/index.ts';
import { outsides } from './ask.ts';
import type { Drawing, Feature } from './drawing.ts';
import { resolveDrawing } from './resolve.ts';
import { degrees, degreesList, mirroredDeg } from './shape/angles.ts';
import type { PartEnd } from './shape/end.ts';
import { hasOwnEnd } from './shape/outside.ts';
import { type End, opposite, type SurfaceId } from './surface-id.ts';

/** A drawing turned end for end, or what of it cannot be said the other way round. */
export type DrawnRound =
  | { readonly ok: true; readonly drawing: Drawing }
  | { readonly ok: false; readonly problem: Problem };

/** A name of a face, an edge or an end: what was towards the left is towards the right. */
const named = (id: SurfaceId): SurfaceId => id.replace(/\.(left|right)/, (_, end: End) => `.${opposite[end]}`);

const swapped = <T>({ left, right }: { readonly left: T; readonly right: T }): { left: T; right: T } => ({
  left: right,
  right: left,
});

/** An angle as it is seen from the other end; what cannot be read stays as it was typed. */
function angled(text: string): string {
  const deg = degrees(text);
  return deg === undefined ? text : String(mirroredDeg(deg));
}

/** What is left of a length beyond a place on it, as exactly as both were typed. */
function beyond(wholeMm: number, place: TypedLength): TypedLength {
  const read = readTyped(place, 'any');
  if (!read.ok) return place;
  const mm = rational(Number(wholeMm.toFixed(6))).sub(read.mm);
  return { ...place, text: exactText(mm, place.unit).replace(/ (mm|in)$/, '') };
}

/** A slope that falls the other way. */
function sloped(taper: string | undefined): string | undefined {
  const text = taper?.trim();
  if (!text) return taper;
  return text.startsWith('-') ? text.slice(1) : `-${text}`;
}

/** A length the other way round; one with a diameter at each end has them exchanged. @param endMm its right end as it was solved */
function featureRound(f: Feature, endMm: number): Feature {
  const turned: Feature = {
    ...f,
    edges: swapped(f.edges),
    details: f.details.map((d) => ({ ...d, from: opposite[d.from] })),
  };
  if (!hasOwnEnd(f.kind)) return turned;
  const { unit } = f.diameter;
  const end: TypedLength = f.end?.text.trim()
    ? f.end
    : { text: exactText(rational(Number(endMm.toFixed(4))), unit).replace(/ (mm|in)$/, ''), unit };
  // of slope and both diameters one follows from the others
  const taper = f.end?.text.trim() ? sloped(f.taper) : '';
  return { ...turned, diameter: end, end: f.diameter, ...(f.taper === undefined ? {} : { taper }) };
}

/** An end with the grooves in the faces that look the same way, whose names change with it. */
const endRound = (end: PartEnd): PartEnd =>
  end.grooves ? { ...end, grooves: end.grooves.map((g) => (g.on ? { ...g, on: named(g.on) } : g)) } : end;

/** What of a drawing cannot be said the other way round: limits that it gives to one end of a sloped length. */
export function keepsFromRound({ features }: Pick<Drawing, 'features'>): Problem | undefined {
  const at = features.findIndex((f) => hasOwnEnd(f.kind) && f.limits.trim() !== '');
  return at < 0 ? undefined : { code: 'drawing.limitsOfOneEnd', path: ['features', at, 'limits'] };
}

/**
 * The drawing turned end for end, as someone else would have drawn the same part: what was left is right. Ids stay, and everything that
 * is named by an end is named by the other.
 * @returns what keeps it from being turned, where something does
 */
export function drawnRound(drawing: Drawing): DrawnRound {
  const problem = keepsFromRound(drawing);
  if (problem) return { ok: false, problem };
  const { part } = resolveDrawing(drawing);
  const endOf = new Map(outsides(part).map((f) => [f.id, f.rightMm]));
  const { endView, worn } = drawing;
  return {
    ok: true,
    drawing: {
      ...drawing,
      features: drawing.features.toReversed().map((f) => featureRound(f, endOf.get(f.id) ?? 0)),
      bores: swapped(drawing.bores),
      ends: swapped({ left: endRound(drawing.ends.left), right: endRound(drawing.ends.right) }),
      dimensions: drawing.dimensions.map((d) => ({ ...d, from: named(d.from), to: named(d.to) })),
      ...(drawing.datums && { datums: drawing.datums.map((d) => ({ ...d, on: named(d.on) })) }),
      ...(drawing.geometry && { geometry: drawing.geometry.map((g) => ({ ...g, on: named(g.on) })) }),
      endView: {
        holes: endView.holes.map((h) => ({
          ...{ ...h, angle: angled(h.angle) },
          ...(h.angles?.trim()
            ? { angles: (degreesList(h.angles) ?? []).map((a) => angled(String(a))).join('; ') }
            : {}),
          ...(h.way === 'radial' ? { place: beyond(part.lengthMm, h.place) } : { way: opposite[h.way] }),
        })),
        flats: endView.flats.map((f) => ({ ...f, from: opposite[f.from], angle: angled(f.angle) })),
        ...(endView.keyways && {
          keyways: endView.keyways.map((k) => ({ ...k, from: opposite[k.from], angle: angled(k.angle) })),
        }),
        notes: endView.notes.map((n) => ({ ...n, angle: angled(n.angle) })),
      },
      ...(worn && {
        worn: {
          surfaces: worn.surfaces
            .toReversed()
            .map((s) => (s.where === 'outside' ? s : { ...s, where: opposite[s.where] })),
          circles: worn.circles.map((c) => ({ ...c, side: opposite[c.side] })),
        },
      }),
    },
  };
}
