import { type Lathe, scaleDeg } from '@whelk/core/lathe';
import type { LengthUnit } from '@whelk/core/quantity';
import {
  formOf,
  type NamedThread,
  type Side,
  type SizeLimits,
  type ThreadLimits,
  threadSheet,
} from '@whelk/core/thread';
import { usualCompoundDeg, usualPasses } from '@whelk/core/threading';
import { PassesSection } from '../../desks/thread/PassesSection.tsx';

/** Limits of what is there before the thread is cut. */
const crestsOf = ({ side, major, minor }: ThreadLimits): { crests?: SizeLimits } => {
  const of = side === 'outside' ? major : minor;
  return 'upperMm' in of ? { crests: of } : {};
};

/** The thread cut through along its axis, with the passes of this lathe in steel stacked in it and a wire beside. */
export function Section({
  thread,
  side,
  close,
  lathe,
  unit,
}: {
  thread: NamedThread;
  side: Side;
  close: string;
  lathe: Lathe | undefined;
  unit: LengthUnit;
}) {
  const sheet = threadSheet(thread, side, close);
  const { flanksDeg } = formOf(thread);
  const compoundDeg = usualCompoundDeg(flanksDeg[0]);
  const passes = usualPasses({
    ...{ depthMm: sheet.depthMm, pitchMm: thread.pitchMm, flanksDeg, tip: sheet.tip, side, toolMaterial: 'hss' },
    ...{ usualDepthMm: lathe?.rigidity.usualDepthMm ?? 1, group: 'P', school: compoundDeg > 0 ? 'flank' : 'straight' },
    compoundDeg,
  });
  return (
    <PassesSection
      {...{ thread, side, passes, compoundDeg, unit, tip: sheet.tip }}
      {...(lathe ? { scaleDeg: scaleDeg(lathe, compoundDeg) } : {})}
      {...(sheet.limits ? { limits: sheet.limits.pitchDiameter, ...crestsOf(sheet.limits) } : {})}
      {...(sheet.wires ? { wireMm: sheet.wires.bestMm } : {})}
    />
  );
}
