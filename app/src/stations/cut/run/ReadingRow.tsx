import { parseLength } from '@whelk/core/quantity';
import type { Reading } from '@whelk/core/run';
import { useState } from 'react';

/** How a gauge without a number went on. */
const feltText = { large: 'work larger', touches: 'just touches', small: 'work smaller' } as const;

/** One reading as it was typed. Correcting keeps what stood there before; set aside it stays in the record and counts no more. */
export function ReadingRow({
  number,
  reading,
  name,
  onCorrect,
  onSetAside,
}: {
  number: number;
  reading: Reading;
  name?: string;
  onCorrect: (text: string) => void;
  onSetAside: () => void;
}) {
  const [text, setText] = useState<string>();
  const ok = text !== undefined && parseLength(text, reading.unit).ok;
  const small = 'quiet min-h-12 px-2 text-sm';
  return (
    <li className="flex min-h-12 flex-wrap items-center gap-x-3 border-b border-[var(--line)]">
      <span className="muted w-4 text-sm">{number}</span>
      {text === undefined ? (
        <>
          {reading.setAside ? (
            <s className="muted py-2 text-2xl" title="set aside: does not count">
              {reading.text}
            </s>
          ) : (
            <span className="text-2xl font-semibold">{reading.text}</span>
          )}
          {reading.was.length > 0 && (
            <s className="muted text-sm" title="before it was corrected">
              {reading.was.join(', ')}
            </s>
          )}
          {!reading.setAside && (
            <span className="ml-auto flex">
              <button type="button" className={small} onClick={() => setText(reading.text)}>
                correct
              </button>
              <button type="button" className={small} onClick={onSetAside} aria-label={`set aside ${reading.text}`}>
                set aside
              </button>
            </span>
          )}
          <span className="muted -mt-2 mb-1 w-full pl-7 text-sm">
            {name ? `${name}, ` : ''}
            {reading.feel ? `${feltText[reading.feel]}, ` : ''}
            {reading.place}
            {reading.setAside ? ', set aside' : ''}
          </span>
        </>
      ) : (
        <form
          className="flex flex-wrap items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (!ok) return;
            if (text.trim() !== reading.text) onCorrect(text.trim());
            setText(undefined);
          }}
        >
          <input
            className="input h-12 w-28 text-xl"
            aria-label={`Reading ${number}, corrected`}
            value={text}
            inputMode={reading.unit === 'mm' ? 'decimal' : 'text'}
            data-field="correct"
            onChange={(e) => setText(e.target.value)}
            // biome-ignore lint/a11y/noAutofocus: it was asked for by the button just pressed
            autoFocus
          />
          <button type="submit" className="btn min-h-12" disabled={!ok}>
            Keep
          </button>
          <button type="button" className={small} onClick={() => setText(undefined)}>
            as it was
          </button>
        </form>
      )}
    </li>
  );
}
