import type { Job, PlannedJob } from '@whelk/core/job';
import { outsides } from '@whelk/core/part';
import { inUnit } from '../../messages/in-unit.ts';
import { CentreDesk } from '../../ui/centres/CentreDesk.tsx';
import { Easing } from '../../ui/centres/Easing.tsx';

/** The tail centre of this job: its hole, and when it is eased. */
export default function TailCentre({ job, planned }: { job: Job; planned: PlannedJob }) {
  const { plan, material, part, stockMm } = planned;
  if (!plan || !material || stockMm === undefined) return null;
  const rough = plan.operations.filter((o) => o.kind === 'rough' && o.loads && o.setting);
  const powerKw = Math.max(0, ...rough.map((o) => o.loads!.powerKw));
  const minutes = rough.reduce((sum, o) => sum + o.passes.reduce((m, p) => m + p.minutes, 0), 0);
  // what the route chose its centre drill by
  const { pilotMm: drilled, massKg = 0, forceN = 0 } = plan.operations.find((o) => o.kind === 'centre')?.sizes ?? {};
  const { unit } = job.drawing;
  return (
    <>
      <CentreDesk
        key={`${stockMm}-${massKg}-${forceN}`}
        unit={unit}
        stockMm={stockMm}
        endMm={outsides(part).at(-1)?.diameterMm ?? stockMm}
        massKg={massKg}
        forceN={forceN}
        allowanceMm={job.hold.choice.faceTailMm}
      />
      {drilled !== undefined && drilled > 0 && (
        <p className="muted mt-1 text-sm">
          The route drills {inUnit(unit).len(drilled)}: the largest in the drawer that is no larger than wanted.
        </p>
      )}
      {powerKw > 0 && (
        <div className="mt-4">
          <Easing {...{ material, massKg, powerKw, minutes, unit }} lengthMm={plan.holding.overhangMm} />
        </div>
      )}
    </>
  );
}
