import { describe, expect, it } from 'vitest';
import { pageKey, recallPage, rememberPage } from './page-cache.ts';

const page = (html: string) => ({ html, policy: '' });

describe('pages rendered lately', () => {
  it('are found by the same content only', () => {
    rememberPage(pageKey('/jobs/1', 'daylight', '{"a":1}'), page('one'));
    expect(recallPage(pageKey('/jobs/1', 'daylight', '{"a":1}'))?.html).toBe('one');
    expect(recallPage(pageKey('/jobs/1', 'night-shift', '{"a":1}'))).toBeUndefined();
    expect(recallPage(pageKey('/jobs/1', undefined, '{"a":1}'))).toBeUndefined();
    expect(recallPage(pageKey('/jobs/1', 'daylight', '{"a":2}'))).toBeUndefined();
    // parts do not run into one another
    expect(pageKey('ab', 'c')).not.toBe(pageKey('a', 'bc'));
  });
  it('drop the one that was not asked for longest', () => {
    rememberPage('first', page('first'));
    rememberPage('second', page('second'));
    for (let i = 0; i < 62; i++) {
      rememberPage(`other ${i}`, page(''));
      recallPage('first');
    }
    rememberPage('last', page('last'));
    expect(recallPage('first')?.html).toBe('first');
    expect(recallPage('second')).toBeUndefined();
  });
});
