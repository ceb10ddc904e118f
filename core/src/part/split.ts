import { exactText, inUnit, rational, readTyped, type TypedLength } from '../quantity/index.ts';
import type { Feature } from './drawing.ts';
import { outsideShape } from './shape/outside.ts';
import type { Outside } from './surface.ts';

/** Half of a length, as exactly as it was typed: decimals where they end, else a fraction. */
function half(length: TypedLength, lengthMm: number): TypedLength {
  const read = readTyped(length);
  const mm = (read.ok ? read.mm : rational(Number(lengthMm.toFixed(6)))).div(2);
  const text = exactText(mm, length.unit).replace(/ (mm|in)$/, '');
  return { text: inUnit(mm, length.unit).equals(0) ? length.text : text, unit: length.unit };
}

/**
 * One straight length or taper made into two of half its length; what is cut into it and its edges stay at their ends.
 * @param made the feature as it was solved
 * @param id of the right half
 * @returns both halves, or undefined for shapes that have no middle to be cut at
 */
export function splitFeature(feature: Feature, made: Outside, id: string): readonly [Feature, Feature] | undefined {
  const { halves, ends } = outsideShape(feature.kind);
  if (!halves) return undefined;
  const length = half(feature.length, made.zToMm - made.zFromMm);
  const rest = feature.length.text.trim() === '' ? feature.length : length;
  const [left, right]: [Feature, Feature] = [
    {
      ...feature,
      length,
      edges: { ...feature.edges, right: '' },
      details: feature.details.filter((d) => d.from === 'left'),
    },
    {
      ...feature,
      ...{ id, name: '', length: rest, edges: { ...feature.edges, left: '' } },
      details: feature.details.filter((d) => d.from === 'right'),
    },
  ];
  if (!ends) return [left, right];
  // its middle is a diameter of its own; the slope goes on by both diameters
  const middleMm = rational(Number(((made.leftMm + made.rightMm) / 2).toFixed(6)));
  const middle = {
    text: exactText(middleMm, feature.diameter.unit).replace(/ (mm|in)$/, ''),
    unit: feature.diameter.unit,
  };
  const endMm = rational(Number(made.rightMm.toFixed(6)));
  const end = feature.end?.text.trim()
    ? feature.end
    : { text: exactText(endMm, feature.diameter.unit).replace(/ (mm|in)$/, ''), unit: feature.diameter.unit };
  return [
    { ...left, end: middle, taper: '' },
    { ...right, diameter: middle, limits: '', end, taper: '' },
  ];
}
