import { effectOf, type FrozenRun, type RunEvent } from '@whelk/core/run';
import { useMemo } from 'react';
import { nameOf } from '../../../desks/operation/at-lathe.ts';
import { verdictText } from '../../../messages/words.ts';
import { measure } from '../../../ui/format.ts';

/** After a reading was corrected or taken back: what that changed, until the run goes on. */
export function Changed({ frozen, events }: { frozen: FrozenRun; events: readonly RunEvent[] }) {
  const last = events.findLast((event) => event.kind !== 'note');
  const id = last?.kind === 'corrected' || last?.kind === 'setAside' ? last.id : undefined;
  const effect = useMemo(() => (id ? effectOf(frozen, events, id) : undefined), [frozen, events, id]);
  if (!effect) return null;
  const { unit } = frozen.means.lathe;
  const f = (mm: number) => `Ø${measure(mm, unit, unit === 'mm' ? 2 : 3)}`;
  const lines = [
    ...(effect.number ? [`The dial for this cut is now ${effect.number.is}, it was ${effect.number.was}.`] : []),
    ...effect.lengths.map(
      ({ featureId, wasMm, isMm }) =>
        `${nameOf(frozen, featureId)} stands at about ${f(isMm)}, it was believed ${f(wasMm)}.`,
    ),
    ...effect.verdicts.map(
      ({ featureId, was, is }) =>
        `${nameOf(frozen, featureId)}: ${verdictText[is as 'fits'].toLowerCase()}, it was ${verdictText[was as 'fits'].toLowerCase()}.`,
    ),
  ];
  return (
    <div role="status" className="notice">
      <b>What that changes.</b> {lines.join(' ')}
    </div>
  );
}
