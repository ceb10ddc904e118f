import { calculate, calculationNamed } from '../../src/calc/index.ts';
import { answerTo, answerToQuestion, type Case, documentsOf, type Question } from './case.ts';
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
/** What goes wrong where the plan is cut with the true shapes of its tools: nothing may, whatever the case is about. */
function cutFaultsOf(tried: Case['job']): string[] {
  const told = calculate(calculationNamed('route.simulate')!, documentsOf(tried));
  if (!told.ok) return [];
  const { findings } = told.result as {
    readonly findings: readonly { readonly code: string; readonly operationId?: string }[];
  };
  return findings.map((f) => `cut like this: ${f.code} at ${f.operationId ?? 'its end'}`);
}

/** What is wrong with the answer to a case or a question. */
function faultsOf(one: Case | Question): string[] {
  if ('ask' in one) return [one.holds(answerToQuestion(one))].filter((f) => f !== undefined);
  const answer = answerTo(one.job);
  return [...one.must.flatMap((judge) => judge(answer) ?? []), ...cutFaultsOf(one.job)];
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
