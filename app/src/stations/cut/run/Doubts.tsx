import type { Measured } from '@whelk/core/run';
import { measure } from '../../../ui/format.ts';
import { slipText } from './refusals.ts';
import type { useRun } from './useRun.ts';

/** Readings that the dial does not let expect are asked about before they are believed, with the slips that would explain them. */
export function Doubts({
  doubts,
  unit,
  places,
  add,
}: {
  doubts: Measured['doubts'];
  unit: 'mm' | 'in';
  places: number;
  add: ReturnType<typeof useRun>['add'];
}) {
  const f = (mm: number) => `${measure(mm, unit, places)} ${unit}`;
  return (
    <>
      {doubts.map(({ reading, doubt }) => {
        // one that is a slip of the reading itself can be put right with one tap
        const meant = doubt.slips.find((slip) => slip.code !== 'otherSurface');
        const text = meant && measure(meant.meantMm, reading.unit, reading.unit === 'mm' ? 3 : 4);
        return (
          <section key={reading.eventId} role="alert" className="border-l-4 border-[var(--brass)] pl-4">
            <h2 className="text-2xl">Look again: is it {reading.text}?</h2>
            <p className="mt-1 text-lg">
              The dial lets expect <b>{f(doubt.expectedMm)}</b>, give or take {f(doubt.boundMm)}. This is{' '}
              {f(Math.abs(doubt.offMm))} {doubt.offMm > 0 ? 'more' : 'less'}.
            </p>
            {doubt.slips.length > 0 && (
              <>
                <p className="mt-2 text-lg">It would be explained by</p>
                <ul className="list-inside list-disc text-lg">
                  {doubt.slips.map((slip) => (
                    <li key={`${slip.code}${slip.meantMm}`}>
                      {slipText(slip.code, f(Math.abs(slip.byMm)), slip.surface)}
                    </li>
                  ))}
                </ul>
              </>
            )}
            <p className="muted mt-2">Wipe the work and the anvils, check the surface, read once more.</p>
            <div className="mt-3 flex flex-wrap gap-3">
              <button
                type="button"
                className="act"
                onClick={() => add({ kind: 'confirmed', readingId: reading.eventId })}
              >
                I looked again: it is {reading.text}
              </button>
              {text && (
                <button
                  type="button"
                  className="act"
                  onClick={() =>
                    add({ kind: 'corrected', readingId: reading.eventId, raw: { text, unit: reading.unit } })
                  }
                >
                  It is {text}
                </button>
              )}
              <button
                type="button"
                className="act"
                onClick={() => add({ kind: 'setAside', readingId: reading.eventId })}
              >
                Set it aside
              </button>
            </div>
          </section>
        );
      })}
    </>
  );
}
