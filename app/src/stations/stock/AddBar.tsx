import type { Shop } from '@whelk/core/job';
import type { Bar } from '@whelk/core/stock';
import { useMemo, useState } from 'react';
import { barView } from '../../ui/records/bar-view.ts';
import { RecordForm } from '../../ui/records/RecordForm.tsx';
import { beginTyping, type Typing } from '../../ui/records/record-view.ts';

/** Adding a bar to the rack without leaving the job: it is chosen as soon as it is there. */
export function AddBar({
  materials,
  onAdd,
}: {
  materials: Shop['materials'];
  onAdd: (bar: Bar) => Promise<string | undefined>;
}) {
  const view = useMemo(() => barView(materials ?? []), [materials]);
  const [typing, setTyping] = useState<Typing>();
  const [told, setTold] = useState<string>();
  return (
    <>
      <p className="mt-3 flex items-center gap-4 text-sm">
        <button type="button" className="btn btn-sm h-10" onClick={() => setTyping(beginTyping(view))}>
          Add a bar
        </button>
        <a className="link" href="/stock">
          Stock rack: cutting list, what is left
        </a>
      </p>
      {typing && (
        <RecordForm
          key={typing.id}
          view={view}
          begun={typing}
          onSave={async (bar) => {
            const wrong = await onAdd(bar);
            setTold(wrong);
            if (!wrong) setTyping(undefined);
          }}
          onCancel={() => setTyping(undefined)}
        />
      )}
      {told && (
        <p role="status" className="field-error mt-1">
          {told}
        </p>
      )}
    </>
  );
}
