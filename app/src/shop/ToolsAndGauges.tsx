import type { Instrument } from '@whelk/core/gauge';
import type { HolderRecord, InsertRecord, Tool } from '@whelk/core/tool';
import { useMemo, useState } from 'react';
import { ask } from '../ui/api.ts';
import { holdersView, insertsView } from './drawer.ts';
import { GaugeZeros } from './GaugeZeros.tsx';
import { gaugesWith } from './gauges.ts';
import { RecordTable } from './RecordTable.tsx';
import { toolsWith } from './tools.ts';

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
