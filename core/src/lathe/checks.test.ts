import { describe, expect, it } from 'vitest';
import { metricLathe } from '../testing/shop.ts';
import { checkLathe } from './checks.ts';
import { LATHE_PATTERNS, lathePattern } from './patterns.ts';
import { type Lathe, latheSchema } from './schema.ts';
import { fixedSpeeds, forbiddenBecause, spindleSettings, torqueNm } from './settings.ts';

const { spindle, slides, holding, feeds, threads } = metricLathe;
const chuck = holding.chucks[0]!;
const lever = spindle.controls[0]!;
const with1 = (change: Partial<Lathe>): Lathe => ({ ...metricLathe, ...change });
const found = (change: Partial<Lathe>) =>
  checkLathe(with1(change)).map((p) => `${p.code} ${p.path.join('.')}${p.severity === 'warning' ? ' (warning)' : ''}`);

describe('checkLathe', () => {
  it('finds nothing wrong with a lathe that is wholly described', () => {
    expect(checkLathe(metricLathe)).toEqual([]);
  });
  it.each<[string, Partial<Lathe>, string]>([
    ['no speeds', { spindle: { ...spindle, settings: [] } }, 'lathe.noSpeeds spindle.settings'],
    [
      'a gap: positions without a speed',
      { spindle: { ...spindle, settings: spindle.settings.slice(0, 8) } },
      'lathe.speedMissing spindle.settings (warning)',
    ],
    [
      'a position that the lever does not have',
      { spindle: { ...spindle, settings: [...spindle.settings, { kind: 'fixed', at: { lever: '11' }, rpm: 9 }] } },
      'lathe.noSuchPosition spindle.settings.10.at.lever',
    ],
    [
      'a lever that is not there',
      { spindle: { ...spindle, settings: [{ kind: 'fixed', at: { lever: '1', knob: '2' }, rpm: 9 }] } },
      'lathe.noSuchControl spindle.settings.0.at.knob',
    ],
    [
      'the same positions twice',
      { spindle: { ...spindle, settings: [...spindle.settings, spindle.settings[3]!] } },
      'lathe.sameSetting spindle.settings.10',
    ],
    [
      'a lever described twice',
      { spindle: { ...spindle, controls: [lever, lever] } },
      'lathe.sameControl spindle.controls.1.id',
    ],
    [
      'a position marked twice',
      { spindle: { ...spindle, controls: [{ ...lever, positions: [...lever.positions, '3'] }] } },
      'lathe.samePosition spindle.controls.0.positions',
    ],
    [
      'a stepless range backwards',
      {
        spindle: {
          ...spindle,
          controls: [],
          settings: [{ kind: 'stepless', at: {}, minRpm: 900, maxRpm: 80, baseRpm: 500 }],
        },
      },
      'lathe.rangeReversed spindle.settings.0',
    ],
    [
      'a gear that is not owned',
      {
        threads: { ...threads, gears: [20, 40] },
        feeds: { ...feeds, settings: [{ kind: 'gears', at: { feed: '1' }, pairs: [[20, 80]] }] },
      },
      'lathe.gearNotOwned feeds.settings.0.pairs (warning)',
    ],
    [
      'a gear used twice and owned once',
      {
        threads: { ...threads, gears: [20, 40, 80] },
        feeds: {
          ...feeds,
          settings: [
            {
              kind: 'gears',
              at: { feed: '1' },
              pairs: [
                [20, 40],
                [20, 80],
              ],
            },
          ],
        },
      },
      'lathe.gearTwice feeds.settings.0.pairs (warning)',
    ],
    [
      'a feed without a figure',
      { feeds: { ...feeds, settings: [{ kind: 'unmarked', at: { feed: '1' } }] } },
      'lathe.feedUnmeasured feeds.settings.0 (warning)',
    ],
    [
      'a leadscrew whose lead is no length',
      { threads: { ...threads, leadscrewLead: { text: '8 tpi', unit: 'in' } } },
      'length.notALength threads.leadscrewLead',
    ],
    [
      'divisions that do not divide',
      { slides: { ...slides, crossSlide: { ...slides.crossSlide, divisions: 120 } } },
      'lathe.dialDoesNotDivide slides.crossSlide.divisions (warning)',
    ],
    [
      'a dial that moves nothing',
      { slides: { ...slides, compound: { ...slides.compound, travelPerTurn: '0.00' } } },
      'lathe.dialNoTravel slides.compound.travelPerTurn',
    ],
    [
      'more slack than a turn',
      { slides: { ...slides, compound: { ...slides.compound, slackMm: 2 } } },
      'lathe.slackOverTurn slides.compound.slackMm',
    ],
    [
      'jaws from large to small',
      { holding: { ...holding, chucks: [{ ...chuck, jaws: [{ name: 'outside', fromMm: 90, toMm: 9 }] }] } },
      'lathe.rangeReversed holding.chucks.0.jaws.0.toMm',
    ],
    [
      'a swing that shrinks over the bed',
      { sizes: { ...metricLathe.sizes, swingOverBedMm: 100 } },
      'lathe.swingReversed sizes.swingOverCrossSlideMm',
    ],
    [
      'a usual cut deeper than the deepest',
      { rigidity: { usualDepthMm: 4, deepestCutMm: 3 } },
      'lathe.depthsReversed rigidity.usualDepthMm',
    ],
  ])('finds %s', (_what, change, problem) => {
    expect(found(change)).toContain(problem);
  });
  it('takes a dial without a sense for no dial', () => {
    const { clockwiseMoves: _none, ...blind } = slides.crossSlide;
    const parsed = latheSchema.safeParse(
      with1({ slides: { ...slides, crossSlide: blind as typeof slides.crossSlide } }),
    );
    expect(parsed.error?.issues.map((i) => i.path.join('.'))).toEqual(['slides.crossSlide.clockwiseMoves']);
  });
});

