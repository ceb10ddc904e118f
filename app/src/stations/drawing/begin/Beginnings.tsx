import type { Shop } from '@whelk/core/job';
import type { Drawing, WornSketch } from '@whelk/core/part';
import { type ComponentType, lazy, Suspense, useState } from 'react';
import { PatternChoice } from './PatternChoice.tsx';

interface Way {
  readonly unit: 'mm' | 'in';
  readonly onTake: (drawing: Drawing) => void;
}
interface Props extends Way {
  /** what was measured so far at a worn part */
  readonly sketch: WornSketch | undefined;
  readonly instruments: Shop['instruments'];
  readonly onSketch: (sketch: WornSketch, field: string) => void;
}
// what few drawings begin with is not loaded before it is wanted
const DxfMapping = lazy(() =>
  import('./DxfMapping.tsx').then((m) => ({ default: m.DxfMapping as ComponentType<Way> })),
);

const WornPart = lazy(() => import('./WornPart.tsx').then((m) => ({ default: m.WornPart })));

const WAYS = [
  ['pattern', 'A pattern'],
  ['dxf', 'A DXF file'],
  ['worn', 'A worn part'],
] as const;

/** The ways a drawing can begin besides typing it: a pattern, a file, a worn part. What was drawn before comes back with Undo. */
export function Beginnings({ unit, onTake, ...worn }: Props) {
  const [way, setWay] = useState<(typeof WAYS)[number][0]>(
    (worn.sketch?.surfaces.length ?? 0) > 0 ? 'worn' : 'pattern',
  );
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
        {way === 'worn' && <WornPart unit={unit} onTake={onTake} {...worn} />}
      </Suspense>
    </section>
  );
}
