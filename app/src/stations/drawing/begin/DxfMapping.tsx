import { type Drawing, insides, resolveDrawing } from '@whelk/core/part';
import { type LengthUnit, shortLength } from '@whelk/core/quantity';
import { type AxisReason, mappingPicture, type Placing } from '@whelk/core/trace';
import { useEffect, useMemo, useState } from 'react';
import { axisReason, dxfHow } from '../../../messages/exchange.ts';
import { wordProblem } from '../../../messages/problems.ts';
import { TextField } from '../../../ui/number-field/TextField.tsx';
import { PictureView } from '../../../ui/strip/PictureView.tsx';
import { Problems } from '../../frame/Problems.tsx';
import { CURVE_TOLERANCE, useDxfFile } from './useDxfFile.ts';

const UNITS = [
  [1, 'millimetres'],
  [25.4, 'inches'],
  [10, 'centimetres'],
  [1000, 'metres'],
  [304.8, 'feet'],
] as const;

/** What one millimetre of a file drawn to a scale is in the part: `1:2` doubles, `2:1` halves; undefined: no scale. */
function scaleOf(text: string): number | undefined {
  if (text.trim() === '') return 1;
  const read = /^(\d{1,4}(?:[.,]\d{1,4})?)\s*[:/]\s*(\d{1,4}(?:[.,]\d{1,4})?)$/.exec(text.trim());
  if (!read) return undefined;
  const [paper, part] = [read[1]!, read[2]!].map((t) => Number(t.replace(',', '.')));
  return paper! > 0 && part! > 0 ? part! / paper! : undefined;
}

