import { barKinds, barStyles, clampings, holderStyles, toolLengthsMm } from '../standard/holder-letters.ts';
import { insertClearancesDeg, insertShapes } from '../standard/insert-letters.ts';
import { inchBar, inchOutside } from './inch-holder.ts';
import type { CodeFault } from './insert.ts';
import type { InsertShape } from './insert-sizes.ts';
import { has } from './letters.ts';

/** What a holder's or a boring bar's designation says; lengths in mm. */
export interface Holder {
  readonly code: string;
  readonly kind: 'outside' | 'boring';
  readonly clamping: (typeof clampings)[keyof typeof clampings];
  readonly insertShape: InsertShape;
  readonly style: string;
  readonly settingDeg: number;
  readonly insertClearance: keyof typeof insertClearancesDeg | 'O';
  readonly insertClearanceDeg: number | undefined;
  readonly hand: 'right' | 'left' | 'neutral';
  /** height and width of a square shank; both are the diameter of a round one */
  readonly shankHighMm: number;
  readonly shankWideMm: number;
  /** none for X, which is another length */
  readonly lengthMm: number | undefined;
  readonly sizeCode: string;
  /** its designation counts in inches */
  readonly inch?: true;
  readonly body?: (typeof barKinds)[keyof typeof barKinds]['body'];
  readonly coolant?: boolean;
  readonly damped?: boolean;
}

const fault = (position: number, value: string, allowed: readonly string[]): CodeFault => ({
  kind: 'fault',
  ...{ code: 'holder.letter', position, value, allowed: allowed.join(' ') },
});
const hands = { R: 'right', L: 'left', N: 'neutral' } as const;
const lengthOf = (letter: string) => (has(toolLengthsMm, letter) ? toolLengthsMm[letter] : undefined);

/**
 * Reads a designation of an outside holder (`PCLNR 2020 K 12`) or of a boring bar (`S20S-SVUBR 16`).
 * @returns the holder, or the first position that cannot be read
 * Their inch forms (`MCLNR 16-4D`, `S10M-SCLCR 2`) are read too.
 * @source ISO 5608: clamping, shape, style, clearance, hand, height, width, length, size; ISO 6261: body, diameter, length before them
 */
export function readHolder(text: string): Holder | CodeFault {
  const plain = text.toUpperCase().replace(/[\s._]/g, '');
  const bar = /^([A-Z])(\d{2})([A-Z])-?(.*)$/.exec(plain);
  return bar ? readBar(bar) : readOutside(plain.replace('-', ''));
}

/** The five letters that both have: where the first of them stands, so that a fault can be shown. */
function readHead(letters: string, at: number, styles: Readonly<Record<string, unknown>>) {
  const [clamping = '', shape = '', style = '', clearance = '', hand = ''] = letters;
  if (!has(clampings, clamping)) return fault(at, clamping, Object.keys(clampings));
  if (!has(insertShapes, shape)) return fault(at + 1, shape, Object.keys(insertShapes));
  if (!has(styles, style)) return fault(at + 2, style, Object.keys(styles));
  if (!has(insertClearancesDeg, clearance) && clearance !== 'O')
    return fault(at + 3, clearance, [...Object.keys(insertClearancesDeg), 'O']);
  if (!has(hands, hand)) return fault(at + 4, hand, Object.keys(hands));
  return {
    ...{ clamping: clampings[clamping], insertShape: shape, style, hand: hands[hand] },
    insertClearance: clearance as Holder['insertClearance'],
    insertClearanceDeg: clearance === 'O' ? undefined : insertClearancesDeg[clearance],
  };
}

function readOutside(plain: string): Holder | CodeFault {
  const head = readHead(plain, 1, holderStyles);
  if ('kind' in head) return head;
  const settingDeg = holderStyles[head.style as keyof typeof holderStyles].settingDeg;
  const inch = inchOutside(head.insertShape, plain.slice(5));
  if (inch) {
    const { text, ...sizes } = inch;
    return { ...head, kind: 'outside', code: `${plain.slice(0, 5)} ${text}`, settingDeg, inch: true, ...sizes };
  }
  const [high, wide, letter, size] = [plain.slice(5, 7), plain.slice(7, 9), plain.slice(9, 10), plain.slice(10, 12)];
  if (!/^\d{2}$/.test(high) || Number(high) === 0)
    return fault(6, high, ['08', '10', '12', '16', '20', '25', '32', '40']);
  if (!/^\d{2}$/.test(wide) || Number(wide) === 0)
    return fault(7, wide, ['08', '10', '12', '16', '20', '25', '32', '40']);
  if (!has(toolLengthsMm, letter) && letter !== 'X') return fault(8, letter, [...Object.keys(toolLengthsMm), 'X']);
  if (!/^\d{2}$/.test(size)) return fault(9, size, ['06', '07', '09', '11', '12', '16']);
  return {
    ...head,
    kind: 'outside',
    code: `${plain.slice(0, 5)} ${high}${wide} ${letter}${size}${plain.slice(12)}`,
    settingDeg,
    ...{ shankHighMm: Number(high), shankWideMm: Number(wide), lengthMm: lengthOf(letter), sizeCode: size },
  };
}

function readBar([, body = '', diameter = '', letter = '', tail = '']: readonly string[]): Holder | CodeFault {
  if (!has(barKinds, body)) return fault(1, body, Object.keys(barKinds));
  if (Number(diameter) === 0) return fault(2, diameter, ['08', '10', '12', '16', '20', '25', '32', '40']);
  if (!has(toolLengthsMm, letter) && letter !== 'X') return fault(3, letter, [...Object.keys(toolLengthsMm), 'X']);
  const head = readHead(tail, 4, barStyles);
  if ('kind' in head) return head;
  const settingDeg = barStyles[head.style as keyof typeof barStyles];
  const inch = inchBar(head.insertShape, diameter, letter, tail.slice(5));
  if (inch) {
    const { text, ...sizes } = inch;
    const code = `${body}${diameter}${letter}-${tail.slice(0, 5)} ${text}`;
    return { ...head, kind: 'boring', code, settingDeg, inch: true, ...sizes, ...barKinds[body] };
  }
  const size = tail.slice(5, 7);
  if (!/^\d{2}$/.test(size)) return fault(9, size, ['06', '07', '09', '11', '12', '16']);
  return {
    ...head,
    kind: 'boring',
    code: `${body}${diameter}${letter}-${tail.slice(0, 5)} ${size}${tail.slice(7)}`,
    settingDeg,
    ...{ shankHighMm: Number(diameter), shankWideMm: Number(diameter), lengthMm: lengthOf(letter), sizeCode: size },
    ...barKinds[body],
  };
}
