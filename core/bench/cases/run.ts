import { answerTo, type Case } from './case.ts';
import { holdingCases } from './holding.ts';

/** Every case, as passes and failures; ends with 1 where one fails. `tsx core/bench/cases/run.ts WORD` tries those whose title or rule has it. */
const wanted = process.argv[2]?.toLowerCase() ?? '';
const cases: readonly Case[] = holdingCases.filter((c) => `${c.rule} ${c.title}`.toLowerCase().includes(wanted));
let failed = 0;
for (const { rule, title, job, must } of cases) {
  let faults: string[];
  try {
    const answer = answerTo(job);
    faults = must.flatMap((judge) => judge(answer) ?? []);
  } catch (error) {
    faults = [`the case itself: ${error instanceof Error ? error.message : error}`];
  }
  if (faults.length > 0) failed++;
  console.log(`${faults.length === 0 ? '✓' : '✕'} ${rule}: ${title}${faults.map((f) => `\n    ${f}`).join('')}`);
}
console.log(`${cases.length - failed} of ${cases.length} cases hold`);
process.exitCode = failed > 0 ? 1 : 0;
