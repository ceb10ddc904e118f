import { threadSection } from '@whelk/core/picture';
import type { LengthUnit } from '@whelk/core/quantity';
import type { NamedThread, Side, SizeLimits, ToolTip } from '@whelk/core/thread';
import { byCompound, type ThreadPass } from '@whelk/core/threading';
import { Pause, Play } from 'lucide-react';
import { useEffect, useState } from 'react';
import { measure } from '../../ui/format.ts';
import { PictureView } from '../../ui/strip/PictureView.tsx';

interface Props {
  readonly thread: NamedThread;
  readonly side: Side;
  readonly tip: ToolTip;
  readonly passes: readonly (ThreadPass & { readonly tip?: ToolTip })[];
  readonly compoundDeg: number;
  /** the same angle by the lathe's scale, where there is a lathe */
  readonly scaleDeg?: number;
  readonly wireMm?: number;
  /** of the pitch diameter, and over the crests or of the bore, drawn as bands */
  readonly limits?: SizeLimits;
  readonly crests?: SizeLimits;
  readonly unit: LengthUnit;
  readonly width?: number;
  readonly height?: number;
  /** only the picture */
  readonly bare?: boolean;
}
/** A pass of the film lasts so long. */
const PASS_MS = 350;
const percent = (share: number): string => `${Math.round(100 * share)} %`;

/** The thread cut through along its axis, with its passes stacked in it; a slide goes through them, or they play as a film. */
export function PassesSection({
  thread,
  side,
  tip,
  passes,
  compoundDeg,
  scaleDeg,
  wireMm,
  limits,
  crests,
  unit,
  width = 620,
  height = 330,
  bare = false,
}: Props) {
  const [shown, setShown] = useState<number>();
  const [plays, setPlays] = useState(false);
  const now = Math.min(passes.length, shown ?? passes.length);
  useEffect(() => {
    if (!plays) return;
    const timer = setTimeout(() => (now < passes.length ? setShown(now + 1) : setPlays(false)), PASS_MS);
    return () => clearTimeout(timer);
  }, [plays, now, passes.length]);
  const play = () => {
    if (!plays && now === passes.length) setShown(1);
    setPlays(!plays);
  };
  const at = passes[now - 1];
  const f = (mm: number) => measure(mm, unit, unit === 'mm' ? 2 : 3);
  return (
    <figure>
      <PictureView
        picture={threadSection(
          {
            thread,
            side,
            passes: passes.slice(0, now),
            tip,
            ...(wireMm === undefined ? {} : { wireMm }),
            bands: [limits ?? [], crests ?? []].flat(),
          },
          width,
          height,
        )}
        label={`Section of the thread with ${now} of ${passes.length} passes`}
      />
      {!bare && (
        <div className="mt-1 flex items-center gap-3 text-sm">
          <button type="button" className="btn btn-sm h-9 min-w-24" onClick={play}>
            {plays ? <Pause size={15} aria-hidden="true" /> : <Play size={15} aria-hidden="true" />}
            {plays ? 'Stop' : 'Play'}
          </button>
          <label className="flex flex-1 items-center gap-3">
            Pass
            <input
              type="range"
              className="range range-sm flex-1"
              min={1}
              max={passes.length}
              value={now}
              onChange={(e) => {
                setPlays(false);
                setShown(Number(e.target.value));
              }}
              aria-valuetext={`pass ${now} of ${passes.length}`}
            />
            {now} of {passes.length}
          </label>
        </div>
      )}
      {at && !bare && (
        <figcaption className="mt-1 text-base">
          Chain-dotted the pitch line{wireMm === undefined ? '' : ', the best wire beside'}
          {limits ? ', green the limits' : ''}. {f(at.depthMm)} {unit} deep by then, {f(at.cutMm)} by this pass,{' '}
          {(at.areaMm2 * (unit === 'mm' ? 1 : 1 / 25.4 ** 2)).toFixed(unit === 'mm' ? 3 : 5)} {unit}² of chip
          {scaleDeg !== undefined && compoundDeg > 0
            ? `; compound at ${scaleDeg}° by its scale, its travel ${f(byCompound(at.depthMm, compoundDeg).travelMm)}`
            : ''}
          . Leading flank {percent(at.leadingShare)} of the chip, trailing {percent(at.trailingShare)}, the point the
          rest
          {compoundDeg > 0 ? ': one flank cuts, and chatters less than both would' : ''}.
        </figcaption>
      )}
    </figure>
  );
}
