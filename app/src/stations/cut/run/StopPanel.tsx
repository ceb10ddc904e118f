import { useState } from 'react';
import { cutText } from '../../../exchange/text.ts';
import { TextField } from '../../../ui/number-field/TextField.tsx';
import { Panel } from './Panel.tsx';

/** Giving a piece up before its end: it stays in the log with the reason; Back takes it back. */
export function StopPanel({ onStop, onClose }: { onStop: (reason: string) => void; onClose: () => void }) {
  const [reason, setReason] = useState('');
  return (
    <Panel title="Stop this piece for good?" onClose={onClose}>
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          onStop(cutText(reason.trim(), 400));
        }}
      >
        <p>What was cut stays in the log. To go on later, close this and use Leave instead.</p>
        <TextField label="Why (if you like)" value={reason} onChange={setReason} />
        <div className="flex gap-3">
          <button type="submit" className="act">
            Stop this piece
          </button>
          <button type="button" className="act main" onClick={onClose}>
            Go on cutting
          </button>
        </div>
      </form>
    </Panel>
  );
}
