import type { Limits } from '@whelk/core/limit';

interface Props {
  readonly unit: 'mm' | 'in';
  readonly side: 'outside' | 'inside';
  readonly limits: Pick<Limits, 'upperMm' | 'lowerMm'>;
  readonly onFeel: (feel: 'large' | 'small', madeTo: string) => void;
}

/**
 * A ring or plug for a thread, with its two ends: go is made to the limit that is met first while metal comes off, not-go to the one that
 * cannot be put back.
 */
export function ThreadGauge({ unit, side, limits, onFeel }: Props) {
  // a gauge's end is its limit, to the last figure that the standard has
  const at = (mm: number): string => String(Number((unit === 'mm' ? mm : mm / 25.4).toFixed(unit === 'mm' ? 6 : 8)));
  const outside = side === 'outside';
  const goes = outside ? 'goes on' : 'goes in';
  const [go, notGo] = outside ? [limits.upperMm, limits.lowerMm] : [limits.lowerMm, limits.upperMm];
  const [metalOn, gone] = outside ? (['large', 'small'] as const) : (['small', 'large'] as const);
  return (
    <div className="mt-2 flex flex-col gap-2">
      <p className="text-[0.95rem]">Clean and oiled, by two fingers, never by force.</p>
      <button type="button" className="btn h-auto min-h-12 py-1" onClick={() => onFeel(metalOn, at(go))}>
        Go does not go: metal has to come off
      </button>
      <button
        type="button"
        className="btn h-auto min-h-12 py-1"
        onClick={() => {
          onFeel(gone, at(go));
          onFeel(metalOn, at(notGo));
        }}
      >
        Go goes all the way, not-go does not start
      </button>
      <button type="button" className="btn h-auto min-h-12 py-1" onClick={() => onFeel(gone, at(notGo))}>
        Not-go {goes}: too {outside ? 'small' : 'large'}
      </button>
    </div>
  );
}
