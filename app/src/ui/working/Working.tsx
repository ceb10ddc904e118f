import type { LengthUnit } from '@whelk/core/quantity';
import { collectWorking, type Recorder } from '@whelk/core/working';
import { Sigma } from 'lucide-react';
import { useId, useState } from 'react';
import { type WordedStep, wordStep } from '../../messages/workings.ts';
import { ask } from '../api.ts';
import { useUnit } from '../unit.ts';

/**
 * The small mark beside a computed value; it opens the derivation in place. The derivation is made when it is opened, by
 * running the same computation with a recorder.
 */
export function Working({ of, tell }: { of: string; tell: (record: Recorder) => void }) {
  const [open, setOpen] = useState(false);
  const unit = useUnit();
  return <Marked of={of} open={open} onToggle={() => setOpen(!open)} steps={open ? told(tell, unit) : []} />;
}

/** The same where the page does not hold what the value was computed from: the server tells the working. */
export function AskedWorking({ of, at }: { of: string; at: string }) {
  const [open, setOpen] = useState(false);
  const [steps, setSteps] = useState<readonly WordedStep[]>();
  const [failed, setFailed] = useState('');
  const toggle = async () => {
    setOpen(!open);
    if (open || steps) return;
    setFailed('');
    const result = await ask<{ steps: WordedStep[] }>('GET', at);
    if (result.ok) setSteps(result.data.steps);
    else setFailed(result.problems.map((p) => p.what).join(' ') || 'The server does not answer.');
  };
  return (
    <Marked
      of={of}
      open={open}
      onToggle={toggle}
      steps={steps ?? []}
      waits={failed || (steps ? '' : 'Being looked up')}
    />
  );
}

interface MarkedProps {
  readonly of: string;
  readonly open: boolean;
  readonly onToggle: () => void;
  readonly steps: readonly WordedStep[];
  readonly waits?: string;
}
function Marked({ of, open, onToggle, steps, waits = '' }: MarkedProps) {
  const id = useId();
  return (
    <span className="inline-block align-middle">
      <button
        type="button"
        className="quiet mark inline-flex items-center align-middle"
        aria-expanded={open}
        aria-controls={id}
        aria-label={`Working of ${of}`}
        title={`Working of ${of}`}
        onClick={onToggle}
      >
        <Sigma size={15} aria-hidden="true" />
      </button>
      {open && (
        <div id={id} className="working my-1 font-normal text-base-content" aria-live="polite">
          {steps.length === 0 && <p>{waits || 'Given, not computed.'}</p>}
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

function told(tell: (record: Recorder) => void, unit: LengthUnit) {
  const { steps, record } = collectWorking();
  tell(record);
  return steps.map((step) => wordStep(step, unit));
}
