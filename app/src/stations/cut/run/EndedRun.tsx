import { roundOf } from '@whelk/core/part';
import { kindOf } from '@whelk/core/route';
import { explainSize, type FrozenRun, type RunState, sizesRead } from '@whelk/core/run';
import { cutOffText, nameOf } from '../../../desks/operation/at-lathe.ts';
import { outcomeText, verdictText } from '../../../messages/words.ts';
import { measure } from '../../../ui/format.ts';
import { Working } from '../../../ui/working/Working.tsx';
import { NotCut } from '../../frame/NotCut.tsx';
import { Acts } from './Acts.tsx';

interface Props {
  readonly id: string;
  readonly jobId: string;
  readonly frozen: FrozenRun;
  readonly state: RunState;
  readonly onFinish: () => void;
  readonly onBack: (() => void) | undefined;
}

/** After the last step: how each size came out, what still waits, and closing the piece. */
export function EndedRun({ id, jobId, frozen, state, onFinish, onBack }: Props) {
  const { ended } = state;
  const { unit } = frozen.drawing;
  const f = (mm: number) => measure(mm, unit);
  // a piece that was stopped, or lost, shows what was read of it
  const read = sizesRead(state);
  const left = [...new Set(state.leftSo.map((l) => l.featureId ?? ''))].filter((id) => id !== '');
  const limitsOf = (id: string): string => {
    // of a thread those of its pitch diameter, which its steps carry
    const limits =
      roundOf(frozen.piece.part, id)?.limits ?? frozen.steps.find((s) => s.featureId === id && s.limits)?.limits;
    return limits ? `${f(limits.lowerMm)} … ${f(limits.upperMm)}` : '';
  };
  return (
    <>
      <section className="page w-full flex-1" aria-label="How it came out">
        <h2 className="text-2xl">
          {ended ? outcomeText[ended.outcome] : 'All that can be turned from this end is cut'}
        </h2>
        {ended?.reason && <p className="mt-1 text-lg">{ended.reason}</p>}
        <div className="mt-4 grid gap-8 lg:grid-cols-2">
          <div>
            <h3 className="font-bold">Sizes</h3>
            {state.outcomes.length + read.length + state.lengths.length === 0 ? (
              <p className="muted">None measured.</p>
            ) : (
              <table className="table">
                <thead>
                  <tr>
                    <th scope="col">Feature</th>
                    <th scope="col" className="text-right">
                      Size, {unit}
                    </th>
                    <th scope="col">Limits</th>
                    <th scope="col">Verdict</th>
                  </tr>
                </thead>
                <tbody>
                  {state.outcomes.map((o) => {
                    return (
                      <tr key={o.stepId}>
                        <th scope="row">{nameOf(frozen, o.featureId)}</th>
                        <td className="text-right">
                          {f(o.sizeMm)}
                          <Working
                            of={`size of ${nameOf(frozen, o.featureId)}`}
                            tell={(record) => explainSize(frozen, state, o.stepId, record)}
                          />
                        </td>
                        <td>{limitsOf(o.featureId)}</td>
                        <td>
                          {o.decision.verdict === 'fits' ? '✓ ' : o.decision.verdict === 'cannotSay' ? '? ' : '✕ '}
                          {verdictText[o.decision.verdict]}
                        </td>
                      </tr>
                    );
                  })}
                  {read.map((r) => (
                    <tr key={r.featureId}>
                      <th scope="row">{nameOf(frozen, r.featureId)}</th>
                      <td className="text-right">{f(r.sizeMm)}</td>
                      <td>{limitsOf(r.featureId)}</td>
                      <td className="muted">read, not judged</td>
                    </tr>
                  ))}
                  {[...new Map(state.lengths.map((l) => [l.stepId, l])).values()].map((l) => (
                    <tr key={l.stepId}>
                      <th scope="row">
                        {l.featureId ? `Length to the shoulder of ${nameOf(frozen, l.featureId)}` : 'Whole length'}
                      </th>
                      <td className="text-right">{f(l.mm)}</td>
                      <td />
                      <td className="muted">read last</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
            <p className="mt-2">
              <a className="link" href={`/api/runs/${id}/readings.csv`} download>
                Readings .csv
              </a>
            </p>
          </div>
          <div>
            <h3 className="font-bold">
              {ended && ended.outcome !== 'finished' ? 'Was still to come' : 'Left undone in this holding'}
            </h3>
            {!ended && frozen.piece.marks.length > 0 && !frozen.steps.some((s) => kindOf(s.kind).cutsOff) && (
              <p className="mb-2 text-lg">
                <b>Next:</b> {cutOffText(frozen)}
              </p>
            )}
            {left.length > 0 && (
              <ul className="list-inside list-disc">
                {left.map((id) => (
                  <li key={id}>{nameOf(frozen, id)}: a cut was passed over, it stays as it stood</li>
                ))}
              </ul>
            )}
            <NotCut part={frozen.piece.part} waiting={frozen.plan.waiting} nameOf={(x) => nameOf(frozen, x)} />
            {state.notes.length > 0 && (
              <>
                <h3 className="mt-4 font-bold">Notes</h3>
                <ul className="list-inside list-disc">
                  {state.notes.map((n, i) => (
                    // biome-ignore lint/suspicious/noArrayIndexKey: notes in their order
                    <li key={i}>{n.text}</li>
                  ))}
                </ul>
              </>
            )}
          </div>
        </div>
      </section>
      <Acts>
        {ended ? (
          <a className="act main" href={`/jobs/${jobId}/cut`}>
            Back to the job
          </a>
        ) : (
          <button type="button" className="act main" onClick={onFinish}>
            Close this {frozen.number > 1 ? 'holding' : 'piece'}
          </button>
        )}
        <button type="button" className="act" onClick={onBack} disabled={!onBack}>
          Back
        </button>
        <a className="act" href="/log">
          Log
        </a>
      </Acts>
    </>
  );
}
