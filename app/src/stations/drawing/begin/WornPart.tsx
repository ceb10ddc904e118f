import type { Shop } from '@whelk/core/job';
import {
  type Drawing,
  insides,
  outsides,
  resolveDrawing,
  type WornCircle,
  type WornSketch,
  type WornSurface,
} from '@whelk/core/part';
import { type StripView, stripPicture } from '@whelk/core/picture';
import { formatLength, type LengthUnit, shortLength } from '@whelk/core/quantity';
import { drawingOfWorn, nextAsk, SPANS, seeCircle, seeSurface } from '@whelk/core/worn';
import { Plus, Trash2 } from 'lucide-react';
import { useMemo } from 'react';
import { askText, guessText, spanNames, stateNames, surfaceName } from '../../../messages/worn.ts';
import { TextField } from '../../../ui/number-field/TextField.tsx';
import { PictureView } from '../../../ui/strip/PictureView.tsx';
import { useWidth } from '../../../ui/useWidth.ts';
import { Working } from '../../../ui/working/Working.tsx';

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

function freshId(sketch: WornSketch, letter: 'w' | 'c'): string {
  const used = new Set([...sketch.surfaces, ...sketch.circles].map((s) => s.id));
  for (let i = 1; ; i++) if (!used.has(`${letter}${i}`)) return `${letter}${i}`;
}

