import type { Asked, Case, Judge, Question, Tried } from './case.ts';
import { planned, says, silent } from './judges.ts';

const typed = (size: string | number, unit: 'mm' | 'in' = 'mm') => ({ text: String(size), unit });
const none = typed('');
const end = { centre: '', centreStays: false, made: 'faced', spigot: null };
const thread = (designation: string, more: object = {}) => ({
  ...{ id: 'd1', kind: 'thread', designation, hand: 'right', from: 'right', length: none, class: '' },
  ...more,
});
const groove = (more: object) => ({
  ...{ id: 'd1', kind: 'groove', shape: 'square', from: 'right', at: typed(5), width: typed(3), by: 'floor' },
  ...{ floor: typed(16), floorLimits: '', widthLimits: '', angle: '' },
  ...more,
});
const hole = (more: object) => ({
  ...{ id: 'e1', name: '', way: 'right', place: typed(30), count: 1, angle: '', diameter: typed(5), limits: '' },
  ...{ depth: none, counterbore: null },
  ...more,
});
const view = (more: object) => ({ endView: { holes: [], flats: [], notes: [], ...more } });
const rod = (d: number | string, limits = '', more: object = {}): Tried['part'] => [[d, 30, limits, more]];
const on = (part: Tried['part'], more: Partial<Tried> = {}): Tried => ({ part, bar: { size: 60 }, ...more });
const row = (rule: string, title: string, job: Tried, ...must: Judge[]): Case => ({ rule, title, job, must });

const threads: readonly Case[] = [
  row('FIELD 7 threads', 'M20×2.5 over Ø17', on(rod(17, '', { details: [thread('M20x2.5')] })), says(/thread/)),
  row('FIELD 7 threads', 'M16 on Ø30', on(rod(30, '', { details: [thread('M16')] })), says(/thread/)),
  row('FIELD 7 threads', 'M6 on Ø5', on(rod(5, '', { details: [thread('M6')] })), says(/thread/)),
  row('FIELD 7 threads', '`M 6` on Ø6 is M6', on(rod(6, '', { details: [thread('M 6')] })), silent(/^thread/)),
  row('FIELD 7 threads', 'M20 on Ø20', on(rod(20, '', { details: [thread('M20')] })), silent(/^thread/)),
  row(
    'FIELD 7 threads',
    '1/2-13 on Ø12.7',
    on(rod('12.7', '', { details: [thread('1/2-13 UNC')] })),
    silent(/^thread/),
  ),
  row(
    'FIELD 7 threads',
    'Tr 20x8(P4): two starts',
    on(rod(20, '', { details: [thread('Tr 20x8(P4)')] })),
    silent(/^thread/),
  ),
  row(
    'FIELD 7 threads',
    'Tr 20x9(P4): no whole number of starts',
    on(rod(20, '', { details: [thread('Tr 20x9(P4)')] })),
    says(/thread/),
  ),
  row('FIELD 7 threads', 'G 1/2 on Ø21', on(rod('20.96', '', { details: [thread('G 1/2')] })), silent(/^thread/)),
  row(
    ...(['FIELD 7 threads', 'M20 over a bore of 17.5: no wall under its root'] as const),
    on(rod(20, '', { details: [thread('M20')] }), { hole: { from: 'right', steps: [['17.5', '']] } }),
    says(/thread/),
  ),
  row(
    ...(['FIELD 7 threads', 'two pitches on one length'] as const),
    on(rod(20, '', { details: [thread('M20'), thread('M20x1.5', { id: 'd2' })] })),
    says(/thread/),
  ),
];

