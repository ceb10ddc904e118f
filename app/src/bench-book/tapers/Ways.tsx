import type { Lathe } from '@whelk/core/lathe';
import { halfDegOf } from '@whelk/core/taper';
import { heightErrorMm, riseMm, sineHeightMm, type TaperWay, taperWays } from '@whelk/core/tapering';
import { inUnit } from '../../messages/in-unit.ts';
import { angleText, taperWayNames, whyNotText } from '../../messages/taper.ts';

/** Travel over which an indicator is read, and a sine bar's length. */
const TRAVEL = { mm: 50, in: 50.8 } as const;
const SINE = { mm: 100, in: 127 } as const;
/** A tool so far off the axis is told of. */
const HEIGHT_MM = 0.2;

interface Props {
  readonly lathe: Lathe;
  readonly perLength: number;
  readonly lengthMm: number;
  readonly largeMm: number | undefined;
  readonly side: 'outside' | 'inside';
  readonly between: { wholeMm: number; headDepthMm: number; tailDepthMm: number } | undefined;
  readonly lengthsVary: boolean;
}

/** How a lathe turns a cone: the ways that it has with their numbers, and why the others are none. */
export function Ways({ lathe, perLength, lengthMm, largeMm, side, between, lengthsVary }: Props) {
  const u = inUnit(lathe.unit);
  const ways = taperWays(lathe, { perLength, lengthMm, side, lengthsVary, ...(between ? { between } : {}) });
  const half = Math.abs(halfDegOf(perLength));
  const fine = (mm: number): string => u.len(mm, 3);
  const travel = TRAVEL[lathe.unit];
  const sine = SINE[lathe.unit];
  return (
    <section aria-label="On the lathe" className="mt-6">
      <h2>{lathe.name}</h2>
      <ul className="mt-2 flex max-w-4xl flex-col gap-3">
        {ways.map((way) => (
          <li
            key={way.way}
            className={way.can ? 'border-l-4 border-[var(--good)] pl-4' : 'muted border-l-4 border-[var(--line)] pl-4'}
          >
            <h3 className="text-lg">
              {taperWayNames[way.way]}
              {!way.can && <span className="font-normal">: {whyNotText(way.why, way.limit, u)}</span>}
            </h3>
            {way.can && <Setting {...{ way, lathe, lengthMm, half }} between={between} />}
          </li>
        ))}
      </ul>
      <dl className="mt-5 grid max-w-4xl grid-cols-[auto_1fr] gap-x-6 gap-y-1 text-base">
        <dt className="muted">Set by an indicator</dt>
        <dd>
          over {u.len(travel, 1)} of the compound on a true bar <b>{fine(riseMm(half, travel, 'compound'))}</b>; with
          the carriage along a finished cone <b>{fine(riseMm(half, travel, 'cone'))}</b>
        </dd>
        <dt className="muted">Set by a sine bar</dt>
        <dd>
          of {u.len(sine, 0)}: blocks of <b>{fine(sineHeightMm(half, sine))}</b> for the half angle
        </dd>
        {largeMm !== undefined && largeMm > 2 * HEIGHT_MM && (
          <>
            <dt className="muted">Tool on centre</dt>
            <dd>
              {u.len(HEIGHT_MM, 3)} too high or too low leaves the small end{' '}
              {(1000 * heightErrorMm(largeMm, half, lengthMm, HEIGHT_MM)).toFixed(1)} µm large, and the side hollow
            </dd>
          </>
        )}
      </dl>
    </section>
  );
}

/** The numbers of one way. */
function Setting({
  way,
  lathe,
  lengthMm,
  half,
  between,
}: {
  way: Extract<TaperWay, { can: true }>;
  lathe: Lathe;
  lengthMm: number;
  half: number;
  between: Props['between'];
}) {
  const u = inUnit(lathe.unit);
  const one = (mm: number): string => u.len(mm, 1);
  const fine = (mm: number): string => u.len(mm, 2);
  if (way.way === 'compound') {
    const { set } = way;
    return (
      <p>
        Its scale at <b>{set.scaleDeg.toFixed(1)}°</b> (
        {lathe.slides.compoundZero === 'bed' ? 'from along the bed' : 'from the cross-slide’s line'}
        ). By eye that is right to a sixth of a degree, {fine(set.eyeMm)} on the diameter over this length: an indicator
        for the rest. The slide goes {one(set.travelMm)} of its {one(set.roomMm)}, by hand, about{' '}
        {Math.max(1, Math.round(set.passMin))} min a pass; begin {one(set.beginsMm)} back.
        {set.settings > 1 &&
          ' Longer than the slide goes: two settings along the work, the join blended with a file and emery.'}
      </p>
    );
  }
  if (way.way === 'setOver') {
    const { set } = way;
    return (
      <p>
        Tail centre <b>{fine(set.offsetMm)}</b> {set.way === 'tool' ? 'towards you' : 'away from you'}, from true; the
        rule of thumb says {fine(set.byRuleMm)}. Each length of work has its own. Read it by an indicator on the quill,
        and bring it back to true by two collars after.
        {way.balls && ' The centres bear on one edge at this angle: ball-ended ones.'}
        {between &&
          ` Between where it turns about its centres ${one(between.wholeMm - between.headDepthMm - between.tailDepthMm)}.`}
      </p>
    );
  }
  if (way.way === 'attachment')
    return (
      <p>
        {way.graduated === 'degrees' ? (
          <>
            Its bar at <b>{half.toFixed(2)}°</b>, {angleText(half)} to the axis.
          </>
        ) : (
          <>
            Its bar at{' '}
            <b>
              {lathe.unit === 'mm'
                ? `${(100 * way.perLength).toFixed(2)} mm in 100 mm`
                : `${(12 * way.perLength).toFixed(4)} in on a foot`}
            </b>{' '}
            of diameter.
          </>
        )}{' '}
        The slack is taken out before each cut: past the end of the work, then back. Power feed, {one(lengthMm)} at one
        go.
      </p>
    );
  return (
    <p>An edge of {one(way.edgeMm)} ground or set to the half angle, pushed straight in: carriage locked, slow, oil.</p>
  );
}
