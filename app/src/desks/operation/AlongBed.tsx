import { dialMove, dialScale } from '@whelk/core/lathe';
import { ROUNDING } from '@whelk/core/quantity';
import type { FrozenRun } from '@whelk/core/run';
import { DialRow } from '../../ui/dial-window/DialRow.tsx';
import { wayText } from '../../ui/dial-window/HandsList.tsx';
import { measure } from '../../ui/format.ts';

/** Cuts along the bed by the compound: the number for each, and the last one where it is less. */
export function AlongBed({ frozen, cutsMm }: { frozen: FrozenRun; cutsMm: readonly number[] }) {
  const { unit, slides } = frozen.means.lathe;
  const dial = slides.compound;
  const f = (mm: number) => `${measure(mm, unit, unit === 'mm' ? 2 : 3)} ${unit}`;
  const [first, last] = [cutsMm[0]!, cutsMm.at(-1)!];
  const together = cutsMm.reduce((sum, mm) => sum + mm, 0);
  const move = dialMove(dial, 0, first);
  return (
    <>
      <p className="max-w-xl text-lg">
        <b>
          {cutsMm.length === 1 ? 'One cut' : `${cutsMm.length} cuts`} of {f(first)}
        </b>
        {last < first - ROUNDING ? `, the last one of ${f(last)}` : ''}
        {cutsMm.length > 1 ? `: ${f(together)} in all` : ''}, by the compound.
      </p>
      {dial.resettable ? (
        <DialRow
          name={cutsMm.length === 1 ? 'Compound' : 'Compound, for each cut'}
          dial={dial}
          move={move}
          note={`${dialScale(dial).lineNumber.valueOf()} ${dial.unit} a line`}
          sub="from 0, where it touched or where the cut before stood"
        />
      ) : (
        <p className="hands-how">
          Note the compound’s number where it touches. For each cut {wayText(move.fullTurns, move.rest)} {dial.unit}{' '}
          further, {move.hand}.
        </p>
      )}
    </>
  );
}
