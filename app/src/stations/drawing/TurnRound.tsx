import type { Job } from '@whelk/core/job';
import { type Drawing, drawnRound, keepsFromRound, opposite } from '@whelk/core/part';
import { FlipHorizontal2 } from 'lucide-react';
import { useState } from 'react';
import { tellProblem } from '../../messages/problems.ts';

/** A job whose drawing was turned end for end: the metal lies in the lathe as it did. */
export const turnedRound = (job: Job, drawing: Drawing): Job => ({
  ...job,
  drawing,
  hold: {
    ...job.hold,
    setups: job.hold.setups.map((s) => ({ ...s, tail: opposite[s.tail] })) as Job['hold']['setups'],
  },
});

/** Draws the part the other way round; what of it cannot be said so is told when it is asked for. */
export function TurnRound({ drawing, onTurn }: { drawing: Drawing; onTurn: (drawing: Drawing) => void }) {
  const [asked, setAsked] = useState(false);
  const keeps = keepsFromRound(drawing);
  const told = keeps && tellProblem<string>(keeps);
  return (
    <>
      {asked && told && (
        <p role="alert" className="field-problem max-w-md">
          {told.what} {told.right}
        </p>
      )}
      <button
        type="button"
        className="quiet inline-flex items-center gap-1"
        title="Draw the part the other way round: what is left is right"
        onClick={() => {
          setAsked(true);
          const round = drawnRound(drawing);
          if (round.ok) onTurn(round.drawing);
        }}
      >
        <FlipHorizontal2 size={16} aria-hidden="true" /> Turn round
      </button>
    </>
  );
}
