import { spawn } from 'node:child_process';
import path from 'node:path';
import { ensureChromium, ensureDxfReader, ensurePackages, ensurePostgres } from './lib/install.mjs';
import { ROOT } from './lib/places.mjs';
import { Plain, run, say } from './lib/say.mjs';

const env = {
  ...process.env,
  ASTRO_TELEMETRY_DISABLED: '1',
  ASTRO_DISABLE_UPDATE_CHECK: 'true',
  WHELK_DATABASE_URL: '',
  WHELK_DATA_DIR: '',
};
const started = Date.now();
const times = [];
const seconds = (since) => ((Date.now() - since) / 1000).toFixed(1);

async function timed(what, does) {
  const began = Date.now();
  const result = await does();
  times.push(`${what} ${seconds(began)} s`);
  return result;
}
/** Runs one step; what it says is kept together and shown when it is done, so that two side by side stay readable. */
function step(what, script, args = [], { live = false } = {}) {
  return timed(
    what,
    () =>
      new Promise((resolve, reject) => {
        const child = spawn(process.execPath, [path.join(ROOT, script), ...args], {
          cwd: ROOT,
          env,
          stdio: live ? 'inherit' : ['ignore', 'pipe', 'pipe'],
        });
        const said = [];
        for (const stream of [child.stdout, child.stderr]) stream?.on('data', (chunk) => said.push(chunk));
        child.on('close', (code) => {
          if (code === 0) return resolve();
          process.stderr.write(Buffer.concat(said));
          reject(new Plain(`${what}: failed`));
        });
      }),
  );
}
const typesOf = (config) => [
  'node_modules/typescript/bin/tsc',
  [
    '-p',
    config,
    '--incremental',
    '--tsBuildInfoFile',
    `node_modules/.cache/${config.replaceAll('/', '-')}.tsbuildinfo`,
  ],
];
const tests = (what, project, files) =>
  step(what, 'node_modules/vitest/vitest.mjs', ['run', '--project', project, '--passWithNoTests', ...files], {
    live: true,
  });

const told = () => say(`${times.join(', ')}; together ${seconds(started)} s`);

/** Everything that must hold, in a fresh clone too, beside a shop that runs: own cluster, ports and folders throughout. */
await run(async () => {
  process.on('exit', told);
  const files = process.argv.slice(2);
  await timed('packages', () => {
    ensurePackages();
    ensurePostgres();
    ensureChromium();
    ensureDxfReader();
  });
  say('Lint, the house, types, the build: two at a time');
  const still = (async () => {
    await step('lint', 'node_modules/@biomejs/biome/bin/biome', ['check', '.']);
    await step('house', 'scripts/house-check.mjs');
    await step('types of core', ...typesOf('core'));
    await step('types of its tests', ...typesOf('core/tsconfig.tests.json'));
  })();
  const application = (async () => {
    await step('build', 'scripts/build.mjs');
    await step('types of the application', 'scripts/astro.mjs', ['check']);
  })();
  const [first] = (await Promise.allSettled([still, application])).filter((done) => done.status === 'rejected');
  if (first) throw first.reason;
  say('Units');
  await tests('units', 'unit', files);
  say('A whole shop: endpoints on PostgreSQL, starting and stopping, the interface in Chromium');
  await tests('shop', 'shop', files);
});
