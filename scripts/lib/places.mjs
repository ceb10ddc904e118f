import { spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { Plain } from './say.mjs';

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');

/** Who PostgreSQL runs as: it refuses root, so root lends it to the `postgres` user; anyone else runs it as oneself. */
export function databaseUser() {
  if (process.getuid() !== 0) return { name: os.userInfo().username, spawn: {} };
  const line = fs
    .readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((l) => l.startsWith('postgres:'));
  if (!line)
    throw new Plain('There is no user “postgres” to run the database as. Install it with: apt-get install postgresql');
  const [, , uid, gid] = line.split(':');
  return { name: 'postgres', uid: Number(uid), gid: Number(gid), spawn: { uid: Number(uid), gid: Number(gid) } };
}

/**
 * Where the shop's data is: WHELK_DATA_DIR, or `.data` in the checkout; as root a folder under /var/lib that belongs to the
 * database's user, found again by an id kept in the checkout.
 */
export function dataDir() {
  if (process.env.WHELK_DATA_DIR) return path.resolve(process.env.WHELK_DATA_DIR);
  if (process.getuid() !== 0) return path.join(ROOT, '.data');
  const idFile = path.join(ROOT, '.data-id');
  if (!fs.existsSync(idFile)) fs.writeFileSync(idFile, `${randomBytes(5).toString('hex')}\n`, { mode: 0o600 });
  const id = fs.readFileSync(idFile, 'utf8').trim();
  if (!/^[0-9a-f]{10}$/.test(id))
    throw new Plain(
      `${idFile} does not hold a data id (ten hexadecimal digits). Put the right one back, or set WHELK_DATA_DIR.`,
    );
  return `/var/lib/whelk-${id}`;
}

/** Makes the data folder, private to the database's user, and checks that this user can reach it. */
export function prepareDataDir(dir, user) {
  fs.mkdirSync(dir, { recursive: true, mode: 0o700 });
  const stat = fs.lstatSync(dir);
  if (!stat.isDirectory()) throw new Plain(`${dir} is not a folder.`);
  if (user.uid !== undefined && stat.uid !== user.uid) fs.chownSync(dir, user.uid, user.gid);
  if (user.uid !== undefined) {
    const reach = spawnSync('/usr/bin/test', ['-w', dir], { ...user.spawn, cwd: '/' });
    if (reach.status !== 0)
      throw new Plain(
        `The database's user (${user.name}) cannot reach ${dir}. Set WHELK_DATA_DIR to a folder that it can, e.g. /var/lib/whelk.`,
      );
  }
  const { bavail, bsize } = fs.statfsSync(dir);
  if (bavail * bsize < 100e6)
    throw new Plain(
      `Less than 100 MB are free where the data is (${dir}). Free some space and start again; nothing was lost.`,
    );
}
