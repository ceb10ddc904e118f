import type { Dial } from '@whelk/core/lathe';
import { DialWindow } from './DialWindow.tsx';
import { wayText } from './HandsList.tsx';

interface RowProps {
  readonly name: string;
  readonly dial: Dial;
  readonly move: {
    readonly fromLines: number;
    readonly toLines: number;
    readonly fullTurns: number;
    readonly rest: string;
    readonly number: string;
    readonly hand: 'clockwise' | 'anticlockwise' | 'none';
  };
  readonly note: string;
  readonly sub: string;
}

/** A dial window with its number to go to, told in turns and divisions as the hand makes them. */
export function DialRow({ name, dial, move, note, sub }: RowProps) {
  return (
    <section aria-label={name}>
      <h3 className="text-xl font-bold">
        {name} <span className="muted text-sm font-normal">{note}</span>
      </h3>
      <p className="hands-value mt-1">
        {move.number}
        <span className="unit">{dial.unit}</span>
      </p>
      <p className="hands-how mb-2">
        {wayText(move.fullTurns, move.rest)}
        {move.hand === 'none' ? '' : `, ${move.hand}`}
      </p>
      <p className="muted mb-1">{sub}</p>
      <div className="max-w-[620px]">
        <DialWindow name={name} dial={dial} {...move} />
      </div>
    </section>
  );
}
