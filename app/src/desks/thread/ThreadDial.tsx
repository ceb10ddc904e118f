import { useEffect, useState } from 'react';

interface Props {
  readonly marks: number;
  /** marks that are right, 0 for the one of the first pass */
  readonly right: readonly number[];
  /** how long the dial takes to go round while the carriage stands; the count-in goes by it */
  readonly secondsPerTurn?: number;
  /** which of several starts its marks are for, from 0 */
  readonly start?: number;
  /** teeth of its wheel, where the lathe has several to choose from */
  readonly wheelTeeth?: number;
}

const SIZE = 220;
const R = 92;
const at = (turn: number, r: number): readonly [number, number] => {
  const a = 2 * Math.PI * turn - Math.PI / 2;
  return [SIZE / 2 + r * Math.cos(a), SIZE / 2 + r * Math.sin(a)];
};
/** Seconds before a mark at which it is counted in. */
const COUNT_FROM = 3;

/** The thread dial of this lathe with its right marks lit; tapped as the first mark passes, it counts to the next right one. */
export function ThreadDial({ marks, right, secondsPerTurn, start = 0, wheelTeeth }: Props) {
  const [began, setBegan] = useState<number>();
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (began === undefined) return;
    let frame = requestAnimationFrame(function tick(t) {
      setNow(t);
      frame = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(frame);
  }, [began]);
  const per = secondsPerTurn ?? 0;
  const turned = began === undefined || per <= 0 ? 0 : (Math.max(0, now - began) / 1000 / per) % 1;
  const wait = (mark: number): number => ((((mark / marks - turned) % 1) + 1) % 1) * per;
  const next = right.toSorted((a, b) => wait(a) - wait(b))[0] ?? 0;
  const seconds = wait(next);
  const lit = right.map((m) => m + 1).join(', ');
  return (
    <figure className="flex items-center gap-4">
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        className="h-44 w-44 shrink-0"
        role="img"
        aria-label={`Thread dial with ${marks} marks; right ${right.length === 1 ? 'is' : 'are'} ${lit}`}
      >
        <circle cx={SIZE / 2} cy={SIZE / 2} r={R} fill="var(--paper, none)" stroke="currentColor" strokeWidth={2} />
        {Array.from({ length: marks }, (_, i) => {
          const isRight = right.includes(i);
          const turn = i / marks - turned;
          const [[x1, y1], [x2, y2], [tx, ty]] = [at(turn, R), at(turn, R - (isRight ? 22 : 12)), at(turn, R - 40)];
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: marks are their places
            <g key={i}>
              <line
                {...{ x1, y1, x2, y2 }}
                stroke={isRight ? 'var(--now)' : 'currentColor'}
                strokeWidth={isRight ? 6 : 1.5}
              />
              <text
                x={tx}
                y={ty}
                textAnchor="middle"
                dominantBaseline="central"
                className={isRight ? 'font-bold' : ''}
                fontSize={isRight ? 22 : 14}
                fill={isRight ? 'var(--now)' : 'currentColor'}
              >
                {i + 1}
              </text>
            </g>
          );
        })}
        <path d={`M${SIZE / 2 - 9} 2h18l-9 16z`} fill="currentColor" />
      </svg>
      <figcaption className="max-w-xs text-lg">
        {wheelTeeth !== undefined && <>Wheel of {wheelTeeth} teeth in the leadscrew. </>}
        {right.length === marks ? 'Close the nuts at any mark' : `Close the nuts at ${lit}`};{' '}
        {start === 0 ? 'the first pass at 1.' : 'counted from the mark of the first start.'}
        {per > 0 && (
          <>
            <button
              type="button"
              className="btn mt-2 flex min-h-12"
              onClick={() => {
                setNow(performance.now());
                setBegan(performance.now());
              }}
            >
              Mark 1 passes now: count in
            </button>
            {began !== undefined && (
              <p className="mt-2" aria-live="off">
                Mark <b className="text-2xl">{next + 1}</b>{' '}
                {seconds < 0.35 ? (
                  <b className="text-3xl">now</b>
                ) : (
                  <>
                    in {seconds < COUNT_FROM ? <b className="text-3xl">{Math.ceil(seconds)}</b> : Math.ceil(seconds)} s
                  </>
                )}
              </p>
            )}
          </>
        )}
      </figcaption>
    </figure>
  );
}
