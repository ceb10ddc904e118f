import { TOOL_MATERIALS } from '@whelk/core/material';
import {
  checkHolder,
  checkInsert,
  type HolderRecord,
  type InsertRecord,
  isCodeFault,
  readHolder,
  readInsert,
} from '@whelk/core/tool';
import { clampingNames, formNames } from '../messages/inserts.ts';
import { toolMaterialNames } from '../messages/words.ts';
import { fieldReader } from '../ui/records/read-fields.ts';
import type { RecordKindView } from '../ui/records/record-view.ts';

/** Keys that the form has for what the checks name. */
const formKey: Readonly<Record<string, string>> = { leastBoreMm: 'least', usedEdges: 'used' };

/** Holders and boring bars by their designations. */
export const holdersView: RecordKindView<HolderRecord> = {
  kind: 'holder',
  name: 'Holders and boring bars',
  columns: [
    { key: 'code', label: 'Designation', show: (h) => h.code, edit: (h) => h.code },
    {
      key: 'says',
      label: 'It says',
      show: (h) => {
        const read = readHolder(h.code);
        return isCodeFault(read)
          ? ''
          : `${read.settingDeg}°, ${clampingNames[read.clamping]}, ${read.kind === 'boring' ? `shank Ø${read.shankWideMm}` : `shank ${read.shankHighMm} × ${read.shankWideMm}`} mm`;
      },
      edit: () => '',
      onlyShown: true,
    },
    {
      key: 'least',
      label: 'Smallest hole, mm',
      show: (h) => (h.leastBoreMm === undefined ? '' : String(h.leastBoreMm)),
      edit: (h) => (h.leastBoreMm === undefined ? '' : String(h.leastBoreMm)),
    },
    {
      key: 'seat',
      label: 'Insert thickness, mm',
      show: (h) => (h.seatMm === undefined ? '' : String(h.seatMm)),
      edit: (h) => (h.seatMm === undefined ? '' : String(h.seatMm)),
    },
    { key: 'note', label: 'Where, note', show: (h) => h.note, edit: (h) => h.note },
  ],
  read: (texts, id) => {
    const fields = fieldReader(texts);
    const some = (key: string) => (texts[key] ?? '').trim() !== '';
    const record: HolderRecord = {
      id,
      code: fields.text('code', 40),
      ...(some('least') ? { leastBoreMm: fields.mm('least', 'positive', 1000) } : {}),
      ...(some('seat') ? { seatMm: fields.mm('seat', 'positive', 30) } : {}),
      note: fields.text('note', 120, false),
    };
    if (Object.keys(fields.problems).length === 0)
      for (const p of checkHolder(record)) fields.problems[formKey[String(p.path[0])] ?? String(p.path[0])] = p;
    return Object.keys(fields.problems).length > 0 ? { ok: false, problems: fields.problems } : { ok: true, record };
  },
};

/** Inserts by their designations, with how many there are and which corners have cut. */
export const insertsView: RecordKindView<InsertRecord> = {
  kind: 'insert',
  name: 'Inserts',
  columns: [
    { key: 'code', label: 'Designation', show: (i) => i.code, edit: (i) => i.code },
    {
      key: 'says',
      label: 'It says',
      show: (i) => {
        const read = readInsert(i.code);
        return isCodeFault(read)
          ? ''
          : `${formNames[read.form]}${read.cornerDeg ? ` ${read.cornerDeg}°` : ''}, corner ${read.radiusMm} mm, ${read.thicknessMm} mm thick`;
      },
      edit: () => '',
      onlyShown: true,
    },
    {
      key: 'material',
      label: 'Material',
      show: (i) => toolMaterialNames[i.material],
      edit: (i) => i.material,
      choices: TOOL_MATERIALS.map((t) => [t, toolMaterialNames[t]] as const),
    },
    { key: 'grade', label: 'Grade', show: (i) => i.grade, edit: (i) => i.grade },
    { key: 'count', label: 'How many', show: (i) => String(i.count), edit: (i) => String(i.count) },
    {
      key: 'used',
      label: 'Corners used',
      show: (i) => {
        const read = readInsert(i.code);
        return `${i.usedEdges}${isCodeFault(read) ? '' : ` of ${read.edges}`}`;
      },
      edit: (i) => String(i.usedEdges),
    },
    { key: 'note', label: 'Where, note', show: (i) => i.note, edit: (i) => i.note },
  ],
  read: (texts, id) => {
    const fields = fieldReader(texts);
    const count = (key: string, most: number) =>
      (texts[key] ?? '').trim() === '' ? 0 : fields.number(key, 0, most, true);
    const record: InsertRecord = {
      id,
      code: fields.text('code', 40),
      material: texts.material as InsertRecord['material'],
      grade: fields.text('grade', 40, false),
      count: count('count', 10_000),
      usedEdges: count('used', 16),
      note: fields.text('note', 120, false),
    };
    if (Object.keys(fields.problems).length === 0)
      for (const p of checkInsert(record)) fields.problems[formKey[String(p.path[0])] ?? String(p.path[0])] = p;
    return Object.keys(fields.problems).length > 0 ? { ok: false, problems: fields.problems } : { ok: true, record };
  },
};