describe('what must not stand together', () => {
  const banned = with1({ spindle: { ...spindle, forbidden: [{ at: { lever: '10' }, why: 'the belt jumps' }] } });
  it('is never offered as a speed, and is no gap', () => {
    expect(fixedSpeeds(banned).map((s) => s.rpm)).not.toContain(1600);
    expect(forbiddenBecause(banned, { lever: '10' })).toBe('the belt jumps');
    expect(checkLathe({ ...banned, spindle: { ...banned.spindle, settings: spindle.settings.slice(0, 9) } })).toEqual(
      [],
    );
  });
  it('leaves no speed when it bans all', () => {
    const all = with1({
      spindle: { ...spindle, forbidden: lever.positions.map((p) => ({ at: { lever: p }, why: '' })) },
    });
    expect(checkLathe(all).map((p) => p.code)).toContain('lathe.noSpeeds');
  });
});

describe('a torque curve', () => {
  it('is straight between its points, level beyond them, and in force instead of the motor’s plate', () => {
    const setting = {
      ...spindleSettings(metricLathe)[0]!,
      torque: [
        { rpm: 300, torqueNm: 10 },
        { rpm: 100, torqueNm: 20 },
      ],
    };
    expect([50, 100, 150, 250, 300, 900].map((rpm) => torqueNm(metricLathe, setting, rpm))).toEqual([
      20, 20, 17.5, 12.5, 10, 10,
    ]);
  });
});

describe('blank patterns', () => {
  it.each(LATHE_PATTERNS)('%s is a description that lacks nothing but its speeds', (pattern) => {
    const lathe = lathePattern(pattern, metricLathe.id, 'new');
    expect(latheSchema.safeParse(lathe).success).toBe(true);
    expect(checkLathe(lathe).map((p) => p.code)).toEqual(['lathe.noSpeeds']);
  });
});

describe('what a lathe can hardly be', () => {
  const warned = (change: Partial<Lathe>) => found(change).map((text) => text.split(' ')[0]);
  const first = spindle.settings[0]!;
  it('is told, and may stay', () => {
    const strong = { ...first, torque: [{ rpm: 45, torqueNm: 9000 }] };
    expect(found({ spindle: { ...spindle, settings: [strong, ...spindle.settings.slice(1)] } })).toEqual([
      'lathe.torqueOverMotor spindle.settings.0.torque.0.torqueNm (warning)',
    ]);
    const right = { ...first, torque: [{ rpm: 45, torqueNm: 180 }] };
    expect(found({ spindle: { ...spindle, settings: [right, ...spindle.settings.slice(1)] } })).toEqual([]);
    const range = { kind: 'stepless' as const, at: { lever: '1' }, minRpm: 50, maxRpm: 500, baseRpm: 800 };
    expect(warned({ spindle: { ...spindle, settings: [range, ...spindle.settings.slice(1)] } })).toEqual([
      'lathe.baseOutside',
    ]);
    const slip = { kind: 'fixed' as const, at: { lever: '10' }, rpm: 9999 };
    expect(warned({ spindle: { ...spindle, settings: [...spindle.settings.slice(0, -1), slip] } })).toEqual([
      'lathe.speedApart',
    ]);
    const coarse = { kind: 'marked' as const, at: { feed: '4' }, perRev: { text: '50', unit: 'mm' as const } };
    expect(found({ feeds: { ...feeds, settings: [...feeds.settings.slice(0, -1), coarse] } })).toEqual([
      'lathe.feedCoarse feeds.settings.3 (warning)',
    ]);
  });
});
