import { calibrationDue, INSTRUMENT_KINDS, type Instrument } from '@whelk/core/gauge';
import { readThread, UNREAD_THREAD } from '@whelk/core/thread';
import { fieldReader, same } from '../ui/records/read-fields.ts';
import type { RecordKindView } from '../ui/records/record-view.ts';

const places = (i: Instrument, mm: number) => (i.unit === 'mm' ? `${mm} mm` : `${Number((mm / 25.4).toFixed(5))} in`);
/** Whether a kind is a ring or plug for threads. */
const forThread = (kind: string | undefined): boolean => kind === 'thread ring' || kind === 'thread plug';

/** The list of gauges; what is not typed here, as zero checks, is kept. */
export const gaugesWith = (known: readonly Instrument[], today: string): RecordKindView<Instrument> => ({
  kind: 'instrument',
  name: 'Gauges',
  columns: [
    { key: 'name', label: 'Name', show: (i) => i.name, edit: (i) => i.name },
    {
      key: 'kind',
      label: 'Kind',
      show: (i) => i.kind,
      edit: (i) => i.kind,
      choices: same(Object.keys(INSTRUMENT_KINDS)),
    },
    {
      key: 'unit',
      label: 'Reads in',
      show: (i) => i.unit,
      edit: (i) => i.unit,
      choices: [
        ['mm', 'mm'],
        ['in', 'inch'],
      ],
    },
    { key: 'from', label: 'From', show: (i) => places(i, i.fromMm), edit: (i) => `${i.fromMm} mm` },
    { key: 'to', label: 'To', show: (i) => places(i, i.toMm), edit: (i) => `${i.toMm} mm` },
    {
      key: 'resolution',
      label: 'Finest line',
      show: (i) => places(i, i.resolutionMm),
      edit: (i) => `${i.resolutionMm} mm`,
    },
    {
      key: 'uncertainty',
      label: 'Uncertainty ± (k = 2)',
      show: (i) => places(i, i.uncertaintyMm),
      edit: (i) => `${i.uncertaintyMm} mm`,
    },
    {
      key: 'wires',
      label: 'Wires, mm',
      show: (i) => (i.wiresMm ?? []).join(', '),
      edit: (i) => (i.wiresMm ?? []).join(', '),
      onlyTyped: true,
      when: (texts) => texts.kind === 'thread wires',
    },
    {
      key: 'designation',
      label: 'For the thread',
      show: (i) => i.designation ?? '',
      edit: (i) => i.designation ?? '',
      onlyTyped: true,
      when: (texts) => forThread(texts.kind),
    },
    {
      key: 'calibrated',
      label: 'Calibrated on',
      show: (i) => i.calibration?.on ?? '',
      edit: (i) => i.calibration?.on ?? '',
    },
    {
      key: 'due',
      label: 'Next due',
      show: (i) => `${i.calibration?.due ?? ''}${calibrationDue(i, today) ? ' ▲ over' : ''}`,
      edit: (i) => i.calibration?.due ?? '',
    },
    {
      key: 'certificate',
      label: 'Certificate',
      show: (i) => i.calibration?.certificate ?? '',
      edit: (i) => i.calibration?.certificate ?? '',
    },
  ],
  read: (texts, id) => {
    const fields = fieldReader(texts);
    const zeroChecks = known.find((i) => i.id === id)?.zeroChecks;
    const on = fields.date('calibrated');
    const due = fields.date('due');
    const certificate = fields.text('certificate', 60, false);
    if (!on && (due || certificate))
      fields.problems.calibrated = { code: 'input.invalid', path: [], limit: 'a day such as 2026-11-23' };
    const wiresMm = texts.kind === 'thread wires' ? fields.millimetres('wires', 50, 60) : [];
    const designation = forThread(texts.kind) ? fields.text('designation', 40) : '';
    const read = designation ? readThread(designation) : undefined;
    if (read && !read.ok) fields.problems.designation = { code: UNREAD_THREAD[read.why], path: [], value: designation };
    const record: Instrument = {
      ...(wiresMm.length > 0 ? { wiresMm } : {}),
      ...(designation ? { designation } : {}),
      ...(zeroChecks ? { zeroChecks } : {}),
      ...(on ? { calibration: { on, ...(due ? { due } : {}), certificate } } : {}),
      id,
      name: fields.text('name', 60),
      kind: texts.kind as Instrument['kind'],
      unit: texts.unit === 'in' ? 'in' : 'mm',
      fromMm: fields.mm('from', 'notNegative', 5000),
      toMm: fields.mm('to', 'positive', 5000),
      resolutionMm: fields.mm('resolution', 'positive', 1),
      uncertaintyMm: fields.mm('uncertainty', 'positive', 2),
    };
    if (!fields.problems.to && record.toMm <= record.fromMm)
      fields.problems.to = { code: 'input.tooSmall', path: [], limit: `above ${record.fromMm} mm` };
    return Object.keys(fields.problems).length > 0 ? { ok: false, problems: fields.problems } : { ok: true, record };
  },
});
