/** Text that every store and every other program can take: halves of characters and NUL are replaced. */
export const wellFormed = (text: string): string => text.toWellFormed().replaceAll('\0', '\uFFFD');

/** At most so many units of text, cut between characters and never through one. */
export function cutText(text: string, most: number): string {
  if (text.length <= most) return wellFormed(text);
  let cut = '';
  for (const { segment } of new Intl.Segmenter(undefined, { granularity: 'grapheme' }).segment(text)) {
    if (cut.length + segment.length > most) break;
    cut += segment;
  }
  return wellFormed(cut);
}

/** Whether JSON text may hold something that is not well formed: escaped or bare halves of characters, or NUL. */
const SUSPECT = /\\u(?:0000|[dD][89a-fA-F])|[\0\uD800-\uDFFF]/;

/** Parses JSON with every text in it well formed. @throws SyntaxError as JSON.parse */
export const parseJson = (text: string): unknown =>
  SUSPECT.test(text)
    ? JSON.parse(text, (_key, value) => (typeof value === 'string' ? wellFormed(value) : value))
    : JSON.parse(text);
