import { depthRing } from '@whelk/core/lathe';
import type { CheckCut, FrozenRun } from '@whelk/core/run';
import { depthRingName } from '../../../messages/rings.ts';
import { HandsList } from '../../../ui/dial-window/HandsList.tsx';
import { measure } from '../../../ui/format.ts';

/** In a batch the numbers of the piece before live on: the first short cut shows whether they still hold. */
export function CheckFirst({ frozen, check, again }: { frozen: FrozenRun; check: CheckCut; again: boolean }) {
  const { lathe } = frozen.means;
  const size = `Ø${measure(check.diameterMm, lathe.unit, lathe.unit === 'mm' ? 2 : 3)}`;
  return (
    <div className="mt-2 max-w-2xl">
      <p className="text-lg">
        The numbers of the piece before still hold if tool, post and rings were left alone.{' '}
        {again
          ? `At this number the tool should just mark the length roughed last, ${size}.`
          : `Take a short cut at this number, about ${lathe.unit === 'mm' ? '6 mm' : '1/4 in'} long: it should measure ${size}.`}{' '}
        Stop, measure, and enter what it is.
      </p>
      <div className="mt-2">
        <HandsList name={depthRingName(lathe)} dial={depthRing(lathe)} hands={check.hands} />
      </div>
    </div>
  );
}
