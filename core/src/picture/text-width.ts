/**
 * Advance of letters in thousandths of their size, rounded up to the next twenty, so that a text is never wider than told.
 * source: metrics of the application's own typeface, Barlow Regular; provenance: measured from the font file
 */
const ADVANCES: readonly (readonly [number, string])[] = [
  [140, "'"],
  [180, '|'],
  [200, ' `'],
  [220, '·'],
  [240, 'l'],
  [260, 'Iij'],
  [280, '"(),.'],
  [320, '!;{}'],
  [340, ':'],
  [360, '1f'],
  [380, '[]rt'],
  [400, '*-/\\°'],
  [440, '×'],
  [460, '^z–'],
  [480, '7?vxy'],
  [500, '+<=>_s±−'],
  [520, '356ack~'],
  [540, '289eghnu'],
  [560, '4$Zbdopqµ'],
  [580, '0FJLQTY'],
  [600, 'PSVX'],
  [620, 'ACDEGKR'],
  [640, 'BOØ'],
  [660, '#&HU'],
  [680, 'N'],
  [720, 'M'],
  [740, 'w'],
  [800, '½'],
  [840, '@m'],
  [860, '%'],
  [880, 'W'],
];
const advanceOf = new Map(ADVANCES.flatMap(([wide, letters]) => [...letters].map((c) => [c, wide] as const)));
/** A letter that the table does not have is taken as a wide one. */
const UNKNOWN = 880;
/** Bold letters are a little wider. */
const BOLD = 1.06;

/**
 * Width that a line of text takes at most, in the unit of its size.
 * @param size height of its letters' square
 * @example textWidth('10', 10) // 9.4
 */
export function textWidth(text: string, size: number, bold = false): number {
  let sum = 0;
  for (const letter of text) sum += advanceOf.get(letter) ?? UNKNOWN;
  return (sum / 1000) * size * (bold ? BOLD : 1);
}
