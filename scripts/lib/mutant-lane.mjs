import fs from 'node:fs';
import { createVitest } from 'vitest/node';

/**
 * One lane of `npm run mutants`: keeps the test runner warm in a copy of core, and answers for each change whether a test
 * notices it. A change that never ends is killed from outside, with this whole process.
 */
const [rooms, then] = process.argv.slice(2).map((list) => list.split(','));
const vitest = await createVitest('test', {
  root: process.cwd(),
  watch: false,
  project: ['unit'],
  isolate: false,
  bail: 1,
  maxWorkers: 1,
  reporters: [{}],
});
const [own, further] = [await vitest.globTestSpecifications(rooms), await vitest.globTestSpecifications(then)];

/** True when a test of these fails, or cannot run any more. */
async function fails(specifications) {
  const { testModules, unhandledErrors } = await vitest.runTestSpecifications(specifications, false);
  // what ran before is still listed as it came out then
  const now = new Set(specifications.map((specification) => specification.moduleId));
  return unhandledErrors.length > 0 || testModules.some((module) => now.has(module.moduleId) && !module.ok());
}
function write(file, text) {
  fs.writeFileSync(file, text);
  vitest.invalidateFile(file);
}

process.on('message', async ({ file, start, end, to }) => {
  const text = fs.readFileSync(file, 'utf8');
  write(file, text.slice(0, start) + to + text.slice(end));
  // the room's own tests first; the judge cuts pieces only for what those let through
  const noticed = (await fails(own)) || (await fails(further));
  write(file, text);
  process.send({ noticed });
});
process.send({ ready: !(await fails(own)) && !(await fails(further)) });
