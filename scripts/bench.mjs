import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { ensureChromium, ensurePackages, ensurePostgres } from './lib/install.mjs';
import { ROOT } from './lib/places.mjs';
import { run } from './lib/say.mjs';

/** Prints figures beside their targets. Machines are noisy: it fails nothing, it only tells. */
await run(async () => {
  ensurePackages();
  ensurePostgres();
  ensureChromium();
  ensureBuilt();
  for (const file of [
    'core/bench/core.ts',
    'core/bench/contour.ts',
    'core/bench/drawing.ts',
    'core/bench/stock.ts',
    'core/bench/truing.ts',
    'core/bench/threads.ts',
    'core/bench/tapers.ts',
    'core/bench/holdings.ts',
    'core/bench/simulate.ts',
    'app/bench/drawing.ts',
    'app/bench/pages.ts',
  ]) {
    const result = spawnSync(
      process.execPath,
      [path.join(ROOT, 'node_modules/tsx/dist/cli.mjs'), path.join(ROOT, file)],
      { cwd: ROOT, stdio: 'inherit', env: { ...process.env, WHELK_DATABASE_URL: '' } },
    );
    if (result.status !== 0) return result.status ?? 1;
  }
});