const holes: readonly Case[] = [
  row(
    ...(['FIELD 5 points', 'a blind hole Ø20 × 10 in 12: the point of the drill breaks through'] as const),
    {
      part: [[40, 12]],
      bar: { size: 45 },
      drawing: { bores: { left: [], right: [{ ...boreOf(20, 10), kind: 'drilled' }] } },
    },
    says(/point|breaks/i),
  ),
  row(
    ...(['FIELD 5 points', 'the same bored flat'] as const),
    { part: [[40, 12]], bar: { size: 45 }, drawing: { bores: { left: [], right: [boreOf(20, 10)] } } },
    silent(/point|breaks/i),
  ),
  row(
    'FIELD 9 end view',
    'a hole deeper than the flange',
    on(
      [
        [60, 10],
        [20, 20],
      ],
      { drawing: view({ holes: [hole({ place: typed(44), depth: typed(14) })] }) },
    ),
    says(/hole/),
  ),
  row(
    'FIELD 9 end view',
    'a hole off the outside',
    on(rod(50), { drawing: view({ holes: [hole({ place: typed(48) })] }) }),
    says(/hole/),
  ),
  row(
    'FIELD 9 end view',
    'four holes of 12 on Ø14: into one another',
    on(rod(50), { drawing: view({ holes: [hole({ place: typed(14), count: 4, diameter: typed(12) })] }) }),
    says(/hole/),
  ),
  row(
    'FIELD 9 end view',
    'a counterbore no larger than its hole',
    on(rod(50), { drawing: view({ holes: [hole({ counterbore: { diameter: typed(5), depth: typed(3) } })] }) }),
    says(/hole/),
  ),
  row(
    'FIELD 9 end view',
    'a cross hole as wide as the shaft',
    on(rod(12), { drawing: view({ holes: [hole({ way: 'radial', place: typed(10), diameter: typed(12) })] }) }),
    says(/hole/),
  ),
  row(
    'FIELD 9 end view',
    'tapped, countersunk and unevenly spaced',
    on(rod(50), {
      drawing: view({
        holes: [
          hole({ thread: 'M5', diameter: none, angles: '0; 100; 220', countersink: { diameter: typed(6), angle: '' } }),
        ],
      }),
    }),
    silent(/^hole/),
    planned(),
  ),
  row(
    'FIELD 9 end view',
    'a tapped hole drilled to its nominal size',
    on(rod(50), { drawing: view({ holes: [hole({ thread: 'M6', diameter: typed(6) })] }) }),
    says(/hole/),
  ),
  row(
    'FIELD 9 end view',
    'a keyway of 8 × 4 in Ø30',
    on(rod(30), { drawing: view({ keyways: [key({})] }) }),
    silent(/^keyway/),
    planned(),
  ),
  row(
    'FIELD 9 end view',
    'a keyway deeper than the shaft',
    on(rod(30), { drawing: view({ keyways: [key({ depth: typed(16) })] }) }),
    says(/keyway/),
  ),
  row(
    'FIELD 6 face grooves',
    'a ring groove in the end face',
    on(rod(50), { drawing: ends({ outer: 40, inner: 30, depth: 3 }) }),
    silent(/^faceGroove/),
    planned(),
  ),
  row(
    'FIELD 6 face grooves',
    'a ring groove beyond the face',
    on(rod(50), { drawing: ends({ outer: 52, inner: 30, depth: 3 }) }),
    says(/faceGroove/),
  ),
];

const limits: readonly Case[] = [
  row('limits', '`-0.05` alone is one-sided', on(rod(25, '-0.05')), planned(), silent(/^limit/)),
  row('limits', '24.98-25.02 as two sizes', on(rod(25, '24.98-25.02')), planned(), silent(/^limit/)),
  row(
    'limits',
    '.6245-.6255 as two sizes in inches',
    { part: [['.625', '1', '.6245-.6255']], bar: { size: '3/4', length: '12' }, unit: 'in', lathe: 'the Grey' },
    planned(),
    silent(/^limit/),
  ),
  row('limits', 'Ø8 cd8', on(rod(8, 'cd8')), planned(), silent(/^limit/)),
  row('limits', 'Ø8 ef7', on(rod(8, 'ef7')), planned(), silent(/^limit/)),
  row(
    'limits',
    'Ø0.8 N9: refused at or under a millimetre',
    { part: [[20, 20]], bar: { size: 25 }, hole: { from: 'right', steps: [['0.8', '', 'N9']] } },
    says(/limit/),
  ),
  row('limits', 'nonsense', on(rod(25, 'about right')), says(/limit/)),
  row('limits', 'upper below lower', on(rod(25, '-0.1/+0.1')), silent(/^limit\.not/)),
];

