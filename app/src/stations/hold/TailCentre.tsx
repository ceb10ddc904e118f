import type { Job, PlannedSetup } from '@whelk/core/job';
import { outsides } from '@whelk/core/part';
import { kindOf } from '@whelk/core/route';
import { rawEndMm, reachOf } from '@whelk/core/work';
import { CentreDesk } from '../../desks/centres/CentreDesk.tsx';
import { Easing } from '../../desks/centres/Easing.tsx';
import { inUnit } from '../../messages/in-unit.ts';

/** The tail centre of this job: its hole, and when it is eased. */
export default function TailCentre({ job, setup }: { job: Job; setup: PlannedSetup }) {
  const { plan, means, piece } = setup;
  const stockMm = reachOf(piece).largestMm;
  const rough = plan.operations.filter((o) => kindOf(o.kind).act === 'rough' && o.loads && o.setting);
  const powerKw = Math.max(0, ...rough.map((o) => o.loads!.powerKw));
  const minutes = rough.reduce((sum, o) => sum + o.passes.reduce((m, p) => m + p.minutes, 0), 0);
  // what the route chose its centre drill by
  const { pilotMm: drilled, massKg = 0, forceN = 0 } = plan.operations.find((o) => o.kind === 'centre') ?? {};
  const { unit } = job.drawing;
  return (
    <>
      <CentreDesk
        key={`${stockMm}-${massKg}-${forceN}`}
        unit={unit}
        stockMm={stockMm}
        endMm={outsides(piece.part).at(-1)?.diameterMm ?? stockMm}
        massKg={massKg}
        forceN={forceN}
        allowanceMm={rawEndMm(piece, 'right')}
      />
      {drilled !== undefined && drilled > 0 && (
        <p className="muted mt-1 text-sm">
          The route drills {inUnit(unit).len(drilled)}: the largest in the drawer that is no larger than wanted.
        </p>
      )}
      {powerKw > 0 && plan.held && (
        <div className="mt-4">
          <Easing {...{ massKg, powerKw, minutes, unit }} material={means.material} lengthMm={plan.held.overhangMm} />
        </div>
      )}
    </>
  );
}
