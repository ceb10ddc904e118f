import { type Problem, rational, readTyped, under } from '../quantity/index.ts';
import { dialScale } from './dial.ts';
import { checkPlausible } from './plausible.ts';
import type { Lathe } from './schema.ts';
import { forbiddenBecause, positionsKey } from './settings.ts';
import type { Dial } from './slide-schema.ts';
import type { Control, Positions } from './spindle-schema.ts';

type Path = readonly (string | number)[];
/** More combinations of positions than this are not looked through for gaps. */
const MOST_COMBINATIONS = 400;

/** Positions that a setting names and a control does not have, or leaves open. */
function checkPositions(controls: readonly Control[], at: Positions, path: Path): Problem[] {
  const known = new Set(controls.map((c) => c.id));
  return [
    ...controls.flatMap((control): Problem[] => {
      const position = at[control.id];
      return position === undefined || !control.positions.includes(position)
        ? [{ code: 'lathe.noSuchPosition', path: [...path, control.id], value: position ?? '' }]
        : [];
    }),
    ...Object.keys(at)
      .filter((id) => !known.has(id))
      .map((id): Problem => ({ code: 'lathe.noSuchControl', path: [...path, id], value: id })),
  ];
}

function checkControls(controls: readonly Control[], path: Path): Problem[] {
  const problems: Problem[] = [];
  for (const [i, control] of controls.entries()) {
    if (controls.findIndex((c) => c.id === control.id) !== i)
      problems.push({ code: 'lathe.sameControl', path: [...path, i, 'id'], value: control.id });
    const twice = control.positions.find((p, k) => control.positions.indexOf(p) !== k);
    if (twice !== undefined)
      problems.push({ code: 'lathe.samePosition', path: [...path, i, 'positions'], value: twice });
  }
  return problems;
}

/** Every combination of positions, while there are few enough to look through. */
function combinations(controls: readonly Control[]): Positions[] {
  const count = controls.reduce((n, c) => n * c.positions.length, 1);
  if (count > MOST_COMBINATIONS) return [];
  return controls.reduce<Positions[]>(
    (all, c) => all.flatMap((at) => c.positions.map((p) => ({ ...at, [c.id]: p }))),
    [{}],
  );
}

/** Positions of belts and levers for which neither a speed nor a ban is written down. */
function checkGaps(lathe: Lathe): Problem[] {
  const given = new Set(lathe.spindle.settings.map((s) => positionsKey(s.at)));
  const open = combinations(lathe.spindle.controls).filter(
    (at) => !given.has(positionsKey(at)) && forbiddenBecause(lathe, at) === undefined,
  );
  const [first] = open;
  if (!first || given.size === 0) return [];
  const value = lathe.spindle.controls.map((c) => `${c.name} ${first[c.id]}`).join(', ');
  return [
    { code: 'lathe.speedMissing', path: ['spindle', 'settings'], value, limit: open.length, severity: 'warning' },
  ];
}

function checkSpindle(lathe: Lathe): Problem[] {
  const { controls, settings, forbidden } = lathe.spindle;
  const problems = checkControls(controls, ['spindle', 'controls']);
  if (settings.length === 0) problems.push({ code: 'lathe.noSpeeds', path: ['spindle', 'settings'] });
  for (const [i, setting] of settings.entries()) {
    const path = ['spindle', 'settings', i];
    problems.push(...checkPositions(controls, setting.at, [...path, 'at']));
    if (settings.findIndex((s) => positionsKey(s.at) === positionsKey(setting.at)) !== i)
      problems.push({ code: 'lathe.sameSetting', path });
    if (setting.kind === 'stepless' && setting.minRpm >= setting.maxRpm)
      problems.push({ code: 'lathe.rangeReversed', path, value: setting.minRpm, limit: setting.maxRpm });
  }
  for (const [i, ban] of forbidden.entries())
    for (const [id, position] of Object.entries(ban.at))
      if (!controls.find((c) => c.id === id)?.positions.includes(position))
        problems.push({ code: 'lathe.noSuchPosition', path: ['spindle', 'forbidden', i, 'at', id], value: position });
  if (settings.length > 0 && settings.every((s) => forbiddenBecause(lathe, s.at) !== undefined))
    problems.push({ code: 'lathe.noSpeeds', path: ['spindle', 'forbidden'] });
  return [...problems, ...checkGaps(lathe)];
}

/** Trains made of gears that are not there, or that are used twice and owned once. */
function checkFeeds(lathe: Lathe): Problem[] {
  const { controls, settings } = lathe.feeds;
  const problems = checkControls(controls, ['feeds', 'controls']);
  for (const [i, setting] of settings.entries()) {
    const path = ['feeds', 'settings', i];
    problems.push(...checkPositions(controls, setting.at, [...path, 'at']));
    if (setting.kind === 'marked') {
      const read = readTyped(setting.perRev);
      if (!read.ok) problems.push({ code: read.code, path: [...path, 'perRev'], value: setting.perRev.text });
    }
    if (setting.kind === 'unmarked') problems.push({ code: 'lathe.feedUnmeasured', path, severity: 'warning' });
    if (setting.kind !== 'gears' || lathe.threads.gears.length === 0) continue;
    const left = [...lathe.threads.gears];
    for (const teeth of setting.pairs.flat()) {
      const at = left.indexOf(teeth);
      if (at < 0)
        problems.push({
          code: lathe.threads.gears.includes(teeth) ? 'lathe.gearTwice' : 'lathe.gearNotOwned',
          path: [...path, 'pairs'],
          value: teeth,
          severity: 'warning',
        });
      else left.splice(at, 1);
    }
  }
  const lead = readTyped(lathe.threads.leadscrewLead);
  if (!lead.ok)
    problems.push({ code: lead.code, path: ['threads', 'leadscrewLead'], value: lathe.threads.leadscrewLead.text });
  return problems;
}

