import { type Drawing, PATTERNS, patternDrawing, resolveDrawing } from '@whelk/core/part';
import { silhouettePicture } from '@whelk/core/picture';
import { useMemo } from 'react';
import { patternNames } from '../../../messages/shapes.ts';
import { PictureView } from '../../../ui/strip/PictureView.tsx';

/** Parts to begin from, each as its own silhouette; sizes are round ones of the unit and there to be typed over. */
export function PatternChoice({ unit, onTake }: { unit: 'mm' | 'in'; onTake: (drawing: Drawing) => void }) {
  const patterns = useMemo(() => PATTERNS.map((name) => ({ name, drawing: patternDrawing(name, unit) })), [unit]);
  return (
    <ul className="grid grid-cols-2 gap-3 text-left md:grid-cols-3" aria-label="Patterns">
      {patterns.map(({ name, drawing }) => (
        <li key={name}>
          <button type="button" className="sheet w-full cursor-pointer p-3 text-left" onClick={() => onTake(drawing)}>
            <PictureView
              picture={silhouettePicture(resolveDrawing(drawing).part, 300, 96, unit)}
              label=""
              textSize={12}
            />
            <span className="font-bold">{patternNames[name]}</span>
          </button>
        </li>
      ))}
    </ul>
  );
}
