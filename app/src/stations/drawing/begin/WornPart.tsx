import type { Shop } from '@whelk/core/job';
import {
  type Drawing,
  insides,
  outsides,
  resolveDrawing,
  type WornCircle,
  type WornRadial,
  type WornSketch,
  type WornSurface,
} from '@whelk/core/part';
import { type StripView, stripPicture } from '@whelk/core/picture';
import { type LengthUnit, shortLength } from '@whelk/core/quantity';
import { drawingOfWorn, nextAsk, outsideAt } from '@whelk/core/worn';
import { Plus } from 'lucide-react';
import { useMemo } from 'react';
import { askText, surfaceName } from '../../../messages/worn.ts';
import { PictureView } from '../../../ui/strip/PictureView.tsx';
import { useWidth } from '../../../ui/useWidth.ts';
import { WornCircleRow } from './WornCircleRow.tsx';
import { WornRadialRow } from './WornRadialRow.tsx';
import { WornSurfaceRow } from './WornSurfaceRow.tsx';

interface Props {
  readonly unit: LengthUnit;
  readonly sketch: WornSketch | undefined;
  readonly instruments: Shop['instruments'];
  readonly onSketch: (sketch: WornSketch, field: string) => void;
  readonly onTake: (drawing: Drawing) => void;
}
const EMPTY: WornSketch = { surfaces: [], circles: [] };
const CLEARANCE = { mm: ['0.02', '0.05'], in: ['.001', '.002'] } as const;

/** A diameter with its unit where it is not the drawing's. */
const sizeLabel = (size: { text: string; unit: string }, unit: LengthUnit): string =>
  `Ø${size.text}${size.unit === unit ? '' : ` ${size.unit}`}`;

function freshId(sketch: WornSketch, letter: 'w' | 'c' | 'r'): string {
  const used = new Set([...sketch.surfaces, ...sketch.circles, ...(sketch.radials ?? [])].map((s) => s.id));
  for (let i = 1; ; i++) if (!used.has(`${letter}${i}`)) return `${letter}${i}`;
}

/** A worn part on the bench becomes a drawing: surface by surface, what was read, what it was made to, or what it has to fit. */
export function WornPart({ unit, sketch = EMPTY, instruments, onSketch, onTake }: Props) {
  const { surfaces, circles, radials = [] } = sketch;
  const drawing = useMemo(() => drawingOfWorn(sketch, unit), [sketch, unit]);
  const resolved = useMemo(() => resolveDrawing(drawing), [drawing]);
  const next = nextAsk(sketch, unit);
  const asked = surfaces.findIndex((s) => s.id === next?.id);
  const [ref, width] = useWidth<HTMLDivElement>(1200);
  const picture = useMemo(() => {
    const view: StripView = {
      ...{
        width,
        height: insides(resolved.part).length > 0 ? 240 : 190,
        textSize: 15,
        selectedId: next?.id,
        besides: true,
      },
      labels: outsides(resolved.part).map((f) => ({
        id: f.id,
        text: sizeLabel(drawing.features[f.index]!.diameter, unit),
      })),
      overall: outsides(resolved.part).length > 0 ? `${shortLength(resolved.part.lengthMm, unit, 3)} ${unit}` : '',
    };
    return stripPicture(resolved.part, view);
  }, [resolved, drawing, next?.id, unit, width]);
  const limitsOf = (id: string) => {
    const limits = outsides(resolved.part).find((f) => f.id === id)?.limits;
    return limits?.how === 'mate' ? limits : undefined;
  };
  return (
    <div className="text-left" ref={ref}>
      {surfaces.length === 0 ? (
        <p>
          Lay the worn part down as it will be turned, headstock end to the left, and begin with its first diameter.
        </p>
      ) : (
        <>
          <div className="sheet">
            <PictureView
              picture={picture}
              label={`The copy so far: ${outsides(resolved.part).length} of ${surfaces.filter((s) => s.where === 'outside').length} diameters known`}
              textSize={15}
            />
          </div>
          <p className="mt-2 text-lg font-bold" role="status">
            {next ? `${surfaceName(surfaces[asked]!, asked)}: ` : '✓ '}
            <span className="font-normal">{askText(next?.ask ?? 'done', surfaces[Math.max(0, asked)]!)}</span>
          </p>
        </>
      )}
      <ol className="mt-2 flex flex-col gap-3" aria-label="Surfaces from the headstock end">
        {surfaces.map((s, i) => (
          <WornSurfaceRow
            key={s.id}
            surface={s}
            at={i}
            now={s.id === next?.id}
            {...{ unit, instruments }}
            limits={limitsOf(s.id)}
            put={(change, field) =>
              onSketch({ ...sketch, surfaces: surfaces.with(i, { ...s, ...change }) }, `${s.id}-${field}`)
            }
            onRemove={() => onSketch({ ...sketch, surfaces: surfaces.toSpliced(i, 1) }, 'worn-remove')}
          />
        ))}
      </ol>
      {circles.map((c, i) => (
        <WornCircleRow
          key={c.id}
          circle={c}
          at={i}
          unit={unit}
          put={(change, field) =>
            onSketch({ ...sketch, circles: circles.with(i, { ...c, ...change }) }, `${c.id}-${field}`)
          }
          onRemove={() => onSketch({ ...sketch, circles: circles.toSpliced(i, 1) }, 'worn-remove')}
        />
      ))}
      {radials.map((r, i) => (
        <WornRadialRow
          key={r.id}
          radial={r}
          at={i}
          outsideMm={outsideAt(drawing.features, r)}
          put={(change, field) =>
            onSketch({ ...sketch, radials: radials.with(i, { ...r, ...change }) }, `${r.id}-${field}`)
          }
          onRemove={() => onSketch({ ...sketch, radials: radials.toSpliced(i, 1) }, 'worn-remove')}
        />
      ))}
      <Adding
        {...{ unit, sketch, instruments, onSketch }}
        done={next === undefined}
        ready={surfaces.length > 0 && next === undefined && !resolved.problems.some((p) => p.severity !== 'warning')}
        onTake={() => onTake(drawing)}
      />
    </div>
  );
}

