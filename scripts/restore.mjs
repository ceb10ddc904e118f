import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { withDatabase } from './backup.mjs';
import { pgEnvironment } from './lib/postgres.mjs';
import { Plain, run, say } from './lib/say.mjs';
import { setUp } from './lib/setup.mjs';

await run(async () => {
  const file = process.argv[2];
  if (!file) throw new Plain('Name the backup to read: npm run restore -- FILE');
  const source = path.resolve(process.env.INIT_CWD ?? process.cwd(), file);
  if (!fs.existsSync(source)) throw new Plain(`${source} is not there.`);
  if (fs.readFileSync(source).subarray(0, 5).toString('latin1') !== 'PGDMP')
    throw new Plain(`${source} is not a backup made by npm run backup.`);
  await withDatabase((url, bin) => {
    // one transaction: either the whole shop is replaced, or nothing is changed
    const input = fs.openSync(source, 'r');
    const { PGDATABASE, ...env } = pgEnvironment(url);
    const result = spawnSync(
      path.join(bin, 'pg_restore'),
      [
        '--clean',
        '--if-exists',
        '--no-owner',
        '--no-privileges',
        '--single-transaction',
        '--exit-on-error',
        '-d',
        PGDATABASE,
      ],
      { stdio: [input, 'pipe', 'pipe'], env, encoding: 'utf8' },
    );
    fs.closeSync(input);
    if (result.status !== 0) throw new Plain(`The restore failed and changed nothing: ${result.stderr.trim()}`);
    setUp(url, 'empty');
  });
  say(`The shop is as it was in ${source}`);
});
