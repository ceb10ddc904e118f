import { type ChildProcess, execFileSync, spawn, spawnSync } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { freePort } from './support/shop.ts';

const ROOT = path.resolve(import.meta.dirname, '../..');
const folders: string[] = [];
const children: ChildProcess[] = [];

function newDir(): string {
  const dir = mkdtempSync(path.join(os.tmpdir(), 'whelk-start-'));
  folders.push(dir);
  return dir;
}
interface Started {
  readonly child: ChildProcess;
  readonly said: () => string;
  readonly code: Promise<number | null>;
}
function begin(dir: string, args: string[] = [], env: Record<string, string> = {}): Started {
  const child = spawn(process.execPath, [path.join(ROOT, 'scripts/start.mjs'), ...args], {
    env: { ...process.env, WHELK_DATABASE_URL: '', ...env, WHELK_DATA_DIR: dir },
  });
  children.push(child);
  let text = '';
  for (const stream of [child.stdout, child.stderr]) stream?.on('data', (chunk: Buffer) => (text += chunk.toString()));
  return { child, said: () => text, code: new Promise((resolve) => child.once('exit', resolve)) };
}
async function ready(started: Started): Promise<void> {
  await expect
    .poll(
      () => (started.child.exitCode === null ? started.said().includes('Whelk is ready') : `ended: ${started.said()}`),
      { timeout: 110_000 },
    )
    .toBe(true);
}
async function stop(started: Started, signal: NodeJS.Signals = 'SIGINT'): Promise<number | null> {
  started.child.kill(signal);
  return started.code;
}
const get = async (port: number, at = '/') => (await fetch(`http://127.0.0.1:${port}${at}`)).text();
const postgresRuns = (dir: string): boolean => spawnSync('pgrep', ['-f', path.join(dir, 'pg')]).status === 0;

afterAll(() => {
  for (const child of children) if (child.exitCode === null) child.kill('SIGKILL');
  for (const dir of folders) {
    const pid = path.join(dir, 'pg/postmaster.pid');
    if (existsSync(pid)) spawnSync('kill', ['-QUIT', readFileSync(pid, 'utf8').split('\n')[0]!]);
    rmSync(dir, { recursive: true, force: true });
  }
});

describe('npm start', () => {
  it('begins with the demo, stops all it started on Ctrl-C, and finds everything again after a folder moved', async () => {
    const dir = newDir();
    const port = await freePort();
    const first = begin(dir, ['--port', String(port)]);
    await ready(first);
    expect(first.said()).toContain('Loaded the demo shop');
    expect(first.said()).toContain(dir);
    expect(await get(port)).toContain('Winding spindle');
    expect(await stop(first)).toBe(0);
    expect(postgresRuns(dir)).toBe(false);
    const moved = `${dir}-moved`;
    renameSync(dir, moved);
    folders.push(moved);
    const second = begin(moved, ['--port', String(port)]);
    const began = Date.now();
    await ready(second);
    console.log(`second start to ready: ${Date.now() - began} ms`);
    expect(second.said()).not.toContain('Loaded the demo');
    expect(await get(port)).toContain('Winding spindle');
    await stop(second);
  });
  it('survives being killed, two starts at once, and a lost state file; the password is private', async () => {
    const dir = newDir();
    const port = await freePort();
    const first = begin(dir, ['--port', String(port), '--empty']);
    await ready(first);
    expect(await get(port)).toContain('Your first part');
    const other = begin(dir, ['--port', String(await freePort())]);
    expect(await other.code).toBe(1);
    expect(other.said()).toMatch(/already running from .* at http:\/\/127\.0\.0\.1:\d+/);
    await fetch(`http://127.0.0.1:${port}/api/jobs`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: '{"title":"Kept over a kill"}',
    });
    await stop(first, 'SIGKILL');
    expect(postgresRuns(dir)).toBe(true);
    const state = path.join(dir, 'state.json');
    expect(statSync(state).mode & 0o777).toBe(0o600);
    const { password } = JSON.parse(readFileSync(state, 'utf8'));
    expect(execFileSync('ps', ['-eo', 'args']).toString()).not.toContain(password);
    expect(readFileSync(path.join(dir, 'postgres.log'), 'utf8')).not.toContain(password);
    rmSync(state);
    const second = begin(dir, ['--port', String(port)]);
    await ready(second);
    expect(await get(port)).toContain('Kept over a kill');
    expect(await get(port)).not.toContain('Winding spindle');
    await stop(second);
  });
  it('says plainly that a port is taken, an option is wrong, or the data is another PostgreSQL’s, and harms nothing', async () => {
    const dir = newDir();
    const blocker = createServer();
    await new Promise<void>((resolve) => blocker.listen(0, '127.0.0.1', resolve));
    const { port } = blocker.address() as { port: number };
    const taken = begin(dir, ['--port', String(port), '--empty']);
    expect(await taken.code).toBe(1);
    expect(taken.said()).toContain(`Port ${port} is taken`);
    expect(postgresRuns(dir)).toBe(false);
    blocker.close();
    const wrong = begin(dir, ['--prot', '1']);
    expect(await wrong.code).toBe(1);
    expect(wrong.said()).toContain('Usage: npm start');
    writeFileSync(path.join(dir, 'pg/PG_VERSION'), '12\n');
    const old = begin(dir, ['--empty']);
    expect(await old.code).toBe(1);
    expect(old.said()).toMatch(/made by PostgreSQL 12; this machine has \d+/);
    expect(old.said()).not.toMatch(/ {4}at /);
  });
  it('says that the data folder cannot be used', async () => {
    const file = path.join(newDir(), 'a-file');
    writeFileSync(file, '');
    chmodSync(file, 0o600);
    const started = begin(file);
    expect(await started.code).toBe(1);
    expect(started.said()).toMatch(/is not a folder|EEXIST|ENOTDIR/);
  });
});

describe('backup and restore', () => {
  it('brings the whole shop back as it was', async () => {
    const dir = newDir();
    const port = await freePort();
    const started = begin(dir, ['--port', String(port)]);
    await ready(started);
    const file = path.join(newDir(), 'shop.backup');
    const script = (name: string, ...args: string[]) =>
      spawnSync(process.execPath, [path.join(ROOT, `scripts/${name}.mjs`), ...args], {
        env: { ...process.env, WHELK_DATABASE_URL: '', WHELK_DATA_DIR: dir },
        encoding: 'utf8',
      });
    expect(script('backup', file).status).toBe(0);
    expect(statSync(file).mode & 0o777).toBe(0o600);
    expect(script('backup', file).stderr).toContain('is there already');
    const before = await get(port);
    const jobs = [...new Set([...before.matchAll(/\/jobs\/([0-9a-f-]{36})\/drawing/g)].map((m) => m[1]!))];
    for (const id of jobs) await fetch(`http://127.0.0.1:${port}/api/jobs/${id}`, { method: 'DELETE' });
    expect(await get(port)).toContain('Your first part');
    const restored = script('restore', file);
    expect(restored.stderr).toBe('');
    const after = await get(port);
    for (const id of jobs) expect(after).toContain(id);
    writeFileSync(file, 'not a backup');
    expect(script('restore', file).stderr).toContain('is not a backup');
    await stop(started);
  });
});
