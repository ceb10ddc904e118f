import { type Drawing, type SurfaceId, surfaceName } from '@whelk/core/part';

/** A shoulder or the bottom of a step of a hole by the name, or the diameter, of what it belongs to. */
export function faceWords(drawing: Drawing, id: SurfaceId): string {
  const { of, what } = surfaceName(id);
  const typed = [...drawing.features, ...drawing.bores.left, ...drawing.bores.right].find((f) => f.id === of);
  const name = typed?.name.trim() || `Ø${typed?.diameter.text.trim() || '?'}`;
  return `${what === 'floor' ? 'bottom' : 'shoulder'} of ${name}`;
}