/** A DXF file on its way to a drawing: what was understood of it, what was not, and how it lies on the axis. */
export function DxfMapping({ unit, onTake }: { unit: LengthUnit; onTake: (drawing: Drawing) => void }) {
  const { file, mapped, open, axis, map, close } = useDxfFile();
  const [layers, setLayers] = useState<readonly string[]>([]);
  const [placing, setPlacing] = useState<Placing>({ mmPerUnit: 1, along: 'x', axis: 0, turned: false, below: false });
  const [why, setWhy] = useState<AxisReason>();
  const [axisText, setAxisText] = useState('');
  const [scaleText, setScaleText] = useState('');
  const read = file?.read;
  const scale = scaleOf(scaleText);
  const axisFault = axisText.trim() !== '' && !Number.isFinite(Number(axisText.replace(',', '.')));

  /** What layers and way are chosen decides where the axis probably is, until it is typed. */
  const settle = async (chosen: readonly string[], along: 'x' | 'y', typed: string) => {
    const guess = await axis(chosen, along);
    const given = typed.trim() === '' ? undefined : Number(typed.replace(',', '.'));
    setWhy(given === undefined ? guess?.why : undefined);
    const below = given === undefined ? (guess?.below ?? false) : undefined;
    setPlacing((p) => ({
      ...p,
      along,
      below: below ?? p.below,
      axis: Number.isFinite(given) ? given! : (guess?.axis ?? 0),
    }));
  };
  const take = async (list: FileList | null) => {
    const chosen = list?.[0];
    if (!chosen) return;
    const made = await open(chosen);
    if (!made) return;
    const names = made.layers.filter((l) => l.chosen).map((l) => l.name);
    setLayers(names);
    setAxisText('');
    setScaleText('');
    setPlacing({
      mmPerUnit: made.mmPerUnit ?? (unit === 'mm' ? 1 : 25.4),
      along: 'x',
      axis: 0,
      turned: false,
      below: false,
    });
    await settle(names, 'x', '');
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: the worker is asked anew when what it is asked changes
  useEffect(() => {
    if (read && scale) void map(layers, { ...placing, mmPerUnit: placing.mmPerUnit * scale }, unit);
  }, [read, layers, placing, unit, scale]);
  const picture = useMemo(
    () =>
      read &&
      mappingPicture(
        read.strokes,
        (s) => layers.includes(s.layer),
        { ...placing, mmPerUnit: placing.mmPerUnit * (scale ?? 1) },
        mapped?.traced,
        {
          width: 820,
          height: 330,
        },
      ),
    [read, layers, placing, scale, mapped],
  );
  const checked = useMemo(() => mapped && resolveDrawing(mapped.drawing), [mapped]);
  const faults = [...(mapped?.problems ?? []), ...(checked?.problems ?? []).filter((p) => p.code !== 'drawing.empty')];
  const stops = faults.some((p) => p.severity !== 'warning') || !mapped || mapped.drawing.features.length === 0;
  return (
    <div className="text-left">
      <label className="block">
        <span className="font-bold">DXF file</span>{' '}
        <span className="muted text-sm">
          the outline of the part, half or whole, anywhere on the sheet; it is read here and not sent anywhere
        </span>
        <input
          type="file"
          accept=".dxf,image/vnd.dxf"
          className="file-input mt-1 block h-11 w-full max-w-md"
          onChange={(e) => void take(e.target.files)}
        />
      </label>
      {file?.state === 'reading' && (
        <p role="status" className="mt-2">
          Reading {file.name} …{' '}
          <button type="button" className="quiet" onClick={close}>
            Stop
          </button>
        </p>
      )}
      {(file?.refusal || file?.state === 'gaveUp') && (
        <p role="alert" className="field-problem mt-2 text-base">
          {file.refusal
            ? Object.values(wordProblem({ ...file.refusal, path: [] })).join(' ')
            : 'Reading took too long and was stopped. Save the outline alone, without hatching and notes.'}
        </p>
      )}
      {read && picture && (
        <div className="mt-3 grid gap-x-6 gap-y-3 lg:grid-cols-[1fr_19rem]">
          <div>
            <div className="sheet mapping">
              <PictureView
                picture={picture}
                label={`${file?.name}: ${read.strokes.length} lines and arcs; ${mapped?.traced.used.outline ?? 0} of them form the outline`}
                textSize={13}
              />
            </div>
            <p className="muted mt-1 text-sm">
              Thick: the outline that was found. Plain: chosen layers. Thin: left aside.
            </p>
            <Problems problems={faults.slice(0, 6)} />
            {checked && !stops && (
              <p className="setting mt-1">
                ✓ {mapped?.drawing.features.length} lengths outside
                {insides(checked.part).length > 0 ? `, ${insides(checked.part).length} steps inside` : ''};{' '}
                {shortLength(checked.part.lengthMm, unit, unit === 'mm' ? 3 : 4)} {unit} long, Ø
                {shortLength(checked.part.largestMm, unit, unit === 'mm' ? 3 : 4)} {unit}
              </p>
            )}
            <button
              type="button"
              className="btn btn-primary mt-3"
              disabled={stops}
              onClick={() => mapped && onTake(mapped.drawing)}
            >
              Take this drawing
            </button>
          </div>
          <div className="flex flex-col gap-3">
            <label className="text-sm">
              Figures in the file are
              <select
                className="select mt-0.5 flex w-full"
                value={placing.mmPerUnit}
                onChange={(e) => setPlacing({ ...placing, mmPerUnit: Number(e.target.value) })}
              >
                {UNITS.map(([mm, name]) => (
                  <option key={mm} value={mm}>
                    {name}
                    {read.mmPerUnit === mm ? ', as the file says' : ''}
                  </option>
                ))}
                {!UNITS.some(([mm]) => mm === placing.mmPerUnit) && (
                  <option value={placing.mmPerUnit}>{placing.mmPerUnit} mm each, as the file says</option>
                )}
              </select>
              {read.mmPerUnit === undefined && (
                <span className="field-warning mt-1 block">The file does not say: check a size you know.</span>
              )}
            </label>
            <TextField
              label="Drawn at scale"
              value={scaleText}
              hint="1:1"
              problem={scale ? undefined : { code: 'trace.scale', path: [], value: scaleText }}
              onChange={setScaleText}
            />
            <fieldset className="text-sm">
              <legend>The axis lies</legend>
              <div className="mt-0.5 flex flex-wrap gap-2">
                {(['x', 'y'] as const).map((along) => (
                  <button
                    key={along}
                    type="button"
                    className="position"
                    aria-pressed={placing.along === along}
                    onClick={() => void settle(layers, along, axisText)}
                  >
                    {along === 'x' ? 'level' : 'upright'}
                  </button>
                ))}
                <button
                  type="button"
                  className="position"
                  aria-pressed={placing.turned}
                  onClick={() => setPlacing({ ...placing, turned: !placing.turned })}
                >
                  ends changed over
                </button>
                <button
                  type="button"
                  className="position"
                  aria-pressed={placing.below}
                  onClick={() => setPlacing({ ...placing, below: !placing.below })}
                >
                  other half
                </button>
              </div>
            </fieldset>
            <TextField
              label={`Axis at ${placing.along === 'x' ? 'Y' : 'X'}, in the file’s figures`}
              value={axisText}
              hint={String(Number(placing.axis.toFixed(4)))}
              note={why && axisReason[why]}
              problem={axisFault ? { code: 'length.notALength', path: [], value: axisText } : undefined}
              inputMode="decimal"
              onChange={(text) => {
                setAxisText(text);
                if (text.trim() === '' || Number.isFinite(Number(text.replace(',', '.'))))
                  void settle(layers, placing.along, text);
              }}
            />
            <fieldset className="text-sm">
              <legend>Layers of the outline</legend>
              {read.layers.slice(0, 24).map((l) => (
                <label key={l.name} className="flex min-h-8 items-center gap-2">
                  <input
                    type="checkbox"
                    className="h-4 w-4"
                    checked={layers.includes(l.name)}
                    onChange={(e) => {
                      const next = e.target.checked ? [...layers, l.name] : layers.filter((n) => n !== l.name);
                      setLayers(next);
                      void settle(next, placing.along, axisText);
                    }}
                  />
                  <span className="break-all">{l.name}</span> <span className="muted">{l.count}</span>
                </label>
              ))}
            </fieldset>
            <div className="text-sm">
              <h3 className="font-bold">What was read</h3>
              <ul aria-label="What was read">
                {read.counts.map((c) => (
                  <li key={`${c.type}${c.how}`}>
                    {c.how === 'taken' || c.how === 'followed' ? '✓' : '–'} {c.count} {c.type.toLowerCase()}:{' '}
                    <span className="muted">{dxfHow[c.how]}</span>
                  </li>
                ))}
              </ul>
              {mapped && mapped.traced.used.left > 0 && (
                <p className="mt-1">
                  {mapped.traced.used.left} lines and arcs of the chosen layers are not part of the outline.
                </p>
              )}
              {read.counts.some((c) => c.how === 'followed') && (
                <p className="muted">Curves are followed within {CURVE_TOLERANCE} of the file’s unit.</p>
              )}
            </div>
          </div>
        </div>
      )}
    </div>
  );
}
