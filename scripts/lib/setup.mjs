import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { ROOT } from './places.mjs';
import { Plain } from './say.mjs';

/** Migrates a database and begins its shop. @returns 'demo', 'empty', or 'begun' when there was one already */
export function setUp(url, what) {
  const result = spawnSync(
    process.execPath,
    [path.join(ROOT, 'node_modules/tsx/dist/cli.mjs'), path.join(ROOT, 'app/src/cli/setup.ts'), what],
    {
      cwd: ROOT,
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, WHELK_DATABASE_URL: url },
    },
  );
  if (result.status !== 0) {
    const why =
      result.stderr.split('\n').find((line) => /^\w*Error|error:/i.test(line.trim())) ?? result.stderr.slice(0, 400);
    throw new Plain(`The database could not be brought up to date: ${why.trim()}`);
  }
  return result.stdout.trim().split('\n').pop();
}
