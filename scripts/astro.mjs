import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { ROOT } from './lib/places.mjs';

/** Runs Astro's own command in the application's folder, quietly. */
const result = spawnSync(process.execPath, [path.join(ROOT, 'node_modules/astro/astro.js'), ...process.argv.slice(2)], {
  cwd: path.join(ROOT, 'app'),
  stdio: 'inherit',
  env: { ...process.env, ASTRO_TELEMETRY_DISABLED: '1', ASTRO_DISABLE_UPDATE_CHECK: 'true' },
});
process.exitCode = result.status ?? 1;
