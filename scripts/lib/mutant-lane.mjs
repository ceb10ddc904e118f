import fs from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import vm from 'node:vm';
import * as esbuild from 'esbuild';
import fc from 'fast-check';
import { expect } from 'vitest';

/**
 * One lane of `npm run mutants`: puts tests and core together anew for each change, in memory, and answers whether a test notices it. The
 * checkout is not touched. A change that never ends is killed from outside, with this whole process.
 */
const [rooms, then] = process.argv.slice(2, 4).map((list) => list.split(',').filter(Boolean));
const ROOT = process.cwd();
fc.configureGlobal({ seed: 20_260_112 });

/** The one file that is not as it stands on disk, and what it says instead. */
let changed = { file: '', text: '' };
const onDisk = new Map();
function read(file) {
  if (!onDisk.has(file)) onDisk.set(file, fs.readFileSync(file, 'utf8'));
  return file === changed.file ? changed.text : onDisk.get(file);
}
const sources = {
  name: 'sources',
  setup(build) {
    build.onLoad({ filter: /\.ts$/ }, ({ path: file }) => ({
      contents: read(file).replaceAll('import.meta.url', JSON.stringify(pathToFileURL(file).href)),
      loader: 'ts',
    }));
  },
};

const testsIn = (place) =>
  place.endsWith('.test.ts')
    ? [place]
    : fs
        .readdirSync(place, { recursive: true })
        .map((name) => path.join(place, String(name)))
        .filter((name) => name.endsWith('.test.ts'));

/** All tests of some rooms as one script that can be put together again quickly. */
function bundleOf(places) {
  const files = places.flatMap(testsIn);
  return esbuild.context({
    stdin: { contents: files.map((f) => `import './${f}';`).join('\n'), resolveDir: ROOT },
    ...{ bundle: true, write: false, metafile: true, format: 'cjs', platform: 'node', packages: 'external' },
    ...{ plugins: [sources], logLevel: 'silent', ignoreAnnotations: true },
  });
}

const packages = new Map();
/** Packages are loaded once for all changes. A package that is a class is that class, as Node has it. */
async function load(name) {
  if (packages.has(name)) return;
  const all = await import(name);
  packages.set(name, typeof all.default === 'function' ? all.default : all);
}
const fromDisk = createRequire(import.meta.url);
const required = (name) => packages.get(name) ?? fromDisk(name);

/** Gathers what a file of tests says, to be run one after the other. */
function gathering(tests) {
  const it = (_name, body) => tests.push(body);
  it.each = (rows) => (_name, body) => {
    for (const row of rows) tests.push(() => (Array.isArray(row) ? body(...row) : body(row)));
  };
  return { it, expect, describe: (_name, body) => body() };
}

/** Places of tests by how long each takes, quickest first. */
async function byTime(tests) {
  const times = [];
  for (const [at, test] of tests.entries()) {
    const began = performance.now();
    await test();
    times.push([at, performance.now() - began]);
  }
  return times.toSorted(([, a], [, b]) => a - b).map(([at]) => at);
}
const took = new Map();

/** True when a test of these fails, or cannot run any more. */
async function fails(bundle) {
  try {
    const { outputFiles, metafile } = await bundle.rebuild();
    for (const { imports } of Object.values(metafile.outputs))
      for (const i of imports) if (i.external && i.path !== 'vitest') await load(i.path);
    const tests = [];
    const vitest = gathering(tests);
    const script = vm.runInThisContext(`(function (require, module, exports) {${outputFiles[0].text}\n})`);
    const module = { exports: {} };
    script((name) => (name === 'vitest' ? vitest : required(name)), module, module.exports);
    // the quick ones first, as they took while nothing was changed
    const order = took.get(bundle);
    if (order) for (const at of order) await tests[at]();
    else took.set(bundle, await byTime(tests));
    return false;
  } catch (error) {
    if (process.env.WHELK_SAY) console.error(error);
    return true;
  }
}

const [own, further] = [await bundleOf(rooms), await bundleOf(then)];
process.on('message', async ({ file, start, end, to }) => {
  const whole = path.join(ROOT, file);
  // as it was when the tests passed, whatever is written meanwhile
  const text = onDisk.get(whole) ?? read(whole);
  changed = { file: whole, text: text.slice(0, start) + to + text.slice(end) };
  // the room's own tests first; those that take longer only for what these let through
  const noticed = (await fails(own)) || (await fails(further));
  changed = { file: '', text: '' };
  process.send({ noticed });
});
process.send({ ready: !(await fails(own)) && !(await fails(further)) });
