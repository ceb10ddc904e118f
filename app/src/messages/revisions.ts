import type { Drawing, DrawingChange } from '@whelk/core/part';

const fieldNames: Record<string, string> = {
  diameter: 'diameter',
  end: 'right diameter',
  radius: 'radius',
  taper: 'taper',
  length: 'length',
  limits: 'limits',
  lengthLimits: 'limits of the length',
  finish: 'finish',
  faceFinish: 'finish of the faces',
  edges: 'edges',
  details: 'what is cut into it',
  kind: 'shape',
  name: 'name',
  hollow: 'side of the curve',
  unit: 'unit',
  generalClass: 'general tolerance',
  decimals: 'tolerances by decimals',
  overall: 'whole length',
  issue: 'version of the drawing',
  size: 'size',
};
const ofNames: Record<DrawingChange['of'], string> = {
  feature: 'Feature',
  hole: 'Hole',
  end: 'End',
  endView: 'End view',
  dimension: 'Size from a datum',
  geometry: 'Tolerance to a datum',
  mate: 'Mate',
  whole: 'Drawing',
};

/** What a change is of, by the name it is known by. */
function nameOf(change: DrawingChange, drawing: Drawing): string {
  if (change.of === 'end') return change.id === 'left' ? 'Headstock end' : 'Tailstock end';
  const all = [...drawing.features, ...drawing.bores.left, ...drawing.bores.right];
  const found = all.find((f) => f.id === change.id);
  if (!found) return ofNames[change.of];
  return found.name.trim() || `Ø${found.diameter.text.trim()}`;
}

/** A change of a drawing in a line. */
export function changeText(change: DrawingChange, before: Drawing, after: Drawing): string {
  const name = nameOf(change, change.kind === 'removed' ? before : after);
  switch (change.kind) {
    case 'added':
      return `+ ${name}: ${change.after}`;
    case 'removed':
      return `− ${name}: ${change.before}`;
    case 'moved':
      return `${name}: place ${change.before} → ${change.after}`;
    case 'changed': {
      const field = change.of === 'end' ? '' : `, ${fieldNames[change.field] ?? change.field}`;
      return `${name}${field}: ${change.before || 'none'} → ${change.after || 'none'}`;
    }
  }
}
