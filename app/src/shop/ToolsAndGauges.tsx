import type { Instrument } from '@whelk/core/gauge';
import { TOOL_MATERIALS } from '@whelk/core/material';
import type { HolderRecord, InsertRecord, Tool } from '@whelk/core/tool';
import { useMemo, useState } from 'react';
import { toolMaterialNames } from '../messages/words.ts';
import { ask } from '../ui/api.ts';
import { fieldReader, same } from '../ui/records/read-fields.ts';
import type { RecordKindView } from '../ui/records/record-view.ts';
import { holdersView, insertsView } from './drawer.ts';
import { GaugeZeros } from './GaugeZeros.tsx';
import { gaugesWith } from './gauges.ts';
import { RecordTable } from './RecordTable.tsx';

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
/** The drawer: cutting tools with what their edges have cut, and the gauges with what they are sure to. */
export default function ToolsAndGauges({
  tools: ownTools,
  instruments,
  worn,
  holders,
  inserts,
  today,
}: {
  tools: readonly Tool[];
  instruments: readonly Instrument[];
  worn: Readonly<Record<string, number>>;
  holders: readonly HolderRecord[];
  inserts: readonly InsertRecord[];
  /** day as `2026-11-23` */
  today: string;
}) {
  const view = useMemo(() => toolsWith(ownTools), [ownTools]);
  const [gauges, setGauges] = useState(instruments);
  // a table keeps what it was given; after a zero check it begins anew with what there is
  const [checked, setChecked] = useState(0);
  const gaugeView = useMemo(() => gaugesWith(gauges, today), [gauges, today]);
  return (
    <>
      <RecordTable view={view} given={ownTools} />
      <Edges tools={ownTools} worn={worn} />
      <RecordTable view={holdersView} given={holders} />
      <RecordTable view={insertsView} given={inserts} />
      <p className="mt-1 text-sm">
        <a className="link" href="/bench-book/inserts">
          Bench book: inserts and bars
        </a>{' '}
        reads designations and says what fits what.
      </p>
      <RecordTable key={checked} view={gaugeView} given={gauges} onRecords={setGauges} />
      <GaugeZeros
        gauges={gauges}
        onChecked={(gauge) => {
          setGauges((all) => all.map((g) => (g.id === gauge.id ? gauge : g)));
          setChecked((n) => n + 1);
        }}
      />
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
