import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { ROOT } from './places.mjs';
import { Plain, quietly, say } from './say.mjs';

function* files(dir) {
  for (const entry of fs.readdirSync(dir, { withFileTypes: true })) {
    const full = path.join(dir, entry.name);
    if (entry.isDirectory()) yield* files(full);
    else if (entry.isFile() && !/\.(test|bench)\.tsx?$/.test(entry.name)) yield full;
  }
}

/** A stamp of everything that goes into the build. */
function sourceStamp() {
  const hash = createHash('sha256');
  const all = [
    ...files(path.join(ROOT, 'core/src')),
    ...files(path.join(ROOT, 'app/src')),
    ...['package-lock.json', 'app/astro.config.mjs', 'app/tsconfig.json', 'tsconfig.base.json'].map((f) =>
      path.join(ROOT, f),
    ),
  ];
  for (const file of all.sort())
    hash.update(path.relative(ROOT, file)).update('\0').update(fs.readFileSync(file)).update('\0');
  return hash.digest('hex');
}

/** Builds the application when its sources changed since the last build. */
export function ensureBuilt() {
  const stampFile = path.join(ROOT, 'app/dist/.built');
  const stamp = sourceStamp();
  if (fs.existsSync(stampFile) && fs.readFileSync(stampFile, 'utf8') === stamp) return;
  say('Building (about half a minute, after changes only)');
  const built = quietly(process.execPath, [path.join(ROOT, 'node_modules/astro/astro.js'), 'build', '--silent'], {
    cwd: path.join(ROOT, 'app'),
    env: { ...process.env, NODE_ENV: 'production', ASTRO_TELEMETRY_DISABLED: '1', ASTRO_DISABLE_UPDATE_CHECK: 'true' },
  });
  if (!built) throw new Plain('The build failed; what is wrong stands above.');
  fs.writeFileSync(stampFile, stamp);
}
