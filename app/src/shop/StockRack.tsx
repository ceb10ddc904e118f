import { materialIn, materialsOf } from '@whelk/core/job';
import type { Material } from '@whelk/core/material';
import type { LengthUnit } from '@whelk/core/quantity';
import type { Bar } from '@whelk/core/stock';
import { useMemo } from 'react';
import { type RecordKindView, RecordTable } from './RecordTable.tsx';
import { fieldReader } from './read-fields.ts';

const viewWith = (own: readonly Material[]): RecordKindView<Bar> => ({
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
    { key: 'diameter', label: 'Ø', show: (b) => `${b.diameter.text} ${b.diameter.unit}`, edit: (b) => b.diameter.text },
    { key: 'length', label: 'Length', show: (b) => `${b.length.text} ${b.length.unit}`, edit: (b) => b.length.text },
    {
      key: 'unit',
      label: 'Unit',
      show: (b) => b.diameter.unit,
      edit: (b) => b.diameter.unit,
      choices: [
        ['mm', 'mm'],
        ['in', 'inch'],
      ],
    },
    { key: 'note', label: 'Where, note', show: (b) => b.note, edit: (b) => b.note },
  ],
  read: (texts, id) => {
    const fields = fieldReader(texts);
    const unit: LengthUnit = texts.unit === 'in' ? 'in' : 'mm';
    const record: Bar = {
      id,
      materialId: texts.material ?? '',
      diameter: fields.typed('diameter', unit),
      length: fields.typed('length', unit),
      note: fields.text('note', 120, false),
    };
    return Object.keys(fields.problems).length > 0 ? { ok: false, problems: fields.problems } : { ok: true, record };
  },
});

/** The stock rack as a list. */
export default function StockRack({ bars, own }: { bars: readonly Bar[]; own: readonly Material[] }) {
  return <RecordTable view={useMemo(() => viewWith(own), [own])} given={bars} />;
}
