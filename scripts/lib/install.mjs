import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { ROOT } from './places.mjs';
import { installedVersions } from './postgres.mjs';
import { Plain, quietly, say } from './say.mjs';

function stampOf(file) {
  return createHash('sha256').update(fs.readFileSync(file)).digest('hex');
}

/** npm packages as the lock file names them, development ones included. */
export function ensurePackages() {
  const stamp = path.join(ROOT, 'node_modules/.whelk-lock');
  const wanted = stampOf(path.join(ROOT, 'package-lock.json'));
  if (fs.existsSync(stamp) && fs.readFileSync(stamp, 'utf8') === wanted) return;
  say('Installing npm packages (about a minute, once)');
  const installed = quietly('npm', ['ci', '--include=dev', '--no-audit', '--no-fund'], {
    cwd: ROOT,
    env: { ...process.env, NODE_ENV: 'development' },
  });
  if (!installed) throw new Plain('The npm packages could not be installed. Run: npm ci');
  fs.writeFileSync(stamp, wanted);
}

const apt = (args) => quietly('apt-get', args, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });

function aptInstall(packages, what) {
  const command = `apt-get install -y --no-install-recommends ${packages.join(' ')}`;
  if (process.getuid() !== 0 || !fs.existsSync('/usr/bin/apt-get'))
    throw new Plain(`${what} is missing. Install it with:\n  ${process.getuid() === 0 ? '' : 'sudo '}${command}`);
  say(`Installing ${what} from Debian's packages (a minute or two, once)`);
  const install = ['install', '-y', '-q', '--no-install-recommends', ...packages];
  if (!apt(install) && !(apt(['update', '-q']) && apt(install)))
    throw new Plain(`${what} could not be installed. Try: ${command}`);
}

/** PostgreSQL from Debian's packages, without the cluster that they would make. */
export function ensurePostgres() {
  if (installedVersions().length > 0) return;
  if (process.getuid() === 0) {
    const conf = '/etc/postgresql-common/createcluster.conf';
    if (!fs.existsSync(conf)) {
      fs.mkdirSync(path.dirname(conf), { recursive: true });
      fs.writeFileSync(conf, 'create_main_cluster = false\n');
    }
  }
  aptInstall(['postgresql'], 'PostgreSQL');
}

/** A second reader of DXF files, by which the tests prove what the application writes. */
export function ensureDxfReader() {
  if (!fs.existsSync('/usr/lib/python3/dist-packages/ezdxf'))
    aptInstall(['python3-ezdxf'], 'the DXF reader of the tests');
}

/** Chromium for the browser tests. */
export function ensureChromium() {
  if (!fs.existsSync('/usr/bin/chromium')) aptInstall(['chromium'], 'Chromium');
}
