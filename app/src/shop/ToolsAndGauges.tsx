import type { Instrument } from '@whelk/core/gauge';
import { TOOL_MATERIALS } from '@whelk/core/material';
import type { Tool } from '@whelk/core/tool';
import { useMemo, useState } from 'react';
import { toolMaterialNames } from '../messages/words.ts';
import { ask } from '../ui/api.ts';
import { type RecordKindView, RecordTable } from './RecordTable.tsx';
import { fieldReader } from './read-fields.ts';

const same = (names: readonly string[]) => names.map((n) => [n, n] as const);
const toolsWith = (known: readonly Tool[]): RecordKindView<Tool> => ({
  kind: 'tool',
  name: 'Tools',
  columns: [
    { key: 'name', label: 'Name', show: (t) => t.name, edit: (t) => t.name },
    {
      key: 'kind',
      label: 'For',
      show: (t) => t.kind,
      edit: (t) => t.kind,
      choices: same(['rougher', 'finisher', 'facing', 'chamfer', 'centre drill']),
    },
    {
      key: 'material',
      label: 'Material',
      show: (t) => toolMaterialNames[t.material],
      edit: (t) => t.material,
      choices: TOOL_MATERIALS.map((t) => [t, toolMaterialNames[t]] as const),
    },
    { key: 'nose', label: 'Nose radius, mm', show: (t) => String(t.noseRadiusMm), edit: (t) => String(t.noseRadiusMm) },
    { key: 'kappa', label: 'Setting angle, °', show: (t) => String(t.kappaDeg), edit: (t) => String(t.kappaDeg) },
    { key: 'deepest', label: 'Deepest cut, mm', show: (t) => String(t.deepestMm), edit: (t) => String(t.deepestMm) },
    {
      key: 'edge',
      label: 'Edge rounding, mm',
      show: (t) => String(t.edgeRadiusMm),
      edit: (t) => String(t.edgeRadiusMm),
    },
    {
      key: 'flat',
      label: 'Finishing flat, mm',
      show: (t) => (t.flatMm ? String(t.flatMm) : ''),
      edit: (t) => (t.flatMm ? String(t.flatMm) : '0'),
    },
    {
      key: 'size',
      label: 'Pilot of a centre drill, mm',
      show: (t) => (t.sizeMm === undefined ? '' : String(t.sizeMm)),
      edit: (t) => (t.sizeMm === undefined ? '' : String(t.sizeMm)),
    },
  ],
  read: (texts, id) => {
    const fields = fieldReader(texts);
    const drill = texts.kind === 'centre drill';
    const sharpenedAt = known.find((t) => t.id === id)?.sharpenedAt;
    const record: Tool = {
      ...(sharpenedAt ? { sharpenedAt } : {}),
      id,
      name: fields.text('name', 60),
      kind: texts.kind as Tool['kind'],
      material: texts.material as Tool['material'],
      noseRadiusMm: fields.mm('nose', 'notNegative', 10),
      kappaDeg: fields.degrees('kappa', 5, 120),
      deepestMm: fields.mm('deepest', 'positive', 30),
      edgeRadiusMm: fields.mm('edge', 'positive', 0.5),
      ...(/^0*(\.0*)?$/.test((texts.flat ?? '').trim()) ? {} : { flatMm: fields.mm('flat', 'positive', 20) }),
      ...(drill ? { sizeMm: fields.mm('size', 'positive', 30) } : {}),
    };
    return Object.keys(fields.problems).length > 0 ? { ok: false, problems: fields.problems } : { ok: true, record };
  },
});
const places = (i: Instrument, mm: number) => (i.unit === 'mm' ? `${mm} mm` : `${Number((mm / 25.4).toFixed(5))} in`);
const gauges: RecordKindView<Instrument> = {
  kind: 'instrument',
  name: 'Gauges',
  columns: [
    { key: 'name', label: 'Name', show: (i) => i.name, edit: (i) => i.name },
    {
      key: 'kind',
      label: 'Kind',
      show: (i) => i.kind,
      edit: (i) => i.kind,
      choices: same(['micrometer', 'caliper', 'rule', 'thread micrometer', 'indicator', 'other']),
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
  ],
  read: (texts, id) => {
    const fields = fieldReader(texts);
    const record: Instrument = {
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
};

/** The drawer: cutting tools with what their edges have cut, and the gauges with what they are sure to. */
export default function ToolsAndGauges({
  tools: ownTools,
  instruments,
  worn,
}: {
  tools: readonly Tool[];
  instruments: readonly Instrument[];
  worn: Readonly<Record<string, number>>;
}) {
  const view = useMemo(() => toolsWith(ownTools), [ownTools]);
  return (
    <>
      <RecordTable view={view} given={ownTools} />
      <Edges tools={ownTools} worn={worn} />
      <RecordTable view={gauges} given={instruments} />
    </>
  );
}

/** Minutes that each edge has been in the cut; sharpening or turning it begins anew. */
function Edges({ tools, worn }: { tools: readonly Tool[]; worn: Readonly<Record<string, number>> }) {
  const [fresh, setFresh] = useState<readonly string[]>([]);
  const [told, setTold] = useState('');
  const sharpen = async (tool: Tool) => {
    const record = { ...tool, sharpenedAt: new Date().toISOString() };
    const result = await ask('PUT', '/api/records/tool', { record });
    if (result.ok) setFresh([...fresh, tool.id]);
    setTold(
      result.ok ? `${tool.name}: counted from now.` : result.problems.map((p) => `${p.what} ${p.right}`).join(' '),
    );
  };
  const used = tools.filter((t) => (worn[t.id] ?? 0) >= 0.5);
  return (
    <section aria-labelledby="edges" className="mt-8">
      <h2 id="edges">Edges</h2>
      {used.length === 0 ? (
        <p className="muted">No edge has cut anything since it was fresh.</p>
      ) : (
        <ul className="rows max-w-3xl">
          {used.map((tool) => (
            <li key={tool.id} className="flex flex-wrap items-center gap-4 py-2">
              <span className="flex-1 font-semibold">{tool.name}</span>
              <span>
                {fresh.includes(tool.id)
                  ? 'fresh'
                  : `${Math.round(worn[tool.id] ?? 0)} min in the cut${tool.sharpenedAt ? ` since ${tool.sharpenedAt.slice(0, 10)}` : ''}`}
              </span>
              <button
                type="button"
                className="btn btn-sm h-10"
                disabled={fresh.includes(tool.id)}
                aria-label={`Sharpened now: ${tool.name}`}
                onClick={() => void sharpen(tool)}
              >
                Sharpened now
              </button>
            </li>
          ))}
        </ul>
      )}
      <p role="status" className="setting min-h-6 text-sm">
        {told}
      </p>
    </section>
  );
}
