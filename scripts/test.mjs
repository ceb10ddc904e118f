import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { ensureChromium, ensureDxfReader, ensurePackages, ensurePostgres } from './lib/install.mjs';
import { ROOT } from './lib/places.mjs';
import { Plain, run, say } from './lib/say.mjs';

/** Runs one step of the tests; the first that fails ends them. */
function step(what, script, args = []) {
  const began = Date.now();
  say(what);
  const result = spawnSync(process.execPath, [path.join(ROOT, script), ...args], {
    cwd: ROOT,
    stdio: 'inherit',
    env: {
      ...process.env,
      ASTRO_TELEMETRY_DISABLED: '1',
      ASTRO_DISABLE_UPDATE_CHECK: 'true',
      WHELK_DATABASE_URL: '',
      WHELK_DATA_DIR: '',
    },
  });
  if (result.status !== 0) throw new Plain(`${what}: failed`);
  say(`${what}: ${((Date.now() - began) / 1000).toFixed(1)} s`);
}

/** Everything that must hold, in a fresh clone too, beside a shop that runs: own cluster, ports and folders throughout. */
await run(async () => {
  ensurePackages();
  ensurePostgres();
  ensureChromium();
  ensureDxfReader();
  step('Lint', 'node_modules/@biomejs/biome/bin/biome', ['check', '.']);
  step('The house', 'scripts/house-check.mjs');
  step('Types of core', 'node_modules/typescript/bin/tsc', ['-p', 'core']);
  step('Types of its tests', 'node_modules/typescript/bin/tsc', ['-p', 'core/tsconfig.tests.json']);
  step('Types of the application', 'scripts/astro.mjs', ['check']);
  const { ensureBuilt } = await import('./lib/build.mjs');
  ensureBuilt();
  step(
    'Tests: units, endpoints on PostgreSQL, starting and stopping, the interface in Chromium',
    'node_modules/vitest/vitest.mjs',
    ['run', ...process.argv.slice(2)],
  );
});
