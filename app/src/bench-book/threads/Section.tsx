import type { Lathe } from '@whelk/core/lathe';
import { threadSection } from '@whelk/core/picture';
import type { LengthUnit } from '@whelk/core/quantity';
import { formOf, type NamedThread, type Side, threadSheet } from '@whelk/core/thread';
import { byCompound, scaleDeg, usualCompoundDeg, usualPasses } from '@whelk/core/threading';
import { useState } from 'react';
import { measure } from '../../ui/format.ts';
import { PictureView } from '../../ui/strip/PictureView.tsx';

const WIDTH = 620;
const HEIGHT = 330;

/** The thread cut through along its axis, with the passes of this lathe stacked in it and a wire beside. */
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
  const [shown, setShown] = useState<number>();
  const sheet = threadSheet(thread, side, close);
  const { flanksDeg } = formOf(thread);
  const compoundDeg = usualCompoundDeg(flanksDeg[0]);
  const passes = usualPasses({
    ...{ depthMm: sheet.depthMm, pitchMm: thread.pitchMm, flanksDeg, tip: sheet.tip, side, toolMaterial: 'hss' },
    ...{ usualDepthMm: lathe?.rigidity.usualDepthMm ?? 1, group: 'P', school: compoundDeg > 0 ? 'flank' : 'straight' },
    compoundDeg,
  });
  const now = Math.min(passes.length, shown ?? passes.length);
  const at = passes[now - 1];
  const f = (mm: number) => measure(mm, unit, unit === 'mm' ? 2 : 3);
  const percent = (share: number) => `${Math.round(100 * share)} %`;
  return (
    <figure>
      <PictureView
        picture={threadSection(
          {
            thread,
            side,
            passes: passes.slice(0, now),
            tip: sheet.tip,
            ...(sheet.wires ? { wireMm: sheet.wires.bestMm } : {}),
          },
          WIDTH,
          HEIGHT,
        )}
        label={`Section of the thread with ${now} of ${passes.length} passes`}
      />
      <label className="mt-1 flex items-center gap-3 text-sm">
        Pass
        <input
          type="range"
          className="range range-sm flex-1"
          min={1}
          max={passes.length}
          value={now}
          onChange={(e) => setShown(Number(e.target.value))}
          aria-valuetext={`pass ${now} of ${passes.length}`}
        />
        {now} of {passes.length}
      </label>
      {at && (
        <figcaption className="mt-1 text-base">
          Chain-dotted the pitch line{sheet.wires ? ', the best wire beside' : ''}. In steel {f(at.depthMm)} {unit} deep
          by then, {f(at.cutMm)} by this pass
          {compoundDeg > 0 && lathe
            ? `; compound at ${scaleDeg(lathe, compoundDeg)}° by its scale, its travel ${f(byCompound(at.depthMm, compoundDeg).travelMm)}`
            : ''}
          . Leading flank {percent(at.leadingShare)} of the chip, trailing {percent(at.trailingShare)}, the point the
          rest
          {compoundDeg > 0 ? ': one flank cuts, and chatters less than both would' : ''}.
        </figcaption>
      )}
    </figure>
  );
}
