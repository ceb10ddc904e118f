import type { ThreadReads } from '@whelk/core/run';
import { measure } from '../../../ui/format.ts';

interface Props {
  readonly told: ThreadReads;
  readonly unit: 'mm' | 'in';
  readonly limits: { readonly lowerMm: number; readonly upperMm: number } | undefined;
  /** diameter over the crests beside the groove, mm */
  readonly crests: number;
}

/** What is laid in or let down, and between what it should read. */
export function ThreadTold({ told, unit, limits, crests }: Props) {
  const f = (mm: number) => measure(mm, unit, unit === 'mm' ? 3 : 4);
  const [lower, upper] = limits ? [told.atMm(limits.lowerMm), told.atMm(limits.upperMm)].toSorted((a, b) => a - b) : [];
  return (
    <p className="mt-2 text-base">
      {told.by === 'threeWires' ? (
        <>
          Three wires of <b>Ø{f(told.wireMm)}</b> in the groove, oiled so that they stay; two on one side.
        </>
      ) : told.by === 'oneWire' ? (
        <>
          One wire of <b>Ø{f(told.wireMm)}</b> in the groove, the other anvil on the crests, which are Ø{f(crests)} and
          free of burrs.
        </>
      ) : (
        <>
          Zero on the crests, Ø{f(crests)} and free of burrs; then the point down into the groove. Read the deepest, at
          three places.
        </>
      )}
      {lower !== undefined && upper !== undefined && (
        <>
          {' '}
          Right between <b>{f(lower)}</b> and <b>{f(upper)}</b> {unit}:{' '}
          {told.by === 'threeWires' && limits
            ? `they read ${f(upper - limits.upperMm)} more than the pitch diameter.`
            : 'half of an error of the pitch diameter shows.'}
        </>
      )}
    </p>
  );
}
