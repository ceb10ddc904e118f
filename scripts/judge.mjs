import { spawn } from 'node:child_process';
import os from 'node:os';
import path from 'node:path';
import { ensurePackages } from './lib/install.mjs';
import { ROOT } from './lib/places.mjs';
import { run, say } from './lib/say.mjs';

/**
 * Prints what becomes of diameters when a turner does exactly what he is told, in a pretended lathe, beside three plain rules in
 * the same world. `npm run judge -- 500` cuts fewer features a row than the usual 5000. Ends with 1 where a promise does not hold.
 */
const SHARES = Math.max(1, Math.min(4, os.availableParallelism()));
const features = Number(process.argv[2] ?? 5000);
const percent = (share) => `${(100 * share).toFixed(2)} %`.padStart(9);

function shareOf(index) {
  return new Promise((resolve, reject) => {
    const child = spawn(
      process.execPath,
      [
        path.join(ROOT, 'node_modules/tsx/dist/cli.mjs'),
        path.join(ROOT, 'core/bench/judge/table.ts'),
        `${index}`,
        `${SHARES}`,
        `${features}`,
      ],
      { cwd: ROOT, stdio: ['ignore', 'pipe', 'inherit'] },
    );
    let text = '';
    child.stdout.on('data', (data) => {
      text += data;
    });
    child.on('error', reject);
    child.on('close', (code) => (code === 0 ? resolve(text) : reject(new Error(`share ${index} ended with ${code}`))));
  });
}

/** What must hold of a row; the words of what does not. */
function broken({ row, setBy, refused, before, learned }) {
  if (!setBy) return refused ? [] : ['neither cut nor refused'];
  const faults = [];
  const slips = row.readingSlips !== undefined;
  const hands = row.handSlips !== undefined;
  for (const [when, counted] of [
    ['before', before],
    ['learned', learned],
  ]) {
    const least = when === 'learned' ? 0.99 : 0.96;
    if (!hands && counted.spoiled / counted.count > (slips ? 0.005 : 0.002)) faults.push(`spoiled ${when}`);
    if (!hands && !slips && counted.inside / counted.count < least) faults.push(`inside ${when}`);
    if (hands && counted.asked / counted.slipped < 0.95) faults.push(`asked ${when}`);
    // who tries short cuts measures those besides
    const most = row.limits === '±0.1' ? 2 : row.school === 'trial' ? 5 : 4;
    if (!hands && !slips && counted.measurements / counted.count > most) faults.push(`measurements ${when}`);
  }
  return faults;
}

