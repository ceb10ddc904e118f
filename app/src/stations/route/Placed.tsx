import type { Setup } from '@whelk/core/hold';
import type { PlannedSetup } from '@whelk/core/job';
import { finishedBy, kindOf, type Operation, withMove } from '@whelk/core/route';
import { surfaceText } from '../../messages/waiting.ts';

interface InSetup {
  readonly setup: PlannedSetup;
  readonly onSetup: (change: (setup: Setup) => Setup) => void;
  readonly nameOf: (featureId: string | undefined) => string;
}

/** A setup that leaves a surface for a later one. */
export const leaving =
  (surface: string) =>
  (s: Setup): Setup => ({ ...s, leave: [...(s.leave ?? []).filter((id) => id !== surface), surface] });

/** What an operation is for, and so what is left with it: its length or hole, or what is cut in and the edges that it finishes. */
export const surfaceOfOperation = ({ piece }: PlannedSetup, o: Operation): string | undefined =>
  o.featureId === undefined || kindOf(o.kind).act === 'measure'
    ? undefined
    : (finishedBy(piece.part, o)[0] ?? o.featureId);

/** Where the turner keeps an operation, and whether what it makes is left for a later holding. */
export function Placed({ setup, onSetup, nameOf, operation: o }: InSetup & { readonly operation: Operation }) {
  const move = setup.setup.moves?.find((m) => m.id === o.id);
  const { operations } = setup.plan;
  const next = operations[operations.findIndex((other) => other.id === o.id) + 1]?.id ?? null;
  const surface = surfaceOfOperation(setup, o);
  const lock = (locked: boolean) =>
    onSetup((s) => {
      const moves = s.moves ?? [];
      if (move) return { ...s, moves: moves.map((m) => (m.id === o.id ? { ...m, locked: locked || undefined } : m)) };
      return { ...s, moves: [...withMove(moves, { id: o.id, before: next, locked: true })] };
    });
  return (
    <div className="flex flex-col items-start gap-2">
      <label className="flex min-h-10 cursor-pointer items-center gap-2">
        <input
          type="checkbox"
          className="h-4 w-4"
          checked={move?.locked === true}
          onChange={(e) => lock(e.target.checked)}
        />
        Locked here: it stays when the rest is planned anew
      </label>
      {surface && (
        <button type="button" className="btn btn-sm" onClick={() => onSetup(leaving(surface))}>
          Leave {surfaceText(surface, setup.piece.part, nameOf)} for a later holding
        </button>
      )}
    </div>
  );
}

/** What the turner left in this holding, and the way back. */
export function LeftHere({ setup, onSetup, nameOf }: InSetup) {
  const left = setup.setup.leave ?? [];
  if (left.length === 0) return null;
  return (
    <ul className="mt-2 flex flex-wrap gap-2" aria-label="Left for a later holding by hand">
      {left.map((id) => (
        <li key={id}>
          <button
            type="button"
            className="btn btn-sm"
            onClick={() =>
              onSetup((s) => {
                const rest = (s.leave ?? []).filter((l) => l !== id);
                return { ...s, leave: rest.length > 0 ? rest : undefined };
              })
            }
          >
            Make {surfaceText(id, setup.piece.part, nameOf)} in this holding after all
          </button>
        </li>
      ))}
    </ul>
  );
}
