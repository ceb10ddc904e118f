import type { LengthUnit } from '@whelk/core/quantity';
import type { Loads, Plan } from '@whelk/core/route';
import type { Recorder } from '@whelk/core/working';
import { measure, powerOf } from '../../ui/format.ts';
import { LoadBar } from '../../ui/LoadBar.tsx';
import { Working } from '../../ui/working/Working.tsx';

type Cut = Plan['operations'][number];

/** Share of what a cut may bend the work that it does bend it; none of a tool that cuts along the axis only. */
const bendShare = ({ bendMm, bendAllowedMm }: Partial<Loads> = {}): number =>
  bendMm === undefined || !bendAllowedMm ? 0 : bendMm / bendAllowedMm;

/** The cut of a plan that asks most of something. */
export function worstCut(plan: Plan | undefined, pick: (o: Cut) => number): Cut | undefined {
  return (plan?.operations ?? [])
    .filter((o) => o.loads)
    .reduce<Cut | undefined>((w, o) => (w === undefined || pick(o) > pick(w) ? o : w), undefined);
}

/** What motor, work and grip are asked by the worst cuts of a plan. */
export function Bears({
  plan,
  tell,
  nameOf,
  drawn,
  unit,
}: {
  plan: Plan | undefined;
  tell: (operationId: string, codes: readonly string[]) => (record: Recorder) => void;
  nameOf: (featureId: string | undefined) => string;
  unit: LengthUnit;
  /** what the strip draws of the bending */
  drawn?: { readonly awayMm: number; readonly inRoughing: boolean };
}) {
  const byPower = worstCut(plan, (o) => o.loads!.powerKw / o.loads!.availableKw);
  const byBend = worstCut(plan, (o) => bendShare(o.loads));
  const byGrip = worstCut(plan, (o) => o.loads!.gripShare);
  if (!byPower?.loads || !byBend?.loads || !byGrip?.loads) return null;
  const bends = ['cutting.force', 'mechanics.chuckCentre', 'mechanics.cantilever', 'mechanics.betweenCentres'];
  return (
    <div className="mt-5 flex flex-col gap-5">
      <LoadBar
        name="Motor"
        share={byPower.loads.powerKw / byPower.loads.availableKw}
        text={`${powerOf(byPower.loads.powerKw, byPower.loads.availableKw, unit)}, ${byPower.setting?.speedLabel}, at ${nameOf(byPower.featureId)}`}
        after={<Working of="motor load" tell={tell(byPower.id, ['cutting.force', 'cutting.power'])} />}
      />
      <LoadBar
        name="Bends"
        share={bendShare(byBend.loads)}
        text={`${measure(byBend.loads.bendMm ?? 0, unit)} of ${measure(byBend.loads.bendAllowedMm ?? 0, unit)} ${unit} on the diameter, at ${nameOf(byBend.featureId)}`}
        after={<Working of="bending" tell={tell(byBend.id, bends)} />}
      />
      {drawn && (
        <p className="-mt-4 pl-[4.25rem] text-sm">
          Dashed on the strip, drawn far larger: it gives way {measure(drawn.awayMm, unit)} {unit}{' '}
          {drawn.inRoughing ? 'in roughing' : 'in the last cuts'}.
        </p>
      )}
      <LoadBar
        name="Grip"
        share={byGrip.loads.gripShare}
        text={`${Math.round(byGrip.loads.gripShare * 100)} % of what it is safely held with, at ${nameOf(byGrip.featureId)}`}
        after={<Working of="grip" tell={tell(byGrip.id, ['cutting.force', 'mechanics.grip', 'mechanics.tipping'])} />}
      />
      <p className="muted text-sm">
        Roughing may bend the work by half its allowance, finishing by a quarter of the limits. Radial force 0.3 to 0.5
        of the cutting force, more the shallower it is against the nose.
      </p>
    </div>
  );
}
