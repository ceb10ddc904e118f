import type { Material } from '@whelk/core/material';
import { type Warming, warmingOf } from '@whelk/core/mechanics';
import { type LengthUnit, shortLength } from '@whelk/core/quantity';
import { power } from '../../ui/format.ts';
import { Working } from '../../ui/working/Working.tsx';

/** Growth of the work that a plain centre bears before it is eased, mm. */
const EASE_MM = 0.03;

/** When to ease the tail centre while the work warms. */
export function Easing({
  material,
  massKg,
  lengthMm,
  powerKw,
  minutes,
  unit,
}: {
  material: Material;
  massKg: number;
  lengthMm: number;
  powerKw: number;
  /** how long it is cut so, if that is known */
  minutes?: number;
  unit: LengthUnit;
}) {
  const work = { massKg, lengthMm, expansionPerK: material.expansionPerK, group: material.group };
  if (!(massKg > 0 && lengthMm > 0 && powerKw > 0)) return null;
  const warming: Warming = warmingOf(work, powerKw, EASE_MM);
  const grows = (mm: number) => `${shortLength(mm, unit, unit === 'mm' ? 2 : 3)} ${unit}`;
  const never = minutes !== undefined && minutes < warming.easeAfterMin;
  return (
    <p className="text-lg">
      {never ? (
        <>
          The work grows {grows(warming.growsMmPerMin * minutes)} while it is roughed: once all is rough, ease the tail
          centre and set it anew.
        </>
      ) : (
        <>
          Ease the tail centre after about <b className="setting">{easeText(warming.easeAfterMin)}</b> in the cut, and
          again before finishing.
        </>
      )}
      <Working of="warming" tell={(record) => void warmingOf(work, powerKw, EASE_MM, record)} />
      <span className="muted block text-base">
        It warms by {warming.risesKPerMin.toFixed(1)} °C a minute at {power(powerKw, unit)} and grows{' '}
        {shortLength(warming.growsMmPerMin, unit, unit === 'mm' ? 3 : 4)} {unit} a minute, coolant not counted.
      </span>
    </p>
  );
}

const easeText = (minutes: number): string =>
  minutes < 1
    ? `${Math.max(5, Math.round((minutes * 60) / 5) * 5)} s`
    : `${minutes < 10 ? Math.round(minutes * 2) / 2 : Math.round(minutes)} min`;
