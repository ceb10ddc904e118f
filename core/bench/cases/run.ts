import { answerTo, answerToQuestion, type Case, type Question } from './case.ts';
import { drawingCases, drawingQuestions } from './drawing.ts';
import { holdingCases } from './holding.ts';
import { hollowAndOrderCases } from './hollow-and-order.ts';
import { metalCases, metalQuestions } from './metal.ts';
import { oddCases } from './odd.ts';

/** Every case, as passes and failures; ends with 1 where one fails. `tsx core/bench/cases/run.ts WORD` tries those whose title or rule has it. */
const wanted = process.argv[2]?.toLowerCase() ?? '';
const cases: readonly (Case | Question)[] = [
  ...[...holdingCases, ...hollowAndOrderCases, ...oddCases, ...drawingCases, ...metalCases],
  ...[...drawingQuestions, ...metalQuestions],
].filter((c) => `${c.rule} ${c.title}`.toLowerCase().includes(wanted));
let failed = 0;
/** What is wrong with the answer to a case or a question. */
function faultsOf(one: Case | Question): string[] {
  if ('ask' in one) return [one.holds(answerToQuestion(one))].filter((f) => f !== undefined);
  const answer = answerTo(one.job);
  return one.must.flatMap((judge) => judge(answer) ?? []);
}
for (const one of cases) {
  const { rule, title } = one;
  let faults: string[];
  try {
    faults = faultsOf(one);
  } catch (error) {
    faults = [`the case itself: ${error instanceof Error ? error.message : error}`];
  }
  if (faults.length > 0) failed++;
  console.log(`${faults.length === 0 ? '✓' : '✕'} ${rule}: ${title}${faults.map((f) => `\n    ${f}`).join('')}`);
}
console.log(`${cases.length - failed} of ${cases.length} cases hold`);
process.exitCode = failed > 0 ? 1 : 0;
