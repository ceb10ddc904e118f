import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { ensurePackages } from './lib/install.mjs';
import { ROOT } from './lib/places.mjs';
import { run } from './lib/say.mjs';

/**
 * Spoils routes on purpose and tells which the simulation finds: each is judged by a slow reference in columns of 20 µm that knows nothing
 * of it. `npm run prove -- 500` spoils fewer than the usual 2000; `npm run prove -- 500 each` tells of each that is judged otherwise. Ends
 * with 1 where harm is missed or a good route accused.
 */
await run(async () => {
  ensurePackages();
  const [count = '2000', each = ''] = process.argv.slice(2);
  const tsx = path.join(ROOT, 'node_modules/tsx/dist/cli.mjs');
  const args = [tsx, path.join(ROOT, 'core/bench/routes/mutants.ts'), count, ...(each ? [each] : [])];
  return spawnSync(process.execPath, args, { cwd: ROOT, stdio: 'inherit' }).status ?? 1;
});
