import type { Doubt } from '@whelk/core/gauge';
import { measure } from '../../../ui/format.ts';
import { slipText } from './refusals.ts';

/** A diameter at touching off that is not what was expected there: looked at again before every later number rests on it. */
export function TouchDoubt({
  doubt,
  unit,
  text,
  sure,
  onSure,
}: {
  doubt: Extract<Doubt, { kind: 'doubted' }>;
  unit: 'mm' | 'in';
  text: string;
  sure: boolean;
  onSure: () => void;
}) {
  const f = (mm: number) => `${measure(mm, unit, unit === 'mm' ? 2 : 3)} ${unit}`;
  return (
    <div role="alert" className="mt-4 max-w-3xl border-l-4 border-[var(--brass)] pl-4">
      <p className="text-lg">
        <b>Is it {text}?</b> Between {f(doubt.expectedMm - doubt.boundMm)} and {f(doubt.expectedMm + doubt.boundMm)} was
        expected here; every later number rests on it.
      </p>
      {doubt.slips.length > 0 && (
        <p>
          It would be explained by{' '}
          {doubt.slips.map((s) => slipText(s.code, f(Math.abs(s.byMm)), s.surface)).join(', or ')}.
        </p>
      )}
      <label className="mt-1 flex min-h-12 items-center gap-3 text-lg">
        <input type="checkbox" className="checkbox" checked={sure} onChange={onSure} disabled={sure} />I looked again:
        it is {text}
      </label>
    </div>
  );
}