/** A worn part on the bench becomes a drawing: surface by surface, what was read, what it was made to, or what it has to fit. */
export function WornPart({ unit, sketch = EMPTY, instruments, onSketch, onTake }: Props) {
  const { surfaces, circles } = sketch;
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
  const blank = { text: '', unit };
  const put = (i: number, change: Partial<WornSurface>, field: string) =>
    onSketch({ ...sketch, surfaces: surfaces.with(i, { ...surfaces[i]!, ...change }) }, `${surfaces[i]!.id}-${field}`);
  const putCircle = (i: number, change: Partial<WornCircle>, field: string) =>
    onSketch({ ...sketch, circles: circles.with(i, { ...circles[i]!, ...change }) }, `${circles[i]!.id}-${field}`);
  const add = (where: WornSurface['where']) => {
    const [least, most] = CLEARANCE[unit];
    const fresh: WornSurface = {
      ...{ id: freshId(sketch, 'w'), where, name: '', readings: '', state: 'worn', nominal: blank, length: blank },
      instrumentId: surfaces.at(-1)?.instrumentId ?? instruments[0]?.id ?? null,
      mate: { measured: blank, least, most },
    };
    onSketch({ ...sketch, surfaces: [...surfaces, fresh] }, 'worn-add');
  };
  const places = unit === 'mm' ? 3 : 4;
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
        {surfaces.map((s, i) => {
          const seen = seeSurface(s, unit);
          const inside = s.where !== 'outside';
          const tool = instruments.find((t) => t.id === s.instrumentId);
          const read = inside ? seen.readings?.smallestMm : seen.readings?.largestMm;
          return (
            <li
              key={s.id}
              className={`border-l-4 pl-3 ${s.id === next?.id ? 'border-[var(--now)]' : 'border-[var(--line)]'}`}
            >
              <div className="flex flex-wrap items-start gap-3 text-sm">
                <TextField
                  className="w-36"
                  label={surfaceName({ ...s, name: '' }, i)}
                  hint="name"
                  value={s.name}
                  onChange={(name) => put(i, { name: name.slice(0, 40) }, 'name')}
                />
                <label>
                  It is
                  <select
                    className="select mt-0.5 flex w-48"
                    value={s.state}
                    onChange={(e) => put(i, { state: e.target.value as WornSurface['state'], nominal: blank }, 'state')}
                  >
                    {(['worn', 'sound', 'mate'] as const).map((state) => (
                      <option key={state} value={state}>
                        {stateNames[state]}
                      </option>
                    ))}
                  </select>
                </label>
                {s.state === 'mate' ? (
                  <>
                    <TextField
                      className="w-36"
                      label={`Its mate measures, ${s.mate.measured.unit}`}
                      value={s.mate.measured.text}
                      problem={seen.problem}
                      onChange={(text) =>
                        put(i, { mate: { ...s.mate, measured: { ...s.mate.measured, text } } }, 'mate')
                      }
                    />
                    {(['least', 'most'] as const).map((key) => (
                      <TextField
                        key={key}
                        className="w-28"
                        label={key === 'least' ? `clearance, ${unit}` : `to, ${unit}`}
                        value={s.mate[key]}
                        onChange={(text) => put(i, { mate: { ...s.mate, [key]: text.slice(0, 64) } }, key)}
                      />
                    ))}
                  </>
                ) : (
                  <>
                    <label>
                      With
                      <select
                        className="select mt-0.5 flex w-48"
                        value={s.instrumentId ?? ''}
                        onChange={(e) => put(i, { instrumentId: e.target.value || null }, 'instrument')}
                      >
                        <option value="">not said</option>
                        {instruments.map((t) => (
                          <option key={t.id} value={t.id}>
                            {t.name}
                          </option>
                        ))}
                      </select>
                    </label>
                    <TextField
                      className="min-w-52 flex-1"
                      label={`Readings, ${unit}, one after the other`}
                      hint={unit === 'mm' ? '24.87 24.91 24.9' : '.979 .981 .980'}
                      value={s.readings}
                      problem={seen.problem}
                      onChange={(readings) => put(i, { readings: readings.slice(0, 200) }, 'readings')}
                    />
                  </>
                )}
                <TextField
                  className="w-32"
                  label={`${inside ? 'Depth' : 'Length'}, ${s.length.unit}`}
                  hint={inside ? 'through' : ''}
                  value={s.length.text}
                  onChange={(text) => put(i, { length: { ...s.length, text } }, 'length')}
                />
                <button
                  type="button"
                  className="quiet mt-6"
                  aria-label={`Remove ${surfaceName(s, i)}`}
                  onClick={() => onSketch({ ...sketch, surfaces: surfaces.toSpliced(i, 1) }, 'worn-remove')}
                >
                  <Trash2 size={16} aria-hidden="true" />
                </button>
              </div>
              <div className="mt-1 flex flex-wrap items-center gap-2 text-sm" aria-live="polite">
                {seen.readings && (
                  <span className="muted">
                    {inside ? 'smallest' : 'largest'} {formatLength(read!, unit, places)}
                    {tool ? ` ± ${shortLength(tool.uncertaintyMm, unit, places)}` : ''} {unit}
                    {seen.readings.mm.length > 1 ? `, spread ${shortLength(seen.readings.spreadMm, unit, places)}` : ''}
                    {' · made to'}
                  </span>
                )}
                {seen.guesses.slice(0, 5).map((g) => (
                  <button
                    key={guessText(g)}
                    type="button"
                    className="position"
                    aria-pressed={seen.size?.text === g.size.text && seen.size.unit === g.size.unit}
                    onClick={() => put(i, { nominal: g.size }, 'nominal')}
                    title={`${formatLength(g.mm, unit, places)} ${unit}`}
                  >
                    {guessText(g)}
                  </button>
                ))}
                {(seen.guesses.length > 0 || seen.readings) && (
                  <span className="flex items-center gap-1">
                    <label htmlFor={`nominal-${s.id}`}>or</label>
                    <input
                      id={`nominal-${s.id}`}
                      className="figure-cell w-20"
                      aria-label={`Size that ${surfaceName(s, i)} was made to, ${unit}`}
                      value={
                        seen.guesses.some((g) => g.size.text === s.nominal.text && g.size.unit === s.nominal.unit)
                          ? ''
                          : s.nominal.text
                      }
                      onChange={(e) => put(i, { nominal: { text: e.target.value.slice(0, 64), unit } }, 'nominal')}
                    />
                    {unit}
                  </span>
                )}
                {outsides(resolved.part).find((f) => f.id === s.id)?.limits.how === 'mate' && (
                  <span className="setting">
                    → {formatLength(outsides(resolved.part).find((f) => f.id === s.id)!.limits.upperMm, unit, places)} /{' '}
                    {formatLength(outsides(resolved.part).find((f) => f.id === s.id)!.limits.lowerMm, unit, places)}{' '}
                    {unit}
                  </span>
                )}
              </div>
            </li>
          );
        })}
      </ol>
      {circles.map((c, i) => {
        const circleMm = seeCircle(c);
        return (
          <fieldset
            key={c.id}
            className="mt-3 flex flex-wrap items-end gap-3 border-l-4 border-[var(--line)] pl-3 text-sm"
          >
            <legend className="visually-hidden">Holes on a circle {i + 1}</legend>
            <TextField
              className="w-24"
              label="Holes"
              inputMode="numeric"
              value={String(c.count)}
              onChange={(text) =>
                putCircle(i, { count: Math.min(100, Math.max(2, Number.parseInt(text, 10) || 2)) }, 'count')
              }
            />
            <TextField
              className="w-28"
              label={`Hole Ø, ${c.hole.unit}`}
              value={c.hole.text}
              onChange={(text) => putCircle(i, { hole: { ...c.hole, text } }, 'hole')}
            />
            <label>
              of
              <select
                className="select mt-0.5 flex w-36"
                value={c.way}
                onChange={(e) => putCircle(i, { way: e.target.value as 'neighbours' }, 'way')}
              >
                <option value="neighbours">neighbours</option>
                <option value="opposite" disabled={c.count % 2 === 1}>
                  opposite ones
                </option>
              </select>
            </label>
            <label>
              measured
              <select
                className="select mt-0.5 flex w-72"
                value={c.of}
                onChange={(e) => putCircle(i, { of: e.target.value as WornCircle['of'] }, 'of')}
              >
                {SPANS.map((of) => (
                  <option key={of} value={of}>
                    {spanNames[of]}
                  </option>
                ))}
              </select>
            </label>
            <TextField
              className="w-28"
              label={`Span, ${c.span.unit}`}
              value={c.span.text}
              onChange={(text) => putCircle(i, { span: { ...c.span, text } }, 'span')}
            />
            <p className="py-2" aria-live="polite">
              {circleMm === undefined ? (
                <span className="muted">their circle follows</span>
              ) : (
                <span className="setting">
                  → on Ø{formatLength(circleMm, unit, unit === 'mm' ? 2 : 3)} {unit}
                  <Working of={`Circle ${i + 1}`} tell={(record) => void seeCircle(c, record)} />
                </span>
              )}
            </p>
            <button
              type="button"
              className="quiet mb-1"
              aria-label={`Remove holes on a circle ${i + 1}`}
              onClick={() => onSketch({ ...sketch, circles: circles.toSpliced(i, 1) }, 'worn-remove')}
            >
              <Trash2 size={16} aria-hidden="true" />
            </button>
          </fieldset>
        );
      })}
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
            className={`btn btn-sm h-10 ${where === 'outside' && !next ? 'btn-primary' : ''}`}
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
          onClick={() =>
            onSketch(
              {
                ...sketch,
                circles: [
                  ...circles,
                  {
                    id: freshId(sketch, 'c'),
                    count: 4,
                    way: 'neighbours',
                    of: 'outsides',
                    span: blank,
                    hole: blank,
                    side: 'right',
                  },
                ],
              },
              'worn-circle',
            )
          }
        >
          <Plus size={15} aria-hidden="true" /> Holes on a circle
        </button>
        <button
          type="button"
          className="btn btn-primary ml-auto"
          disabled={
            surfaces.length === 0 || next !== undefined || resolved.problems.some((p) => p.severity !== 'warning')
          }
          onClick={() => onTake(drawing)}
        >
          Take this drawing
        </button>
      </div>
    </div>
  );
}
