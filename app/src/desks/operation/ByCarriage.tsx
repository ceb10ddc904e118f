import { dialMove, type Lathe } from '@whelk/core/lathe';
import { inUnit } from '../../messages/in-unit.ts';
import { wayWith } from '../../ui/dial-window/HandsList.tsx';

/** A depth from where the tool touches, as the carriage brings the work to a tool that turns in the spindle. */
export function ByCarriage({ lathe, depthMm, from }: { lathe: Lathe; depthMm: number; from: string }) {
  const { unit, slides } = lathe;
  const { carriage } = slides;
  const shown = inUnit(unit).len(depthMm, 1);
  if (carriage.means !== 'dial')
    return (
      <p className="text-lg">
        <b>{shown}</b> from {from}, the work fed to the headstock by the carriage: by a line scribed on the bed.
      </p>
    );
  const move = dialMove(carriage, 0, depthMm);
  return (
    <p className="text-lg">
      <b>{shown}</b> from {from}, the work fed to the headstock by the carriage:{' '}
      {wayWith(move.fullTurns, move.rest, carriage.unit)} on its wheel, {move.hand}.
    </p>
  );
}
