import { shopFileSchema } from '@whelk/core/job';
import { lathePattern } from '@whelk/core/lathe';
import { describe, expect, it } from 'vitest';
import shopJson from '../../../../../demo/shop.json' with { type: 'json' };
import { freshId, judge, latheResolver } from './form.ts';

const [long] = shopFileSchema.parse(shopJson).lathes;
const resolve = (values: object) => latheResolver(values, undefined, { fields: {}, shouldUseNativeValidation: false });
/** The long lathe with one part of it replaced. */
const changed = (path: string, value: unknown): object => {
  const copy = structuredClone(long) as unknown as Record<string, unknown>;
  const parts = path.split('.');
  let at = copy;
  for (const part of parts.slice(0, -1)) at = at[part] as Record<string, unknown>;
  at[parts.at(-1)!] = value;
  return copy;
};

describe('a description', () => {
  it('that is whole is kept as it is', async () => {
    expect(judge(long)).toEqual({ lathe: long, problems: [], warnings: [] });
    expect(await resolve(long!)).toEqual({ values: long, errors: {} });
  });
  it('that has no speeds yet can be kept, and says so', () => {
    for (const pattern of ['belts', 'geared'] as const) {
      const { lathe, problems, warnings } = judge(lathePattern(pattern, long!.id, 'new'));
      expect([lathe?.name, problems]).toEqual(['new', []]);
      expect(warnings.map((w) => w.code)).toContain('lathe.noSpeeds');
    }
  });
  it.each<[string, unknown, string[]]>([
    ['name', '', ['name']],
    ['drive.motorKw', 'strong', ['drive', 'motorKw']],
    ['drive.motorKw', -1, ['drive', 'motorKw']],
    ['slides.crossSlide.divisions', 0, ['slides', 'crossSlide', 'divisions']],
    ['slides.crossSlide.travelPerTurn', 'two', ['slides', 'crossSlide', 'travelPerTurn']],
    ['threads.gears', [20, 9999], ['threads', 'gears', '1']],
    ['holding.chucks.0.maxRpm', 0, ['holding', 'chucks', '0', 'maxRpm']],
  ])('with %s as %j shows it at its field, with two sentences', async (path, value, at) => {
    const { errors, values } = await resolve(changed(path, value));
    const error = at.reduce<unknown>((o, key) => (o as Record<string, unknown> | undefined)?.[key], errors);
    expect(values).toEqual({});
    expect((error as { message: string }).message).toMatch(/\S{2,}.*\. \S.*/);
  });
  it('tells at its row what a lathe cannot have: a position that its lever lacks', async () => {
    const { errors } = await resolve(changed('spindle.settings.3.at', { range: 'M', lever: '4' }));
    expect(JSON.stringify(errors)).toContain('M');
    expect(Object.keys((errors.spindle ?? {}) as object)).toContain('settings');
  });
  it('survives nonsense of any shape', async () => {
    for (const values of [{}, { spindle: 5 }, { slides: { crossSlide: null } }, { holding: { chucks: [] } }])
      expect(Object.keys((await resolve(values)).errors).length).toBeGreaterThan(0);
  });
});

describe('an id for something new', () => {
  it('comes from its name and is taken by nothing else', () => {
    expect(freshId('Back gear', [])).toBe('back-gear');
    expect(freshId('Back gear', ['back-gear', 'back-gear-2'])).toBe('back-gear-3');
    expect(freshId('  §§ ', [])).toBe('part');
    expect(freshId('Rückwärtsgang des Vorgeleges, links', [])).toMatch(/^[a-z0-9-]{1,24}$/);
  });
});
