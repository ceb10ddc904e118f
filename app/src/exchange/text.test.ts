import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cutText, parseJson, wellFormed } from './text.ts';

describe('texts at the doors', () => {
  it('lose no whole character, and hold no half one and no NUL', () => {
    expect(wellFormed('Ø28 👍 ok')).toBe('Ø28 👍 ok');
    expect(wellFormed('half \uD83D, nul \0')).toBe('half \uFFFD, nul \uFFFD');
    expect(parseJson('{"note":"half \\ud83d, nul \\u0000, whole \\ud83d\\udc4d"}')).toEqual({
      note: 'half \uFFFD, nul \uFFFD, whole 👍',
    });
  });
  it('are cut between characters', () => {
    expect(cutText('ab👍cd', 3)).toBe('ab');
    expect(cutText('ab👍cd', 4)).toBe('ab👍');
    // a letter with its accent, a family held together by joiners
    expect(cutText('e\u0301x', 1)).toBe('');
    expect(cutText('👩‍👩‍👧x', 4)).toBe('');
    expect(cutText('short', 400)).toBe('short');
  });
  it('keep to their length and stay beginnings of themselves, whatever they are', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 40 }), fc.nat(30), (text, most) => {
        const cut = cutText(text, most);
        expect(cut.length).toBeLessThanOrEqual(most);
        expect(cut.isWellFormed()).toBe(true);
        expect(wellFormed(text).startsWith(cut)).toBe(true);
      }),
    );
  });
});