const grooves: readonly Case[] = [
  row(
    'FIELD 6 grooves',
    'a groove by its centre from the right end',
    on(rod(20, '', { details: [groove({ to: 'centre', at: typed(8) })] })),
    planned(),
    silent(/^groove|^detail/),
  ),
  row(
    'FIELD 6 grooves',
    'a groove on a cone',
    on([
      [40, 30, '', { kind: 'taper', end: typed(30), details: [groove({ by: 'depth', floor: typed(2) })] }],
      [30, 20],
    ]),
    planned(),
    silent(/^groove|^detail/),
  ),
  row(
    'FIELD 6 grooves',
    'a groove with its floor outside the surface',
    on(rod(20, '', { details: [groove({ floor: typed(21) })] })),
    says(/groove/),
  ),
  row(
    'FIELD 6 grooves',
    'a groove beyond the end of its length',
    on(rod(20, '', { details: [groove({ at: typed(29) })] })),
    says(/groove|detail/),
  ),
  row(
    'FIELD 8 tapers',
    '7:24',
    on([
      [40, 48, '', { kind: 'taper', taper: '7:24' }],
      [26, 20],
    ]),
    planned(),
    silent(/^taper/),
  ),
  row(
    'FIELD 8 tapers',
    '1:20 that does not fit both diameters',
    on([
      [40, 20, '', { kind: 'taper', end: typed(30), taper: '1:20' }],
      [30, 20],
    ]),
    says(/taper/),
  ),
  row(
    'clearance',
    'no clearance to the jaws',
    {
      part: [[20, 30]],
      bar: { size: 25 },
      stock: { allow: { clearanceMm: 0, faceTailMm: 1, faceHeadMm: 1, kerfMm: 3 } },
    },
    says(/clear/i),
  ),
  row(
    'spigots',
    'a spigot larger than the bar',
    {
      part: [[20, 30]],
      bar: { size: 25 },
      drawing: { ends: { left: { ...end, spigot: { diameter: typed(30), length: typed(10) } }, right: end } },
    },
    says(/spigot/i),
  ),
  row(
    'corners',
    'an inside corner of R1.5',
    {
      part: [[40, 30]],
      bar: { size: 45 },
      drawing: { bores: { left: [], right: [{ ...boreOf(20, 10), corner: 'R1.5' }] } },
    },
    planned(),
    silent(/^bore/),
  ),
  row(
    'corners',
    'an inside corner rounder than its hole',
    {
      part: [[40, 30]],
      bar: { size: 45 },
      drawing: { bores: { left: [], right: [{ ...boreOf(20, 12), corner: 'R11' }] } },
    },
    says(/bore/),
  ),
];

function boreOf(d: number, deep: number) {
  return {
    ...{ id: 'h1', name: '', kind: 'bored', diameter: typed(d), limits: '', length: typed(deep) },
    ...{ lengthLimits: '', finish: '', details: [] },
  };
}
function key(more: object) {
  return {
    ...{ id: 'k1', where: 'outside', width: typed(8), widthLimits: 'P9', by: 'depth', depth: typed(4), angle: '' },
    ...{ from: 'right', at: typed(3), length: typed(20), ends: 'round' },
    ...more,
  };
}
function ends({ outer, inner, depth }: { outer: number; inner: number; depth: number }) {
  const ring = { id: 'r1', outer: typed(outer), inner: typed(inner), depth: typed(depth), depthLimits: '' };
  return { ends: { left: end, right: { ...end, grooves: [ring] } } };
}

export const drawingCases: readonly Case[] = [...threads, ...holes, ...limits, ...grooves];

const is =
  (name: string, value: number | string, within = 0): Question['holds'] =>
  (a: Asked) => {
    if (!a.ok) return `refused: ${a.codes.join(', ')}`;
    const got = a.result[name] as unknown;
    const same = typeof value === 'number' ? Math.abs(Number(got) - value) <= within : got === value;
    return same ? undefined : `${name} is ${JSON.stringify(got)}, not ${value}`;
  };
const refusedAs =
  (code: RegExp): Question['holds'] =>
  (a) =>
    !a.ok && a.codes.some((c) => code.test(c)) ? undefined : `not refused with ${code}`;
const q = (rule: string, title: string, ask: string, input: object, holds: Question['holds']): Question => ({
  ...{ rule, title, ask, input, holds },
});

export const drawingQuestions: readonly Question[] = [
  q(
    'ISO 286',
    'Ø10 cd8: −56 and −78 µm',
    'limit.shaft',
    { nominalMm: 10, letter: 'cd', grade: 8 },
    is('upperUm', -56, 0.5),
  ),
  q(
    'ISO 286',
    'Ø10 ef6: −18 and −27 µm',
    'limit.shaft',
    { nominalMm: 10, letter: 'ef', grade: 6 },
    is('lowerUm', -27, 0.5),
  ),
  q('ISO 286', 'Ø0.8 N9 is not', 'limit.hole', { nominalMm: 0.8, letter: 'N', grade: 9 }, refusedAs(/limit/)),
  q('ISO 2768', '3000 medium: ±2', 'limit.general', { nominalMm: 3000, generalClass: 'm' }, is('plusMinusMm', 2, 1e-9)),
  q('inserts', 'CNMG 432 is 12.7 across', 'tool.insert', { code: 'CNMG 432' }, is('circleMm', 12.7, 1e-9)),
  q('inserts', 'CNMG 432 has a nose of 0.8', 'tool.insert', { code: 'CNMG 432' }, is('radiusMm', 0.8, 1e-9)),
  q(
    'inserts',
    'MCLNR 16-4D has a shank of an inch',
    'tool.holder',
    { code: 'MCLNR 16-4D' },
    is('shankHighMm', 25.4, 1e-9),
  ),
  q(
    'FIELD 8 tapers',
    '7:24 from Ø44.45 over 48: 30.45',
    'part.taper',
    { startMm: 44.45, lengthMm: 48, taper: '7:24' },
    is('endMm', 30.45, 1e-6),
  ),
];
