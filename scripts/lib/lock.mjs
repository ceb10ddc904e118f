import fs from 'node:fs';

/** When a process began, so that a number used again is not taken for the old process; undefined when it is gone. */
function beganAt(pid) {
  try {
    const stat = fs.readFileSync(`/proc/${pid}/stat`, 'utf8');
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19];
  } catch {
    try {
      process.kill(pid, 0);
      return 'alive';
    } catch {
      return undefined;
    }
  }
}

/**
 * Takes a lock file; a lock left by a killed process is taken over.
 * @returns {{ ok: true, release: () => void, tell: (more: object) => void } | { ok: false, holder: object }}
 */
export function takeLock(file) {
  const mine = { pid: process.pid, began: beganAt(process.pid) };
  for (let tries = 0; tries < 5; tries++) {
    // written aside and linked into place: a lock is never seen half written
    const aside = `${file}.${process.pid}`;
    fs.rmSync(aside, { force: true });
    fs.writeFileSync(aside, JSON.stringify(mine), { mode: 0o600, flag: 'wx' });
    try {
      fs.linkSync(aside, file);
      return {
        ok: true,
        release: () => fs.rmSync(file, { force: true }),
        tell: (more) => {
          fs.rmSync(aside, { force: true });
          fs.writeFileSync(aside, JSON.stringify({ ...mine, ...more }), { mode: 0o600, flag: 'wx' });
          fs.renameSync(aside, file);
        },
      };
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
    } finally {
      fs.rmSync(aside, { force: true });
    }
    let holder;
    try {
      holder = JSON.parse(fs.readFileSync(file, 'utf8'));
    } catch {
      holder = undefined;
    }
    const began = holder && beganAt(holder.pid);
    if (holder && began !== undefined && began === holder.began) return { ok: false, holder };
    fs.rmSync(file, { force: true });
  }
  return { ok: false, holder: {} };
}