await run(async () => {
  ensurePackages();
  const began = Date.now();
  const answers = await Promise.all(Array.from({ length: SHARES }, (_, i) => shareOf(i)));
  const rows = answers
    .flatMap((text) =>
      text
        .trim()
        .split('\n')
        .filter(Boolean)
        .map((line) => JSON.parse(line)),
    )
    .sort((a, b) => a.i - b.i);
  say(
    `Ø30 outside and inside, ring 0.02 mm on the radius, micrometer ±0.004 (k = 2), touch ±0.02, ${features} features a row, half of them once the spring is learned`,
  );
  say(
    'limits  spring  set by               inside    metal on     SPOILED measured again | learned: inside    SPOILED measured | inside and spoiled by: dial only | half the difference | measure and halve',
  );
  let faults = 0;
  for (const answer of rows.filter((r) => !r.length && !r.thread && !r.taper && !r.cone)) {
    const { row, setBy, refused, before, learned, plain } = answer;
    const slip = row.readingSlips ? ' reading slips 3 %' : row.handSlips ? ' hand slips 3 %' : '';
    const head = `${row.limits.padEnd(6)} ${`${(100 * row.springShare).toFixed(0)} %`.padStart(6)}  ${(setBy ?? `refused (${refused})`).padEnd(18)}`;
    const mine = before
      ? `${percent(before.inside / before.count)} ${percent(before.left / before.count)} ${percent(before.spoiled / before.count)} ${(before.measurements / before.count).toFixed(2)} ${(before.extraCuts / before.count).toFixed(2)} | ${percent(learned.inside / learned.count)} ${percent(learned.spoiled / learned.count)} ${(learned.measurements / learned.count).toFixed(2)}`
      : '';
    const others = plain.map((p) => `${percent(p.inside)} ${percent(p.undersize)}`).join(' | ');
    const asked = row.handSlips ? ` asked about at the next reading: ${percent(before.asked / before.slipped)}` : '';
    const wrong = broken(answer);
    faults += wrong.length;
    say(`${head} ${mine} | ${others}${slip}${asked}${wrong.length > 0 ? `  DOES NOT HOLD: ${wrong.join(', ')}` : ''}`);
  }
  say('Lengths, faced to by the compound, ring 0.02 mm: inside, SHORT, metal on, read again');
  for (const { length, counted: c } of rows.filter((r) => r.length)) {
    const wrong = [
      ...(c.short / c.count > 0.002 ? ['short'] : []),
      ...(c.inside / c.count < 0.98 ? ['inside'] : []),
      ...(c.readings / c.count > 3 ? ['readings'] : []),
    ];
    faults += wrong.length;
    say(
      `${length.limits.padEnd(8)} gauge ±${(2 * length.sigmaMm).toFixed(3)} ${percent(c.inside / c.count)} ${percent(c.short / c.count)} ${percent(c.long / c.count)} ${(c.readings / c.count).toFixed(2)}${wrong.length > 0 ? `  DOES NOT HOLD: ${wrong.join(', ')}` : ''}`,
    );
  }
  say(
    'Tapers 100 long, gauge ±0.004, first set by eye, then by indicator ±0.002: within AT7 by at most three corrections, corrections | corrected once by its ends | three times by half',
  );
  for (const { taper, counted: c } of rows.filter((r) => r.taper)) {
    const wrong = c.inside / c.count < 0.99 ? ['within AT7'] : [];
    faults += wrong.length;
    say(
      `${taper.taper.padEnd(9)} ${taper.by.padEnd(9)} ${percent(c.inside / c.count)} ${(c.corrections / c.count).toFixed(2)} | ${percent(c.onceInside / c.count)} | ${percent(c.halvedInside / c.count)}${wrong.length > 0 ? `  DOES NOT HOLD: ${wrong.join(', ')}` : ''}`,
    );
  }
  say(
    'Cones turned as told from the touch to the last cut, by the compound set to 0.15°, gauge ±0.004, indicator scale ±5 %: inside, SPOILED, settings corrected, measured, slope within (19 of 20)',
  );
  for (const { cone, counted: c } of rows.filter((r) => r.cone)) {
    const wrong = [
      ...(c.spoiled > 0 ? ['spoiled'] : []),
      ...(c.inside / c.count < 0.99 ? ['inside'] : []),
      ...(c.finished < c.count ? ['unfinished'] : []),
    ];
    faults += wrong.length;
    say(
      `1:${String(cone.ratio).padEnd(4)} ${cone.side.padEnd(8)} Ø${cone.largeMm} x ${cone.lengthMm} ±${cone.withinMm} ${`${(100 * cone.springShare).toFixed(0)} %`.padStart(5)} ${percent(c.inside / c.count)} ${percent(c.spoiled / c.count)} ${c.corrections.toFixed(2)} ${c.measurements.toFixed(2)} ${c.slopeMm.toFixed(4)}${wrong.length > 0 ? `  DOES NOT HOLD: ${wrong.join(', ')}` : ''}`,
    );
  }
  say(
    'Threads, wires ±0.005 on the pitch diameter, point of the bit ±0.02, compound ±0.25°: inside, UNDER, measured | by the calculated depth: inside, under',
  );
  for (const { thread, counted: c } of rows.filter((r) => r.thread)) {
    const wrong = [
      ...(c.under / c.count > 0.003 ? ['under'] : []),
      ...(c.inside / c.count < 0.99 ? ['inside'] : []),
      ...(c.unfinished > 0 ? ['unfinished'] : []),
    ];
    faults += wrong.length;
    say(
      `${`${thread.designation} ${thread.close}`.padEnd(16)} ${`${(100 * thread.springShare).toFixed(0)} %`.padStart(5)} ${percent(c.inside / c.count)} ${percent(c.under / c.count)} ${(c.measurements / c.count).toFixed(2)} | ${percent(c.plainInside / c.count)} ${percent(c.plainUnder / c.count)}${wrong.length > 0 ? `  DOES NOT HOLD: ${wrong.join(', ')}` : ''}`,
    );
  }
  say(
    `${((Date.now() - began) / 1000).toFixed(0)} s; ${faults === 0 ? 'everything that must hold does' : `${faults} promises do not hold`}`,
  );
  return faults === 0 ? 0 : 1;
});
