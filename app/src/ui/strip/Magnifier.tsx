import type { Part } from '@whelk/core/part';
import { roundOf } from '@whelk/core/part';
import { type StripView, stripPicture } from '@whelk/core/picture';
import { useEffect, useMemo } from 'react';
import { useWidth } from '../useWidth.ts';
import { PictureView } from './PictureView.tsx';

const HIGH = 240;
/** Share of the width that the selected length takes under the glass, and the largest growth. */
const SHARE = 0.4;
const MOST = 60;

/** A piece of a strip: left, top, width and height in its own units. */
export type GlassWindow = readonly [number, number, number, number];

/** A piece of the strip under a glass, grown the same both ways: what is selected, with its neighbours beside it. */
export function Magnifier({
  part,
  view,
  onSelect,
  onWindow,
}: {
  part: Part;
  view: Omit<StripView, 'width' | 'height'>;
  onSelect?: (id: string) => void;
  /** what the glass covers, in the units of the strip above it; none while nothing is selected */
  onWindow?: (window: GlassWindow | undefined) => void;
}) {
  const [ref, width] = useWidth<HTMLDivElement>(1200);
  const shown = useMemo(() => {
    const found = roundOf(part, view.selectedId ?? '');
    if (!found) return undefined;
    const [from, to] = [found.zFromMm, found.zToMm];
    const plain = stripPicture(part, { ...view, width, height: 236 });
    const growth = Math.min(MOST, Math.max(1.5, (SHARE * width) / Math.max(0.5, (to - from) * plain.unitsPerMm)));
    const picture = stripPicture(part, {
      ...view,
      width: width * growth,
      height: 236 * growth,
      labels: [],
      overall: '',
    });
    const middle = picture.origin[0] + ((from + to) / 2) * picture.unitsPerMm;
    const radius = found.diameterMm / 2;
    // the surface of what is selected in the middle of the glass; a whole part that fits is shown whole
    const tall = part.largestMm * picture.unitsPerMm;
    const inside = found.side === 'inside';
    const y =
      tall < HIGH * 0.9 ? picture.origin[1] : picture.origin[1] + (inside ? 1 : -1) * radius * picture.unitsPerMm;
    const box = [middle - width / 2, y - HIGH / 2, width, HIGH] as const;
    const back = plain.unitsPerMm / picture.unitsPerMm;
    return {
      picture,
      box,
      growth: 1 / back,
      window: [
        plain.origin[0] + (box[0] - picture.origin[0]) * back,
        plain.origin[1] + (box[1] - picture.origin[1]) * back,
        box[2] * back,
        box[3] * back,
      ] as const,
    };
  }, [part, view, width]);
  useEffect(() => {
    onWindow?.(shown?.window);
    return () => onWindow?.(undefined);
  }, [shown, onWindow]);
  return (
    <section ref={ref} aria-label="Under the glass" className="glass">
      {shown ? (
        <>
          <PictureView
            picture={shown.picture}
            box={shown.box}
            label={`The selected feature, grown ${shown.growth.toFixed(1)} times`}
            onSelect={onSelect}
          />
          <span className="glass-scale">{shown.growth.toFixed(shown.growth < 10 ? 1 : 0)} ×</span>
        </>
      ) : (
        <p className="muted p-4 text-center">Select a feature to see it under the glass.</p>
      )}
    </section>
  );
}
