import { raUm, rzUm } from '@whelk/core/cutting';
import { surfacePicture } from '@whelk/core/picture';
import type { EdgeTool } from '@whelk/core/tool';
import { feed as feedText, feedUnit } from '../../ui/format.ts';
import { PictureView } from '../../ui/strip/PictureView.tsx';

/** A roughness in the page's unit: µm, or millionths of an inch. */
const rough = (um: number, unit: 'mm' | 'in'): string =>
  unit === 'mm' ? `${Number(um.toPrecision(2))} µm` : `${Math.round(um / 0.0254)} µin`;

/** The surface that this nose leaves at this feed, magnified, with the height of its marks; nothing where it leaves none. */
export function Surface({ feedMmPerRev, tool, unit }: { feedMmPerRev: number; tool: EdgeTool; unit: 'mm' | 'in' }) {
  if (tool.flatMm) return null;
  const made = surfacePicture(
    { feedMmPerRev, noseRadiusMm: tool.noseRadiusMm },
    { width: 300, height: 112, rz: '', feed: `${feedText(feedMmPerRev, unit)} ${feedUnit(unit)}` },
  );
  if (!made) return null;
  const [rz, ra] = [rzUm(feedMmPerRev, tool.noseRadiusMm), raUm(feedMmPerRev, tool.noseRadiusMm)];
  return (
    <figure className="mt-3 max-w-80">
      <PictureView
        picture={made.picture}
        label={`Surface magnified: marks ${rough(rz, unit)} high, ${feedText(feedMmPerRev, unit)} ${feedUnit(unit)} apart`}
        textSize={14}
      />
      <figcaption className="muted text-sm">
        The surface it leaves by feed and nose: Rz {rough(rz, unit)}, Ra {rough(ra, unit)}; drawn{' '}
        {times(made.timesRatio)} times higher than wide. Real edges leave more.
      </figcaption>
    </figure>
  );
}

/** A magnification as it is said. */
const times = (ratio: number): string => (ratio < 2 ? '1' : String(Number(ratio.toPrecision(2))));
