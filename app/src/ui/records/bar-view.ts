import { materialIn, materialsOf, type WaitingBlanks } from '@whelk/core/job';
import type { Material } from '@whelk/core/material';
import { type LengthUnit, shortLength } from '@whelk/core/quantity';
import { BAR_SHAPES, type Bar, type BarShape, checkBar, SURFACES, type Surface } from '@whelk/core/stock';
import { barText, sectionNames, surfaceNames } from '../../messages/stock.ts';
import { fieldReader } from './read-fields.ts';
import type { RecordKindView } from './record-view.ts';

/** What jobs in hand still want of a bar: each with its blanks. */
function reservedText(bar: Bar, waiting: readonly WaitingBlanks[]): string {
  const { unit } = bar.length;
  return waiting
    .filter((w) => w.barId === bar.id)
    .map((w) => `${w.title}: ${w.count} × ${shortLength(w.lengthMm, unit, unit === 'mm' ? 1 : 2)} ${unit}`)
    .join('; ');
}

/** Bars and remnants of the rack as they are listed and typed. */
export const barView = (own: readonly Material[], waiting: readonly WaitingBlanks[] = []): RecordKindView<Bar> => ({
  kind: 'bar',
  name: 'Bars and remnants',
  columns: [
    {
      key: 'material',
      label: 'Material',
      show: (b) => materialIn({ materials: own }, b.materialId)?.name ?? b.materialId,
      edit: (b) => b.materialId,
      choices: materialsOf({ materials: own }).map(
        (m) => [m.id, `${m.name}${m.designations[0] ? `, ${m.designations[0]}` : ''}`] as const,
      ),
    },
    {
      key: 'shape',
      label: 'Section',
      show: (b) => barText(b),
      edit: (b) => b.shape ?? 'round',
      choices: BAR_SHAPES.map((s) => [s, sectionNames[s]] as const),
    },
    { key: 'diameter', label: 'Ø or across flats', show: () => '', edit: (b) => b.diameter.text, onlyTyped: true },
    { key: 'bore', label: 'Hole Ø (tube, cored)', show: () => '', edit: (b) => b.bore?.text ?? '', onlyTyped: true },
    {
      key: 'allowance',
      label: 'Casting: metal on every surface',
      show: () => '',
      edit: (b) => b.allowance?.text ?? '',
      onlyTyped: true,
    },
    {
      key: 'length',
      label: 'Length',
      short: true,
      show: (b) => `${b.pieces && b.pieces > 1 ? `${b.pieces} × ` : ''}${b.length.text} ${b.length.unit}`,
      edit: (b) => b.length.text,
    },
    {
      key: 'unit',
      label: 'Unit',
      show: (b) => b.diameter.unit,
      edit: (b) => b.diameter.unit,
      choices: [
        ['mm', 'mm'],
        ['in', 'inch'],
      ],
      onlyTyped: true,
    },
    { key: 'pieces', label: 'How many', show: () => '', edit: (b) => String(b.pieces ?? 1), onlyTyped: true },
    {
      key: 'surface',
      label: 'Surface',
      show: (b) =>
        `${surfaceNames[b.surface ?? (b.shape === 'casting' ? 'cast' : 'bright')]}${b.bowMmPerM === undefined ? '' : `, bowed ${b.bowMmPerM} mm/m`}`,
      edit: (b) => b.surface ?? 'bright',
      choices: SURFACES.map((s) => [s, surfaceNames[s]] as const),
    },
    {
      key: 'bow',
      label: 'Bow as measured, mm/m',
      show: () => '',
      onlyTyped: true,
      edit: (b) => (b.bowMmPerM === undefined ? '' : String(b.bowMmPerM)),
    },
    { key: 'reserved', label: 'Waited for by', show: (b) => reservedText(b, waiting), edit: () => '', onlyShown: true },
    { key: 'note', label: 'Where, note', show: (b) => b.note, edit: (b) => b.note },
  ],
  read: (texts, id) => {
    const fields = fieldReader(texts);
    const unit: LengthUnit = texts.unit === 'in' ? 'in' : 'mm';
    const shape = (texts.shape || 'round') as BarShape;
    const record: Bar = {
      id,
      materialId: texts.material ?? '',
      diameter: fields.typed('diameter', unit),
      length: fields.typed('length', unit),
      note: fields.text('note', 120, false),
      ...(shape === 'round' ? {} : { shape }),
      ...((texts.bore ?? '').trim() === '' ? {} : { bore: fields.typed('bore', unit) }),
      ...((texts.allowance ?? '').trim() === '' ? {} : { allowance: fields.typed('allowance', unit) }),
      ...((texts.surface ?? 'bright') === 'bright' ? {} : { surface: texts.surface as Surface }),
      ...((texts.bow ?? '').trim() === '' ? {} : { bowMmPerM: fields.number('bow', 0, 50) }),
    };
    const pieces = (texts.pieces ?? '').trim() === '' ? 1 : fields.number('pieces', 1, 1000, true);
    if (pieces > 1) Object.assign(record, { pieces });
    if (Object.keys(fields.problems).length === 0)
      for (const problem of checkBar(record)) fields.problems[String(problem.path[0])] = problem;
    return Object.keys(fields.problems).length > 0 ? { ok: false, problems: fields.problems } : { ok: true, record };
  },
});
