import { type Dial, dialNumber, dialScale } from '@whelk/core/lathe';

interface Props {
  readonly name: string;
  readonly dial: Dial;
  readonly fromLines: number;
  readonly toLines: number;
  readonly fullTurns: number;
  readonly rest: string;
  readonly hand: 'clockwise' | 'anticlockwise' | 'none';
  readonly width?: number;
}

const HEIGHT = 118;
/** Steps at which numbers stand on a ring, in lines: the first that leaves room between them. */
const LABEL_EVERY = [5, 10, 20, 25, 50, 100];

/**
 * The edge of a handwheel's own ring, rolled to the number to go to: index line, where it stands now, the turns between.
 * Numbers run on the ring the way they run on the lathe.
 */
export function DialWindow({ name, dial, fromLines, toLines, fullTurns, rest, hand, width = 440 }: Props) {
  const { lineNumber, decimals } = dialScale(dial);
  const shown = 24;
  const gap = width / shown;
  const every =
    LABEL_EVERY.find((n) => n * gap >= 74 && dial.divisions % n === 0) ?? LABEL_EVERY.find((n) => n * gap >= 74) ?? 10;
  const middle = width / 2;
  const rising = hand !== 'none' && (hand === 'clockwise') === (dial.numbersRise === 'clockwise');
  const nowLines = cameFrom(fromLines, toLines, dial.divisions, rising);
  const nowX = middle + (nowLines - toLines) * gap;
  const inside = nowX > 12 && nowX < width - 12;
  const lines = [];
  for (let i = Math.ceil(toLines - shown / 2); i <= toLines + shown / 2; i++) {
    const x = middle + (i - toLines) * gap;
    if (x < 4 || x > width - 4) continue;
    const major = i % every === 0;
    const half = i % Math.max(1, Math.round(every / 2)) === 0;
    // the number to go to stands right of the index line
    const atIndex = x - middle > -24 && x - middle < 84;
    lines.push(
      <g key={i}>
        <line
          className="dial-line"
          x1={x}
          x2={x}
          y1={22}
          y2={major ? 50 : half ? 42 : 35}
          strokeWidth={major ? 2 : 1.1}
        />
        {major && !atIndex && (
          <text className="dial-number" x={Math.min(width - 25, Math.max(25, x))} y={72} textAnchor="middle">
            {dialNumber(dial, i)}
          </text>
        )}
      </g>,
    );
  }
  const turns = fullTurns === 0 ? 'less than a turn' : `${fullTurns} full turn${fullTurns === 1 ? '' : 's'}`;
  const label = `${name}: go to ${dialNumber(dial, toLines)}, ${turns}${hand === 'none' ? ', already there' : ` and ${rest}, ${hand}`}. One line is ${lineNumber.valueOf().toFixed(decimals)} ${dial.unit}.`;
  const end = inside ? nowX : nowX < middle ? 14 : width - 14;
  const towards = end < middle ? -1 : 1;
  // the tally of turns stands right of the middle: what would lie in it goes to the other side
  const tally = fullTurns > 0 && end + 54 > middle + 17 && end - 12 < middle + 90 + Math.min(fullTurns, 8) * 13;
  const nowAt = tally ? middle - 82 : Math.min(width - 66, Math.max(4, end - 12));
  return (
    <svg className="pic" viewBox={`0 0 ${width} ${HEIGHT}`} role="img" aria-label={label}>
      <defs>
        <linearGradient id="ring" x1="0" x2="1" y1="0" y2="0">
          <stop offset="0" stopColor="var(--metal-a)" />
          <stop offset="0.3" stopColor="var(--metal-b)" />
          <stop offset="0.7" stopColor="var(--metal-b)" />
          <stop offset="1" stopColor="var(--metal-a)" />
        </linearGradient>
      </defs>
      <rect className="dial-ring" x="1" y="20" width={width - 2} height="62" rx="4" fill="url(#ring)" />
      {lines}
      <text className="dial-number" x={middle + 8} y={74} textAnchor="start" fontWeight="700">
        {dialNumber(dial, toLines)}
      </text>
      <line className="dial-index" x1={middle} x2={middle} y1={16} y2={82} />
      <path className="dial-index-head" d={`M${middle - 9} 2h18l-9 14z`} />
      {hand !== 'none' && (
        <>
          <path className="dial-path" d={`M${end} 94H${middle - towards * -8}`} />
          <path className="dial-index-head" d={`M${middle + towards * 2} 94l${towards * 10} -5v10z`} />
          {inside ? (
            <path className="dial-from" d={`M${nowX - 7} 102h14l-7 -14z`} />
          ) : (
            <path className="dial-from" d={`M${end + towards * 8} 94l${-towards * 10} -6v12z`} />
          )}
          <text className="ladder-small" x={nowAt} y={116}>
            now {dialNumber(dial, fromLines)}
          </text>
        </>
      )}
      {/* the turns counter: a dot a full turn while they can be counted at a glance, the figure beside */}
      {fullTurns > 0 &&
        Array.from({ length: Math.min(fullTurns, 8) }, (_, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: dots of a tally
          <circle key={i} cx={middle + 26 + i * 13} cy={110} r={4.5} className="dial-index-head" />
        ))}
      {fullTurns > 0 && (
        <text className="dial-turns" x={middle + 24 + Math.min(fullTurns, 8) * 13} y={115}>
          {fullTurns > 8 ? `… ${fullTurns} turns` : fullTurns === 1 ? '1 turn' : `${fullTurns} turns`}
        </text>
      )}
    </svg>
  );
}

/** Where the ring stood, drawn on the side that the hand comes from, less than a turn away. */
function cameFrom(lines: number, to: number, divisions: number, rising: boolean): number {
  const behind = (((to - lines) % divisions) + divisions) % divisions;
  return rising ? to - behind : to + ((divisions - behind) % divisions);
}
