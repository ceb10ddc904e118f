import type { Drawing } from '@whelk/core/part';
import { type ComponentType, lazy, Suspense, useState } from 'react';
import { PatternChoice } from './PatternChoice.tsx';

interface Way {
  readonly unit: 'mm' | 'in';
  readonly onTake: (drawing: Drawing) => void;
}
// what few drawings begin with is not loaded before it is wanted
const DxfMapping = lazy(() =>
  import('./DxfMapping.tsx').then((m) => ({ default: m.DxfMapping as ComponentType<Way> })),
);

const WAYS = [
  ['pattern', 'A pattern'],
  ['dxf', 'A DXF file'],
] as const;

/** The ways a drawing can begin besides typing it: a pattern, a file. What was drawn before comes back with Undo. */
export function Beginnings({ unit, onTake }: Way) {
  const [way, setWay] = useState<(typeof WAYS)[number][0]>('pattern');
  return (
    <section aria-label="Begin from" className="mt-4">
      <div className="mb-3 flex flex-wrap justify-center gap-2">
        {WAYS.map(([key, name]) => (
          <button key={key} type="button" className="position" aria-pressed={way === key} onClick={() => setWay(key)}>
            {name}
          </button>
        ))}
      </div>
      {way === 'pattern' && <PatternChoice unit={unit} onTake={onTake} />}
      <Suspense fallback={<p className="muted">One moment …</p>}>
        {way === 'dxf' && <DxfMapping unit={unit} onTake={onTake} />}
      </Suspense>
    </section>
  );
}
