import { run } from './lib/say.mjs';
import { serve } from './lib/serve.mjs';

/** Serves the build against WHELK_DATABASE_URL on the port given: for tests, benchmarks, and further instances on one database. */
await run(async () => {
  const stop = await serve(Number(process.argv[2] ?? process.env.PORT ?? 4600));
  console.log('ready');
  await new Promise((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, resolve);
  });
  await stop();
  process.exit(0);
});
