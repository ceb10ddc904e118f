import { operationName } from '../desks/operation/kinds.ts';
import { outcomeText, verdictText } from '../messages/words.ts';
import type { LogLine } from '../server/runs/log-page.ts';
import { feed, feedUnit, measure } from '../ui/format.ts';
import { fromJson } from '../ui/from-json.tsx';
import { AskedWorking } from '../ui/working/Working.tsx';

const mark = { fits: '✓', cannotSay: '?', doesNotFit: '✕' } as const;

/** What was cut, a row a piece: how it came out, and with which settings. */
function LogList({ lines }: { lines: readonly LogLine[] }) {
  return (
    <ul className="rows">
      {lines.map((line) => (
        <li key={line.id} className="grid gap-x-8 gap-y-2 py-4 lg:grid-cols-[1.1fr_1fr_1.2fr]">
          <div>
            <h2>
              <a className="link" href={`/runs/${line.id}`}>
                {line.title}, piece {line.piece}
                {line.setup > 1 ? `, holding ${line.setup}` : ''}
              </a>
            </h2>
            <p className="muted text-sm">
              {line.day} · {line.material} · {line.lathe}
            </p>
            <p className="mt-1 font-semibold">
              {line.ended
                ? outcomeText[line.ended.outcome]
                : `At step ${Math.min(line.step + 1, line.steps)} of ${line.steps}`}
              {line.ended?.reason && <span className="block font-normal">{line.ended.reason}</span>}
            </p>
          </div>
          <Sizes line={line} />
          <div>
            <h3 className="text-sm font-semibold">Cut with</h3>
            <p className="text-sm">{line.tools.join(', ') || 'nothing yet'}</p>
            <ul className="text-sm">
              {line.settings.map((s) => (
                <li key={s.operationId}>
                  {operationName(s.kind)}: {s.rpm} rpm ({s.speedLabel}), {feed(s.feedMmPerRev, line.unit)}{' '}
                  {feedUnit(line.unit)}
                  <AskedWorking
                    of={`${operationName(s.kind)}, ${s.rpm} rpm`}
                    at={`/api/runs/${line.id}/working/${s.operationId}`}
                  />
                </li>
              ))}
            </ul>
            {line.notes.map((note, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: notes in their order
              <p key={i} className="mt-1 border-l-4 border-[var(--brass)] pl-2 text-sm">
                {note}
              </p>
            ))}
          </div>
        </li>
      ))}
    </ul>
  );
}

function Sizes({ line }: { line: LogLine }) {
  return (
    <div>
      <h3 className="text-sm font-semibold">Sizes</h3>
      {line.outcomes.length + line.read.length === 0 && <p className="muted text-sm">none measured yet</p>}
      <ul>
        {line.outcomes.map((o) => (
          <li key={o.stepId}>
            {o.name} <b>{measure(o.sizeMm, line.drawingUnit)}</b> {line.drawingUnit} {mark[o.decision.verdict]}{' '}
            {verdictText[o.decision.verdict].toLowerCase()}
            <AskedWorking of={`size of ${o.name}`} at={`/api/runs/${line.id}/working/${o.stepId}`} />
          </li>
        ))}
        {line.read.map((r) => (
          <li key={r.featureId}>
            {r.name} <b>{r.text}</b> {r.unit} <span className="muted">read, not judged</span>
          </li>
        ))}
      </ul>
      {line.outcomes.length + line.read.length > 0 && (
        <a className="link text-sm" href={`/api/runs/${line.id}/readings.csv`} download>
          Readings .csv
        </a>
      )}
    </div>
  );
}

export default fromJson(LogList);
