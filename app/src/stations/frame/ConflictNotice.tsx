import type { Job } from '@whelk/core/job';
import { outsides, resolveDrawing } from '@whelk/core/part';
import { silhouettePicture } from '@whelk/core/picture';
import { PictureView } from '../../ui/strip/PictureView.tsx';
import type { JobEditor } from './useJob.ts';

function Version({ name, job, onKeep }: { name: string; job: Job; onKeep: () => void }) {
  const { part } = resolveDrawing(job.drawing);
  return (
    <div className="sheet flex-1 p-3">
      <h3 className="font-bold">{name}</h3>
      <PictureView
        picture={silhouettePicture(part, 420, 120, job.drawing.unit)}
        label={`${name}: ${outsides(part).length} features`}
        textSize={13}
      />
      <p className="muted text-sm">
        {job.title} · {job.quantity} off ·{' '}
        {job.drawing.features.map((f) => `Ø${f.diameter.text} ${f.limits} × ${f.length.text}`).join(' · ')}
      </p>
      <button type="button" className="btn btn-primary mt-2" onClick={onKeep}>
        Keep {name.toLowerCase()}
      </button>
    </div>
  );
}

/** Both versions, when a job was saved elsewhere since this page read it. Neither is lost: Undo brings the other one back. */
export function ConflictNotice({ editor }: { editor: JobEditor }) {
  if (!editor.conflict) return null;
  return (
    <section role="alert" aria-label="Changed elsewhere" className="notice flex-col items-stretch">
      <p className="font-bold">This job was changed elsewhere meanwhile. Choose which version to keep.</p>
      <div className="flex flex-wrap gap-4 text-base-content">
        <Version name="Yours" job={editor.job} onKeep={() => editor.settle('mine')} />
        <Version name="Theirs" job={editor.conflict.theirs} onKeep={() => editor.settle('theirs')} />
      </div>
    </section>
  );
}
