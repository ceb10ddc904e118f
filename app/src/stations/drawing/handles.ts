import { type Drawing, type Feature, outsides, type Part, sizedAt, snapped } from '@whelk/core/part';
import { type LengthUnit, readTyped, type TypedLength } from '@whelk/core/quantity';
import type { Handle } from '../../ui/strip/StripHandles.tsx';

/** A step of an arrow key: what the pointer would snap to next. */
function stepped(valueMm: number, by: 0 | 1 | -1, unit: LengthUnit, unitsPerMm: number): TypedLength {
  for (let k = 1; k <= 400; k++) {
    const next = snapped(Math.max(0.01, valueMm + (by * k * 2) / unitsPerMm), unit, unitsPerMm, []);
    const read = readTyped(next);
    if (read.ok && Math.abs(read.mm.valueOf() - valueMm) > 1e-6) return next;
  }
  return snapped(valueMm, unit, unitsPerMm, []);
}

/** Grips of the selected feature: its end along the axis changes its length, its top its diameter. */
export function handlesOf(
  part: Part,
  drawing: Drawing,
  selected: string | undefined,
  onChange: (at: number, feature: Feature, field: string) => void,
): readonly Handle[] {
  const turned = outsides(part).find((f) => f.id === selected);
  const feature = turned && drawing.features[turned.index];
  if (!turned || !feature) return [];
  const others = drawing.features.filter((f) => f.id !== feature.id);
  const put =
    (key: 'diameter' | 'length', near: readonly TypedLength[]) =>
    (aboutMm: number, unitsPerMm: number, by: 0 | 1 | -1) => {
      const { unit } = feature[key];
      const next =
        by === 0
          ? snapped(
              Math.max(0.01, aboutMm),
              unit,
              unitsPerMm,
              near.filter((t) => t.unit === unit),
            )
          : stepped(aboutMm, by, unit, unitsPerMm);
      if (next.text !== feature[key].text)
        onChange(turned.index, { ...feature, [key]: next }, `${feature.id}-${key}-drag`);
    };
  const name = feature.name.trim() || `Ø${feature.diameter.text}`;
  const along: Handle = {
    ...{ key: `${feature.id}-length`, label: `Length of ${name}, ${feature.length.unit}`, way: 'along' },
    unit: feature.length.unit,
    ...{ zMm: turned.zToMm, rMm: turned.rightMm / 4, valueMm: turned.zToMm - turned.zFromMm },
    onMove: put(
      'length',
      others.map((f) => f.length),
    ),
  };
  const sized = sizedAt(turned);
  const across: Handle = {
    ...{ key: `${feature.id}-diameter`, label: `Diameter of ${name}, ${feature.diameter.unit}`, way: 'across' },
    unit: feature.diameter.unit,
    ...{ zMm: sized.zMm, rMm: sized.diameterMm / 2, valueMm: sized.diameterMm },
    onMove: put(
      'diameter',
      others.map((f) => f.diameter),
    ),
  };
  return turned.kind === 'ball' ? [across] : [along, across];
}
