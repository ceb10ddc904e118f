import { type Drawing, insides, resolveDrawing } from '@whelk/core/part';
import { type LengthUnit, type Problem, shortLength } from '@whelk/core/quantity';
import { type AxisReason, mappingPicture, type Placing } from '@whelk/core/trace';
import { useEffect, useMemo, useState } from 'react';
import { axisReason } from '../../../messages/exchange.ts';
import { wordProblem } from '../../../messages/problems.ts';
import { TextField } from '../../../ui/number-field/TextField.tsx';
import { PictureView } from '../../../ui/strip/PictureView.tsx';
import { Problems } from '../../frame/Problems.tsx';
import { AxisWay, FileUnit, Layers, WhatWasRead } from './DxfChoices.tsx';
import { useDxfFile } from './useDxfFile.ts';

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
      <Reading file={file} onStop={close} />
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
            <Understood {...{ faults, mapped, unit }} checked={stops ? undefined : checked} />
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
            <FileUnit {...{ read, placing, setPlacing }} />
            <TextField
              label="Drawn at scale"
              value={scaleText}
              hint="1:1"
              problem={scale ? undefined : { code: 'trace.scale', path: [], value: scaleText }}
              onChange={setScaleText}
            />
            <AxisWay {...{ placing, setPlacing }} onAlong={(along) => void settle(layers, along, axisText)} />
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
            <Layers
              {...{ read, layers }}
              onChange={(next) => {
                setLayers(next);
                void settle(next, placing.along, axisText);
              }}
            />
            <WhatWasRead {...{ read, mapped }} />
          </div>
        </div>
      )}
    </div>
  );
}

type Read = ReturnType<typeof useDxfFile>;

/** That a file is being read, or why it was not. */
function Reading({ file, onStop: close }: { file: Read['file']; onStop: () => void }) {
  return (
    <>
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
    </>
  );
}

/** What of the file became the outline, and what is wrong with that. */
function Understood({
  faults,
  mapped,
  unit,
  checked,
}: {
  faults: readonly Problem[];
  mapped: Read['mapped'];
  unit: LengthUnit;
  /** the drawing that it makes, where it can be taken */
  checked: ReturnType<typeof resolveDrawing> | undefined;
}) {
  return (
    <>
      <p className="muted mt-1 text-sm">Thick: the outline that was found. Plain: chosen layers. Thin: left aside.</p>
      <Problems problems={faults.slice(0, 6)} />
      {checked && (
        <p className="setting mt-1">
          ✓ {mapped?.drawing.features.length} lengths outside
          {insides(checked.part).length > 0 ? `, ${insides(checked.part).length} steps inside` : ''};{' '}
          {shortLength(checked.part.lengthMm, unit, unit === 'mm' ? 3 : 4)} {unit} long, Ø
          {shortLength(checked.part.largestMm, unit, unit === 'mm' ? 3 : 4)} {unit}
        </p>
      )}
    </>
  );
}
