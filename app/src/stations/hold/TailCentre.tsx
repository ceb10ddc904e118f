import type { Job, PlannedJob } from '@whelk/core/job';
import { barMassKg } from '@whelk/core/stock';
import { CentreDesk } from '../../ui/centres/CentreDesk.tsx';
import { Easing } from '../../ui/centres/Easing.tsx';

/** Share of the cutting force that pushes the work away from the tool. FIELD 1: radial 0.3 to 0.5 of it */
const RADIAL_SHARE = 0.4;

/** The tail centre of this job: its hole, and when it is eased. */
export default function TailCentre({ job, planned }: { job: Job; planned: PlannedJob }) {
  const { plan, barSizes: sizes, material, part, stockMm } = planned;
  if (!plan || !sizes || !material || stockMm === undefined) return null;
  const massKg = barMassKg(sizes.areaMm2, plan.blank.lengthMm, material.densityKgPerM3);
  const rough = plan.operations.filter((o) => o.kind === 'rough' && o.loads && o.setting);
  const powerKw = Math.max(0, ...rough.map((o) => o.loads!.powerKw));
  const minutes = rough.reduce((sum, o) => sum + o.passes.reduce((m, p) => m + p.minutes, 0), 0);
  // force from power and speed: F = P·60000/v
  const forceN = Math.max(
    0,
    ...rough.map((o) => {
      const v = (Math.PI * (o.passes[0]?.diameterBeforeMm ?? stockMm) * o.setting!.rpm) / 1000;
      return v > 0 ? (o.loads!.powerKw * 60_000 * RADIAL_SHARE) / v : 0;
    }),
  );
  const drilled = plan.operations.find((o) => o.kind === 'centre')?.sizes?.pilotMm;
  const { unit } = job.drawing;
  return (
    <>
      <CentreDesk
        key={`${stockMm}-${plan.blank.lengthMm}`}
        unit={unit}
        stockMm={stockMm}
        endMm={part.features.at(-1)?.diameterMm ?? stockMm}
        massKg={massKg}
        forceN={forceN}
        allowanceMm={job.hold.choice.faceTailMm}
      />
      {drilled !== undefined && drilled > 0 && (
        <p className="muted mt-1 text-sm">The route drills {drilled} mm, with a centre drill that is in the drawer.</p>
      )}
      {powerKw > 0 && (
        <div className="mt-4">
          <Easing {...{ material, massKg, powerKw, minutes, unit }} lengthMm={plan.holding.overhangMm} />
        </div>
      )}
    </>
  );
}
