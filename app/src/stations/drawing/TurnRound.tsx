import type { Job } from '@whelk/core/job';
import { type Drawing, drawnRound, keepsFromRound, opposite } from '@whelk/core/part';
import { FlipHorizontal2 } from 'lucide-react';
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

/** Draws the part the other way round, where all of it can be said so. */
export function TurnRound({ drawing, onTurn }: { drawing: Drawing; onTurn: (drawing: Drawing) => void }) {
  const keeps = keepsFromRound(drawing);
  const told = keeps && tellProblem<string>(keeps);
  const label = told ? `${told.what} ${told.right}` : 'Draw the part the other way round: what is left is right';
  return (
    <button
      type="button"
      className="quiet inline-flex items-center gap-1"
      title={label}
      disabled={!!keeps}
      onClick={() => {
        const round = drawnRound(drawing);
        if (round.ok) onTurn(round.drawing);
      }}
    >
      <FlipHorizontal2 size={16} aria-hidden="true" /> Turn round
    </button>
  );
}
