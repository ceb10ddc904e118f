import type { SpringShare } from '@whelk/core/mechanics';
import { useState } from 'react';
import { ask } from '../../ui/api.ts';

/** What a lathe's cuts have shown of a tool in a material: shares of what is reckoned of work, tool and lathe. */
export interface SpringRow extends SpringShare {
  readonly toolId: string;
  readonly tool: string;
  readonly material: string;
}

const share = (value: number) => `${Math.round(100 * value)} %`;

/** Spring as measured cuts have shown it on this lathe, with what it rests on; forgotten with one press. */
export function SpringLearned({ latheId, given }: { latheId: string; given: readonly SpringRow[] }) {
  const [rows, setRows] = useState(given);
  const [told, setTold] = useState<string>();
  const forget = async () => {
    const result = await ask('POST', `/api/lathes/${latheId}/forget-spring`, {});
    if (!result.ok) return setTold(result.problems.map((p) => `${p.what} ${p.right}`).join(' '));
    setRows([]);
    setTold('Forgotten. What is measured from now on counts; the records of earlier pieces keep what they showed.');
  };
  return (
    <section aria-labelledby="spring" className="mt-10">
      <h2 id="spring">Spring learned</h2>
      <p className="muted text-sm">
        What measured cuts of different depth have shown, of what work, tool and lathe are reckoned to give way.
      </p>
      {rows.length === 0 ? (
        <p className="mt-1">
          {told ?? 'Nothing yet: two measured cuts of one tool, a deep and a light one, begin it.'}
        </p>
      ) : (
        <>
          <table className="table table-sm mt-1 max-w-3xl">
            <thead>
              <tr>
                <th scope="col">Tool</th>
                <th scope="col">Material</th>
                <th scope="col" className="text-right">
                  Of what is reckoned
                </th>
                <th scope="col">Between</th>
                <th scope="col" className="text-right">
                  Cuts
                </th>
              </tr>
            </thead>
            <tbody>
              {rows.map((r) => (
                <tr key={`${r.toolId} ${r.material}`}>
                  <th scope="row">{r.tool}</th>
                  <td>{r.material}</td>
                  <td className="text-right">{share(r.bestShare)}</td>
                  <td>
                    {share(r.lowShare)} to {share(r.highShare)}
                  </td>
                  <td className="text-right">{r.count}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <button type="button" className="btn btn-sm mt-2 h-10" onClick={forget}>
            Forget it
          </button>
        </>
      )}
      {told && rows.length > 0 && <p role="status">{told}</p>}
    </section>
  );
}
