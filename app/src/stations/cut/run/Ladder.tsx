import { type CutSide, signOf } from '@whelk/core/gauge';
import type { Limits } from '@whelk/core/limit';
import { measure } from '../../../ui/format.ts';

interface Props {
  readonly limits: Limits;
  readonly unit: 'mm' | 'in';
  readonly readingsMm: readonly number[];
  readonly nowMm: number | undefined;
  readonly uncertaintyMm: number;
  readonly targetMm: number | undefined;
  /** which side is cut: metal that is still on lies on top, larger outside, smaller in a hole */
  readonly side?: CutSide;
  /** decimals that the gauge shows */
  readonly places?: number;
}
const W = 296;
const H = 430;
const X = 132;

/**
 * The tolerance ladder. The limits always take at least a fifth of it; a size far above them is shown at the top with a
 * break in the line, so that the zone stays readable.
 */
export function Ladder({ unit, side = 'outside', uncertaintyMm, places, ...sizes }: Props) {
  // a hole is drawn with its sizes turned over, so that cutting goes down the ladder there too
  const sign = signOf(side);
  const turned = (mm: number | undefined) => (mm === undefined ? undefined : sign * mm);
  const { limits: given } = sizes;
  const limits = sign === 1 ? given : { ...given, upperMm: -given.lowerMm, lowerMm: -given.upperMm };
  const [nowMm, targetMm] = [turned(sizes.nowMm), turned(sizes.targetMm)];
  const readingsMm = sizes.readingsMm.map((mm) => sign * mm);
  const zone = limits.upperMm - limits.lowerMm;
  const reach = zone * 1.15;
  const highest = Math.max(limits.upperMm + reach, ...(nowMm !== undefined ? [nowMm + zone * 0.25] : []));
  const lowest = Math.min(limits.lowerMm - zone * 0.8, ...(nowMm !== undefined ? [nowMm - zone * 0.25] : []));
  const broken = highest - limits.upperMm > zone * 4;
  const top = 40;
  const bottom = H - 34;
  const breakY = 130;
  const upTo = broken ? limits.upperMm + reach : highest;
  const y = (mm: number): number => {
    if (broken && mm > upTo) return top + 24;
    const from = broken ? breakY + 24 : top;
    return from + ((upTo - mm) / (upTo - lowest)) * (bottom - from);
  };
  const f = (mm: number) => measure(sign * mm, unit, places ?? (unit === 'mm' ? 3 : 4));
  // limits are the drawing's and keep all their digits
  const limit = (mm: number) => measure(sign * mm, unit, unit === 'mm' ? 3 : 4);
  const size = (mm: number) => measure(mm, unit, places ?? (unit === 'mm' ? 3 : 4));
  const upper = y(limits.upperMm);
  const lower = y(limits.lowerMm);
  const now = nowMm === undefined ? undefined : y(nowMm);
  const guardFits = zone > 2 * uncertaintyMm;
  const band =
    broken && nowMm !== undefined && nowMm > upTo
      ? 7
      : Math.max(3, Math.abs(y(limits.upperMm) - y(limits.upperMm - uncertaintyMm)));
  const nowLabelY = now === undefined ? 0 : spread(now, [upper, lower]);
  const text = `Limits ${limit(sign === 1 ? limits.lowerMm : limits.upperMm)} to ${limit(sign === 1 ? limits.upperMm : limits.lowerMm)} ${unit}.${nowMm === undefined ? ' No reading yet.' : ` Measured ${f(nowMm)} plus or minus ${size(uncertaintyMm)}.`}${targetMm === undefined ? '' : ` To take off: ${size((nowMm ?? 0) - targetMm)}.`}`;
  return (
    <svg className="pic" viewBox={`0 0 ${W} ${H}`} role="img" aria-label={text}>
      <text className="ladder-small" x={W / 2} y={20} textAnchor="middle">
        {sign === 1 ? 'too big' : 'too small'}: metal can still come off
      </text>
      <line className="ladder-line" x1={X} x2={X} y1={top} y2={broken ? breakY - 6 : bottom} />
      {broken && <path className="ladder-line" d={`M${X} ${breakY - 6}l-9 7l18 8l-9 7V${bottom}`} fill="none" />}
      <rect className="ladder-zone" x={X - 34} width={68} y={upper} height={Math.max(2, lower - upper)} />
      {guardFits && (
        <rect
          className="ladder-guard"
          x={X - 34}
          width={68}
          y={y(limits.upperMm - uncertaintyMm)}
          height={y(limits.lowerMm + uncertaintyMm) - y(limits.upperMm - uncertaintyMm)}
        />
      )}
      <text className="ladder-text" x={X + 44} y={upper + 5}>
        {limit(limits.upperMm)}
      </text>
      <text className="ladder-text" x={X + 44} y={lower + 5}>
        {limit(limits.lowerMm)}
      </text>
      {readingsMm.map((mm, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: readings in their order
        <line key={i} className="dial-index" x1={X - 26} x2={X - 8} y1={y(mm)} y2={y(mm)} />
      ))}
      {now !== undefined && nowMm !== undefined && (
        <>
          <rect className="ladder-reading" x={X - 30} width={60} y={now - band} height={band * 2} />
          <path className="ladder-mark" d={`M${X + 34} ${now}l12 -7v14z`} />
          <path className="dial-path" d={`M${X + 46} ${now}L${X + 60} ${nowLabelY - 5}`} />
          <text className="ladder-now" x={X + 64} y={nowLabelY}>
            {f(nowMm)}
          </text>
        </>
      )}
      {targetMm !== undefined && now !== undefined && nowMm !== undefined && (
        <>
          <path className="dial-path" d={`M${X - 52} ${now}V${y(targetMm) - 8}`} />
          <path className="ladder-mark" d={`M${X - 52} ${y(targetMm)}l-6 -11h12z`} />
          <text className="ladder-now" x={X - 58} y={(now + y(targetMm)) / 2} textAnchor="end">
            {sign === 1 ? '−' : '+'}
            {size(nowMm - targetMm)}
          </text>
        </>
      )}
      <text className="ladder-small" x={W / 2} y={H - 10} textAnchor="middle">
        {sign === 1 ? 'too small' : 'too big'}: cannot be put back
      </text>
    </svg>
  );
}

/** Moves a label off the limits' figures, so that no two numbers lie on one another. */
function spread(at: number, taken: readonly number[]): number {
  let y = at + 6;
  for (const other of [...taken].sort((a, b) => a - b))
    if (Math.abs(y - (other + 5)) < 20) y = y <= other + 5 && other - 20 > 30 ? other - 16 : other + 26;
  return y;
}
