import { parseLength } from '@whelk/core/quantity';
import type { Reading } from '@whelk/core/run';
import { useState } from 'react';

/** One reading as it was typed. Correcting keeps what stood there before. */
export function ReadingRow({
  number,
  reading,
  onCorrect,
}: {
  number: number;
  reading: Reading;
  onCorrect: (text: string) => void;
}) {
  const [text, setText] = useState<string>();
  const ok = text !== undefined && parseLength(text, reading.unit).ok;
  return (
    <li className="flex min-h-12 flex-wrap items-center gap-3 border-b border-[var(--line)]">
      <span className="muted w-4 text-sm">{number}</span>
      {text === undefined ? (
        <>
          <span className="text-2xl font-semibold">{reading.text}</span>
          {reading.was.length > 0 && (
            <s className="muted text-sm" title="before it was corrected">
              {reading.was.join(', ')}
            </s>
          )}
          <span className="muted text-sm">{reading.place}</span>
          <button
            type="button"
            className="quiet ml-auto min-h-10 text-sm"
            onClick={() => setText(reading.text)}
            aria-label={`Correct reading ${number}`}
          >
            correct
          </button>
        </>
      ) : (
        <form
          className="flex items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (ok) onCorrect(text.trim());
            if (ok) setText(undefined);
          }}
        >
          <input
            className="input h-11 w-28 text-xl"
            value={text}
            aria-label={`Reading ${number}, corrected`}
            aria-invalid={!ok}
            inputMode="decimal"
            onChange={(e) => setText(e.target.value)}
          />
          <button type="submit" className="btn btn-sm h-11" disabled={!ok}>
            Save
          </button>
          <button type="button" className="quiet" onClick={() => setText(undefined)}>
            Cancel
          </button>
        </form>
      )}
    </li>
  );
}
