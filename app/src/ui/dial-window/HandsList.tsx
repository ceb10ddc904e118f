import { type Dial, dialScale } from '@whelk/core/lathe';
import type { Hands } from '@whelk/core/run';
import { DialWindow } from './DialWindow.tsx';

const COUNTS = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];
/** Whole turns in words, as they are counted at the wheel. */
export const turnsText = (turns: number, whole = true): string =>
  `${COUNTS[turns] ?? turns} ${whole ? 'whole ' : ''}turn${turns === 1 ? '' : 's'}`;

/** How far the wheel is turned: whole turns and the rest on the ring. */
export function wayText(fullTurns: number, rest: string): string {
  const nothing = Number(rest) === 0;
  if (fullTurns === 0) return nothing ? 'nothing' : `${rest}, less than a turn`;
  return nothing ? turnsText(fullTurns) : `${turnsText(fullTurns, false)} and ${rest}`;
}

/** The same in a sentence, with the ring's unit: `two turns and 1.80 mm`. */
export const wayWith = (fullTurns: number, rest: string, unit: string): string =>
  fullTurns === 0 ? `${rest} ${unit}, less than a turn` : `${turnsText(fullTurns, false)} and ${rest} ${unit}`;

/**
 * A move of a wheel as the hands make it: away from the metal first, then to a number, both told alike, and the ring rolled to that
 * number. In a hole away is inwards, and the hands go the other way.
 */
export function HandsList({ name, dial, hands, note }: { name: string; dial: Dial; hands: Hands; note?: string }) {
  const { lineNumber } = dialScale(dial);
  const { outTurns, outHand, number, fullTurns, rest, hand, now } = hands;
  const inside = hands.cuts === 'out';
  return (
    <section aria-label={name} className="hands">
      <h3 className="text-xl font-bold">
        {name}{' '}
        <span className="muted text-sm font-normal">
          {dial.kind === 'diameter' ? 'diameter' : 'radius'} dial, {lineNumber.valueOf()} {dial.unit} a line
          {inside ? '; in a hole it cuts outwards' : ''}
          {note ? `; ${note}` : ''}
        </span>
      </h3>
      <ol className="hands-list">
        <li>
          <span className="hands-verb">{inside ? 'In' : 'Out'}</span>
          <span className="hands-value">{turnsText(outTurns)}</span>
          <span className="hands-how">
            {outHand}: it reads {now} again
          </span>
        </li>
        <li>
          <span className="hands-verb">{inside ? 'Out to' : 'In to'}</span>
          <span className="hands-value" data-told={number}>
            {number}
            <span className="unit">{dial.unit}</span>
          </span>
          <span className="hands-how">
            {hand}: {wayText(fullTurns, rest)}
          </span>
        </li>
      </ol>
      <div className="max-w-[620px]">
        <DialWindow name={name} dial={dial} {...hands} />
      </div>
    </section>
  );
}
