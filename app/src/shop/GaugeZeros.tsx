import { type Instrument, zeroHolds } from '@whelk/core/gauge';
import { parseLength, shortLength } from '@whelk/core/quantity';
import { useState } from 'react';
import { ask } from '../ui/api.ts';
import { TextField } from '../ui/number-field/TextField.tsx';

/** Zero checks: what each gauge shows closed, or on its setting piece, against nothing. */
export function GaugeZeros({
  gauges,
  onChecked,
}: {
  gauges: readonly Instrument[];
  onChecked: (gauge: Instrument) => void;
}) {
  const [id, setId] = useState('');
  const [text, setText] = useState('');
  const [told, setTold] = useState('');
  const own = gauges.filter((g) => g.kind !== 'rule');
  const gauge = own.find((g) => g.id === id) ?? own[0];
  if (!gauge) return null;
  const read = text.trim() === '' || text.trim() === '-' ? undefined : parseLength(text, gauge.unit, 'any');
  const shown = (g: Instrument, mm: number) =>
    `${mm < 0 ? '−' : mm > 0 ? '+' : ''}${shortLength(Math.abs(mm), g.unit, g.unit === 'mm' ? 3 : 5)} ${g.unit}`;
  const keep = async () => {
    if (!read?.ok) return;
    const offMm = Number(read.mm.valueOf().toFixed(6));
    if (Math.abs(offMm) > 5) return setTold('That is more than a gauge can be off: 5 mm at most.');
    const record: Instrument = {
      ...gauge,
      zeroChecks: [...(gauge.zeroChecks ?? []), { at: new Date().toISOString(), offMm }].slice(-50),
    };
    const result = await ask('PUT', '/api/records/instrument', { record });
    if (!result.ok) return setTold(result.problems.map((p) => `${p.what} ${p.right}`).join(' '));
    setText('');
    setTold(
      zeroHolds(record)
        ? `${gauge.name}: its zero holds.`
        : `${gauge.name} is off by more than it is said to be sure to: clean and set it, then check again.`,
    );
    onChecked(record);
  };
  return (
    <section aria-labelledby="zeros" className="mt-8">
      <h2 id="zeros">Zero checks</h2>
      <p className="muted text-sm">
        Clean, close it or put it on its setting piece, and type what it shows too much (+) or too little (−).
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <label className="text-sm">
          Gauge
          <select className="select mt-0.5 flex w-64" value={gauge.id} onChange={(e) => setId(e.target.value)}>
            {own.map((g) => (
              <option key={g.id} value={g.id}>
                {g.name}
              </option>
            ))}
          </select>
        </label>
        <TextField
          className="w-40"
          label={`It shows, ${gauge.unit}`}
          value={text}
          problem={read && !read.ok ? { code: read.code, path: [], value: read.value } : undefined}
          onChange={(next) => setText(next.replace('−', '-'))}
          data="zero-off"
        />
        <button type="button" className="btn" disabled={!read?.ok} onClick={() => void keep()}>
          Checked now
        </button>
      </div>
      <ul className="rows mt-2 max-w-3xl">
        {own.map((g) => {
          const last = g.zeroChecks?.at(-1);
          return (
            last && (
              <li key={g.id} className="flex flex-wrap gap-4 py-1">
                <span className="flex-1 font-semibold">{g.name}</span>
                <span>
                  {zeroHolds(g) ? '✓' : '▲ off:'} {shown(g, last.offMm)} on {last.at.slice(0, 10)}
                </span>
              </li>
            )
          );
        })}
      </ul>
      <p role="status" className="setting min-h-6 text-sm">
        {told}
      </p>
    </section>
  );
}
