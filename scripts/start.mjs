import path from 'node:path';
import { parseArgs } from 'node:util';
import { ensureBuilt } from './lib/build.mjs';
import { ensurePackages, ensurePostgres } from './lib/install.mjs';
import { takeLock } from './lib/lock.mjs';
import { dataDir } from './lib/places.mjs';
import { Cluster } from './lib/postgres.mjs';
import { Plain, run, say } from './lib/say.mjs';
import { serve } from './lib/serve.mjs';
import { setUp } from './lib/setup.mjs';

function options() {
  try {
    const { values } = parseArgs({
      options: {
        empty: { type: 'boolean', default: false },
        port: { type: 'string', default: process.env.PORT ?? '4600' },
      },
    });
    const port = Number(values.port);
    if (!Number.isInteger(port) || port < 1 || port > 65_535)
      throw new Plain(`--port ${values.port} is not a port. Use a number from 1 to 65535.`);
    return { empty: values.empty, port };
  } catch (error) {
    throw error instanceof Plain
      ? error
      : new Plain(`${error.message.split('\n')[0]}\nUsage: npm start -- [--port NUMBER] [--empty]`);
  }
}

/** Keeps the private database alive while the application runs: started again on its port if it goes away. */
function watch(cluster) {
  let busy = false;
  const timer = setInterval(async () => {
    if (busy || cluster.running()) return;
    busy = true;
    say('The database went away; starting it again');
    await cluster.start().catch((error) => console.error(error.message));
    busy = false;
  }, 5000);
  return () => clearInterval(timer);
}

await run(async () => {
  const { empty, port } = options();
  ensurePackages();
  const external = process.env.WHELK_DATABASE_URL || undefined;
  let cluster;
  let lock;
  let where = 'the database at WHELK_DATABASE_URL';
  if (!external) {
    ensurePostgres();
    const dir = dataDir();
    cluster = new Cluster(dir);
    lock = takeLock(path.join(dir, 'start.lock'));
    if (!lock.ok)
      throw new Plain(
        `Whelk is already running from ${dir}${lock.holder.port ? ` at http://127.0.0.1:${lock.holder.port}` : ''} (process ${lock.holder.pid}). Stop it first, or open that address.`,
      );
    where = dir;
  }
  let stopServer;
  let stopWatch;
  const release = () => {
    stopWatch?.();
    cluster?.stop();
    lock?.release();
  };
  try {
    ensureBuilt();
    const url = external ?? (await cluster.start());
    process.env.WHELK_DATABASE_URL = url;
    const begun = setUp(url, empty ? 'empty' : 'demo');
    if (begun === 'demo') say('Loaded the demo shop');
    if (begun === 'begun' && empty) say('This shop was begun before; --empty leaves it as it is');
    stopServer = await serve(port);
    lock?.tell({ port });
    if (cluster) stopWatch = watch(cluster);
  } catch (error) {
    release();
    throw error;
  }
  console.log(`\n  Whelk is ready: http://127.0.0.1:${port}\n  Data: ${where}\n  Stop: Ctrl-C\n`);
  await new Promise((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.once(signal, resolve);
  });
  say('Stopping: letting saves in flight finish');
  await stopServer();
  release();
  // the pool of database connections would keep the process alive
  setImmediate(() => process.exit(0));
});