/** A ring whose line is no finite decimal cannot carry the numbers that stand on it. */
function checkDial(dial: Dial, path: Path): Problem[] {
  const problems: Problem[] = [];
  if (rational(dial.travelPerTurn).equals(0))
    return [{ code: 'lathe.dialNoTravel', path: [...path, 'travelPerTurn'], value: dial.travelPerTurn }];
  const line = dialScale(dial).lineNumber;
  if (!Number.isInteger(line.mul(100_000).valueOf()))
    problems.push({
      code: 'lathe.dialDoesNotDivide',
      path: [...path, 'divisions'],
      value: dial.divisions,
      limit: dial.travelPerTurn,
      severity: 'warning',
    });
  const turnMm = dialScale(dial).lineTravelMm.mul(dial.divisions).valueOf();
  if (dial.slackMm >= turnMm)
    problems.push({ code: 'lathe.slackOverTurn', path: [...path, 'slackMm'], value: dial.slackMm, limit: turnMm });
  return problems;
}

interface Range {
  readonly fromMm: number;
  readonly toMm: number;
}
function checkRange({ fromMm, toMm }: Range, path: Path): Problem[] {
  return fromMm < toMm
    ? []
    : [{ code: 'lathe.rangeReversed', path: [...path, 'toMm'], value: fromMm, limit: toMm, unit: 'mm' }];
}

function checkHolding(lathe: Lathe): Problem[] {
  const { chucks, collets, drivers, rests } = lathe.holding;
  return [
    ...chucks.flatMap((chuck, i) => [
      ...chuck.jaws.flatMap((jaws, k) => checkRange(jaws, ['chucks', i, 'jaws', k])),
      ...(chucks.findIndex((c) => c.id === chuck.id) === i
        ? []
        : [{ code: 'lathe.sameControl' as const, path: ['chucks', i, 'id'], value: chuck.id }]),
    ]),
    ...collets.flatMap((c, i) => (c.fromMm <= c.toMm ? [] : checkRange(c, ['collets', i]))),
    ...drivers.flatMap((d, i) => checkRange(d, ['drivers', i])),
    ...(lathe.holding.arbors ?? []).flatMap((a, i) => checkRange(a, ['arbors', i])),
    ...rests.flatMap((r, i) => checkRange(r, ['rests', i])),
  ].map((p) => under(['holding'], p));
}

function checkSizes(lathe: Lathe): Problem[] {
  const { swingOverBedMm, swingOverCrossSlideMm } = lathe.sizes;
  const problems: Problem[] = [];
  if (swingOverCrossSlideMm > swingOverBedMm)
    problems.push({
      code: 'lathe.swingReversed',
      path: ['sizes', 'swingOverCrossSlideMm'],
      value: swingOverCrossSlideMm,
      limit: swingOverBedMm,
      unit: 'mm',
    });
  if (lathe.rigidity.usualDepthMm > lathe.rigidity.deepestCutMm)
    problems.push({
      code: 'lathe.depthsReversed',
      path: ['rigidity', 'usualDepthMm'],
      value: lathe.rigidity.usualDepthMm,
      limit: lathe.rigidity.deepestCutMm,
      unit: 'mm',
    });
  for (const [i, holder] of lathe.toolPost.holders.entries())
    if (holder.heightFromMm >= holder.heightToMm)
      problems.push({
        code: 'lathe.rangeReversed',
        path: ['toolPost', 'holders', i, 'heightToMm'],
        value: holder.heightFromMm,
        limit: holder.heightToMm,
        unit: 'mm',
      });
  return problems;
}

const checked = new WeakMap<Lathe, readonly Problem[]>();
/**
 * What is wrong or missing in a lathe's description: problems with paths into the lathe. Those that are no warnings keep it from being
 * planned for. Found once, however often it is asked.
 */
export function checkLathe(lathe: Lathe): readonly Problem[] {
  const known = checked.get(lathe);
  if (known) return known;
  const { crossSlide, carriage, compound } = lathe.slides;
  const dials: [string, Dial][] = [
    ['crossSlide', crossSlide],
    ...(carriage.means === 'dial' ? [['carriage', carriage] as [string, Dial]] : []),
    ['compound', compound],
  ];
  const found = [
    ...checkSpindle(lathe),
    ...checkFeeds(lathe),
    ...dials.flatMap(([name, dial]) => checkDial(dial, ['slides', name])),
    ...(lathe.tailstock.dial ? checkDial(lathe.tailstock.dial, ['tailstock', 'dial']) : []),
    ...checkSizes(lathe),
    ...checkHolding(lathe),
    ...checkPlausible(lathe),
  ];
  checked.set(lathe, found);
  return found;
}
