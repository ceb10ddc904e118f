/** What a designation says beside its size and pitch, taken out of its text. */
export interface Parts {
  /** size and pitch, in one spelling */
  readonly text: string;
  readonly hand?: 'left';
  readonly starts?: number;
  readonly class?: string;
}

const FRACTIONS: Readonly<Record<string, string>> = {
  ...{ '½': '1/2', '¼': '1/4', '¾': '3/4', '⅛': '1/8', '⅜': '3/8', '⅝': '5/8', '⅞': '7/8', '⅓': '1/3', '⅔': '2/3' },
};
const COUNTS: Readonly<Record<string, number>> = {
  ...{ single: 1, one: 1, double: 2, two: 2, triple: 3, three: 3, four: 4, quadruple: 4 },
};
/** Longer ones are no designation. */
const LONGEST = 60;

/** One spelling of dashes, times signs, fractions, decimal commas and blanks. */
export function oneSpelling(raw: string): string {
  return raw
    .slice(0, LONGEST)
    .replace(/(\d)?([½¼¾⅛⅜⅝⅞⅓⅔])/g, (_, whole: string | undefined, f: string) =>
      whole ? `${whole} ${FRACTIONS[f]}` : FRACTIONS[f]!,
    )
    .replace(/[–—−]/g, '-')
    .replace(/[×✕*]/g, 'x')
    .replace(/[øØ⌀"″”“]/g, '')
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/\s+/g, ' ')
    .trim();
}

const HAND = /[\s,;(-]*(?<![a-z])(?:l\.?h\.?|left(?:[ -]?hand(?:ed)?)?)(?![a-z])\)?\.?/i;
const RIGHT = /[\s,;(-]*(?<![a-z])(?:r\.?h\.?|right(?:[ -]?hand(?:ed)?)?)(?![a-z])\)?\.?/i;
const STARTS = /[\s,;(-]*\b(\d{1,2}|single|one|double|two|triple|three|four|quadruple)[ -]?starts?\b\)?/i;
const CLASSES = [
  // metric and trapezoidal, one side or a fit: 6g, 5g6g, 6H/6g
  /^((?:M|Tr|Rd|Sq|S) ?[\d.]+.*?)[\s-]+(\d[a-zA-Z](?:\d[a-zA-Z])?(?:\/\d[a-zA-Z](?:\d[a-zA-Z])?)?)$/i,
  /^(.*\d.*?)[\s-]+([123][AB])$/i,
  /^(.*\d.*?(?:acme)?)[\s-]*([2-4][GC])$/i,
  /^(.*\d.*?)[\s-]+(close|medium|free)(?: fit)?$/i,
  /^(G ?[\d /-]+?)[\s-]?([AB])$/i,
  /^(.*UN[A-Z]*)[\s-]?([123][AB])$/i,
];

/** Takes hand, starts and class out of a designation. */
export function partsOf(raw: string): Parts {
  let text = oneSpelling(raw);
  const left = HAND.test(text);
  text = text.replace(HAND, ' ').replace(RIGHT, ' ').trim();
  const counted = STARTS.exec(text)?.[1]?.toLowerCase();
  const starts = counted === undefined ? undefined : (COUNTS[counted] ?? Number(counted));
  text = text
    .replace(STARTS, ' ')
    .replace(/\s+/g, ' ')
    .replace(/[\s,;-]+$/, '')
    .trim();
  const found = CLASSES.map((c) => c.exec(text)).find((m) => m !== null);
  if (found) text = found[1]!.replace(/[\s-]+$/, '');
  return {
    text,
    ...(left ? { hand: 'left' as const } : {}),
    ...(starts ? { starts } : {}),
    ...(found ? { class: found[2]! } : {}),
  };
}
