import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { ensurePostgres } from './lib/install.mjs';
import { dataDir } from './lib/places.mjs';
import { binDir, Cluster, installedVersions, pgEnvironment } from './lib/postgres.mjs';
import { Plain, run, say } from './lib/say.mjs';

/** Where the shop's database is; a private one that does not run is started for as long as the work lasts. */
export async function withDatabase(work) {
  ensurePostgres();
  if (process.env.WHELK_DATABASE_URL)
    return work(process.env.WHELK_DATABASE_URL, `/usr/lib/postgresql/${installedVersions()[0]}/bin`);
  const cluster = new Cluster(dataDir());
  const ran = cluster.running();
  try {
    return await work(await cluster.start(), binDir(cluster.data));
  } finally {
    if (!ran) cluster.stop();
  }
}

if (import.meta.url === `file://${process.argv[1]}`)
  await run(async () => {
    const file = process.argv[2];
    if (!file) throw new Plain('Name the file to write: npm run backup -- FILE');
    const target = path.resolve(process.env.INIT_CWD ?? process.cwd(), file);
    if (fs.existsSync(target)) throw new Plain(`${target} is there already. Name a new file.`);
    await withDatabase((url, bin) => {
      // written aside first: a backup that failed half way never looks like one
      const aside = `${target}.part`;
      const out = fs.openSync(aside, 'wx', 0o600);
      const result = spawnSync(path.join(bin, 'pg_dump'), ['--format=custom', '--no-owner', '--no-privileges'], {
        stdio: ['ignore', out, 'pipe'],
        env: pgEnvironment(url),
        encoding: 'utf8',
      });
      fs.closeSync(out);
      if (result.status !== 0) {
        fs.rmSync(aside, { force: true });
        throw new Plain(`The backup failed: ${result.stderr.trim()}`);
      }
      fs.renameSync(aside, target);
    });
    say(`The whole shop is in ${target} (${Math.ceil(fs.statSync(target).size / 1024)} KB)`);
  });
