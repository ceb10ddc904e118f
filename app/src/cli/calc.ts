import { calculate, calculationNamed, catalogue, schemasOf } from '@whelk/core/calc';
import { calculationSentences } from '../messages/calculations.ts';
import { tellProblem } from '../messages/problems.ts';
import { wordStep } from '../messages/workings.ts';

/** `calc --list`, `calc NAME --schema`, `calc NAME '{…}'`; `calc NAME -` reads the input from standard input. */
async function main(): Promise<number> {
  const [name, argument] = process.argv.slice(2);
  if (name === '--list') {
    for (const entry of catalogue)
      console.log(`${entry.name}\t${entry.tab}\t${calculationSentences[entry.name] ?? ''}`);
    return 0;
  }
  const entry = name === undefined ? undefined : calculationNamed(name);
  if (!entry) {
    console.log(
      JSON.stringify({ problems: [tellProblem({ code: 'calc.unknown', path: [], value: name ?? '' })] }, null, 2),
    );
    return 2;
  }
  if (argument === '--schema') {
    console.log(JSON.stringify(schemasOf(entry), null, 2));
    return 0;
  }
  let input: unknown;
  try {
    input = JSON.parse(argument === '-' ? await readAll() : (argument ?? ''));
  } catch {
    console.log(JSON.stringify({ problems: [tellProblem({ code: 'input.notJson', path: [] })] }, null, 2));
    return 1;
  }
  const outcome = calculate(entry, input);
  if (!outcome.ok) {
    console.log(JSON.stringify({ problems: outcome.problems.map(tellProblem) }, null, 2));
    return 1;
  }
  console.log(
    JSON.stringify(
      {
        result: outcome.result,
        working: (outcome.working as Parameters<typeof wordStep>[0][]).map((step) => wordStep(step)),
      },
      null,
      2,
    ),
  );
  return 0;
}

async function readAll(): Promise<string> {
  const chunks: Buffer[] = [];
  for await (const chunk of process.stdin) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks).toString('utf8');
}

process.exitCode = await main();
