import type { Job } from '@whelk/core/job';
import { compareDrawings, type DrawingChange, resolveDrawing } from '@whelk/core/part';
import { comparePicture } from '@whelk/core/picture';
import { useMemo, useState } from 'react';
import { changeText } from '../../messages/revisions.ts';
import { ask } from '../../ui/api.ts';
import { fromJson } from '../../ui/from-json.tsx';
import { PictureView } from '../../ui/strip/PictureView.tsx';

interface Revision {
  readonly revision: number;
  readonly saved: string;
  readonly job: Job;
}
interface Props {
  readonly id: string;
  readonly version: number;
  readonly revisions: readonly Revision[];
}
const MOST_LINES = 40;

/** What else of the job is not in its drawing. */
function otherChanges(before: Job, after: Job): string[] {
  const out: string[] = [];
  if (before.title !== after.title) out.push(`Title: ${before.title} → ${after.title}`);
  if (before.quantity !== after.quantity) out.push(`Pieces: ${before.quantity} → ${after.quantity}`);
  if (JSON.stringify(before.stock) !== JSON.stringify(after.stock)) out.push('Another bar');
  if (JSON.stringify(before.hold) !== JSON.stringify(after.hold)) out.push('Held or turned otherwise');
  if (JSON.stringify(before.route) !== JSON.stringify(after.route)) out.push('Planned otherwise');
  return out;
}

/** A drawing's revisions: what was changed at each, drawn over what it was before, and each there to be brought back. */
function Revisions({ id, version, revisions }: Props) {
  const [shown, setShown] = useState(revisions[0]?.revision);
  const [told, setTold] = useState('');
  const at = revisions.findIndex((r) => r.revision === shown);
  const now = revisions[at];
  const before = revisions[at + 1];
  const compared = useMemo(() => {
    if (!now || !before) return undefined;
    const changes = compareDrawings(before.job.drawing, now.job.drawing);
    const [was, is] = [before, now].map((r) => resolveDrawing(r.job.drawing).part);
    const picture = comparePicture(was!, is!, new Set(changes.map((c) => c.id)), { width: 860, height: 240 });
    return { changes, picture, others: otherChanges(before.job, now.job) };
  }, [now, before]);
  const bringBack = async () => {
    if (!now) return;
    const result = await ask('PUT', `/api/jobs/${id}`, { version, job: now.job });
    if (result.ok) location.href = `/jobs/${id}/drawing`;
    else setTold(result.problems.map((p) => `${p.what} ${p.right}`).join(' '));
  };
  const latest = revisions[0]!;
  return (
    <div className="page">
      <p className="text-sm">
        <a className="link" href={`/jobs/${id}/drawing`}>
          {latest.job.title}
        </a>
      </p>
      <h1>Revisions</h1>
      <div className="mt-4 grid gap-6 md:grid-cols-[13rem_1fr]">
        <ol className="rows mt-0 max-h-[75vh] overflow-y-auto" aria-label="Revisions, latest first">
          {revisions.map((r) => (
            <li key={r.revision}>
              <button
                type="button"
                className={`side-step w-full ${r.revision === shown ? 'on' : ''}`}
                aria-pressed={r.revision === shown}
                onClick={() => setShown(r.revision)}
              >
                Revision {r.revision}
                {r.job.drawing.issue?.trim() && <span className="setting"> · issue {r.job.drawing.issue.trim()}</span>}
                <span className="muted block text-sm">{r.saved}</span>
              </button>
            </li>
          ))}
        </ol>
        <section aria-label={`Revision ${shown}`} aria-live="polite">
          {compared ? (
            <>
              <div className="sheet compare">
                <PictureView
                  picture={compared.picture}
                  label={`Revision ${shown} over revision ${before!.revision}: ${compared.changes.length} changes`}
                  textSize={13}
                />
              </div>
              <p className="muted mt-1 text-sm">
                Thick: revision {shown}, changed features filled. Thin: revision {before!.revision}.
              </p>
              <ul className="mt-3">
                {compared.changes.slice(0, MOST_LINES).map((c: DrawingChange) => (
                  <li key={`${c.of}${c.id}${c.field}${c.kind}`}>
                    {changeText(c, before!.job.drawing, now!.job.drawing)}
                  </li>
                ))}
                {compared.changes.length > MOST_LINES && <li>and {compared.changes.length - MOST_LINES} more</li>}
                {compared.others.map((text) => (
                  <li key={text}>{text}</li>
                ))}
                {compared.changes.length + compared.others.length === 0 && (
                  <li className="muted">Nothing was changed.</li>
                )}
              </ul>
            </>
          ) : (
            <p>This is the first state that is kept.</p>
          )}
          {now && now.revision !== latest.revision && (
            <button type="button" className="btn btn-primary mt-4" onClick={() => void bringBack()}>
              Bring revision {now.revision} back
            </button>
          )}
          <p role="alert" className="field-problem mt-2">
            {told}
          </p>
        </section>
      </div>
    </div>
  );
}

export default fromJson(Revisions);
