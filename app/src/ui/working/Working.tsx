import { collectWorking, type Recorder } from '@whelk/core/working';
import { Sigma } from 'lucide-react';
import { useId, useState } from 'react';
import { wordStep } from '../../messages/workings.ts';

/**
 * The small mark beside a computed value; it opens the derivation in place. The derivation is made when it is opened, by
 * running the same computation with a recorder.
 */
export function Working({ of, tell }: { of: string; tell: (record: Recorder) => void }) {
  const [open, setOpen] = useState(false);
  const id = useId();
  const steps = open ? told(tell) : [];
  return (
    <span className="inline-block align-middle">
      <button
        type="button"
        className="quiet mark inline-flex items-center align-middle"
        aria-expanded={open}
        aria-controls={id}
        aria-label={`Working of ${of}`}
        title={`Working of ${of}`}
        onClick={() => setOpen(!open)}
      >
        <Sigma size={15} aria-hidden="true" />
      </button>
      {open && (
        <div id={id} className="working my-1 font-normal text-base-content">
          {steps.length === 0 && <p>Given, not computed.</p>}
          {steps.map((step, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a derivation's lines have no identity but their order
            <p key={i} className="mb-1">
              <span className="font-semibold">{step.title}:</span> {step.formula}
              {step.source && <span className="muted"> ({step.source})</span>}
            </p>
          ))}
        </div>
      )}
    </span>
  );
}

function told(tell: (record: Recorder) => void) {
  const { steps, record } = collectWorking();
  tell(record);
  return steps.map(wordStep);
}