/** What can be added to the copy, and taking it as the drawing. */
function Adding({
  unit,
  sketch,
  instruments,
  onSketch,
  done,
  ready,
  onTake,
}: Pick<Props, 'unit' | 'instruments' | 'onSketch'> & {
  sketch: WornSketch;
  /** nothing is asked any more */
  done: boolean;
  ready: boolean;
  onTake: () => void;
}) {
  const { surfaces, circles } = sketch;
  const blank = { text: '', unit };
  const add = (where: WornSurface['where']) => {
    const [least, most] = CLEARANCE[unit];
    const fresh: WornSurface = {
      ...{ id: freshId(sketch, 'w'), where, name: '', readings: '', state: 'worn', nominal: blank, length: blank },
      instrumentId: surfaces.at(-1)?.instrumentId ?? instruments[0]?.id ?? null,
      mate: { measured: blank, least, most },
    };
    onSketch({ ...sketch, surfaces: [...surfaces, fresh] }, 'worn-add');
  };
  const addCircle = () => {
    const fresh: WornCircle = {
      ...{ id: freshId(sketch, 'c'), count: 4, way: 'neighbours', of: 'outsides', side: 'right' },
      ...{ span: blank, hole: blank },
    };
    onSketch({ ...sketch, circles: [...circles, fresh] }, 'worn-circle');
  };
  const addRadial = () => {
    const fresh: WornRadial = {
      ...{ id: freshId(sketch, 'r'), of: 'outsides', place: blank, hole: blank, depth: blank, span: blank },
    };
    onSketch({ ...sketch, radials: [...(sketch.radials ?? []), fresh] }, 'worn-radial');
  };
  return (
    <div className="mt-3 flex flex-wrap gap-2">
      {(
        [
          ['outside', surfaces.some((s) => s.where === 'outside') ? 'Next diameter' : 'First diameter'],
          ['left', 'Hole from the headstock end'],
          ['right', 'Hole from the tailstock end'],
        ] as const
      ).map(([where, name]) => (
        <button
          key={where}
          type="button"
          className={`btn btn-sm h-10 ${where === 'outside' && done ? 'btn-primary' : ''}`}
          disabled={surfaces.length >= 60 || (where !== 'outside' && surfaces.length === 0)}
          onClick={() => add(where)}
        >
          <Plus size={15} aria-hidden="true" /> {name}
        </button>
      ))}
      <button
        type="button"
        className="btn btn-sm h-10"
        disabled={surfaces.length === 0 || circles.length >= 20}
        onClick={addCircle}
      >
        <Plus size={15} aria-hidden="true" /> Holes on a circle
      </button>
      <button
        type="button"
        className="btn btn-sm h-10"
        disabled={surfaces.length === 0 || (sketch.radials ?? []).length >= 20}
        onClick={addRadial}
      >
        <Plus size={15} aria-hidden="true" /> Hole across
      </button>
      <button type="button" className="btn btn-primary ml-auto" disabled={!ready} onClick={onTake}>
        Take this drawing
      </button>
    </div>
  );
}
