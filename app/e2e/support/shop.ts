import { type ChildProcess, spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { Cluster } from '../../../scripts/lib/postgres.mjs';
import { setUp } from '../../../scripts/lib/setup.mjs';

const ROOT = path.resolve(import.meta.dirname, '../../..');

export function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const server = net
      .createServer()
      .once('error', reject)
      .listen(0, '127.0.0.1', () => {
        const { port } = server.address() as net.AddressInfo;
        server.close(() => resolve(port));
      });
  });
}

interface TestCluster {
  start(o?: object): Promise<string>;
  stop(mode?: string): void;
  running(): boolean;
  attach(): string;
  addDatabase(name: string, from?: string): string;
  dropDatabase(name: string): void;
}

/** A shop of its own, data and server, beside any that runs: a database in the tests' cluster, or a whole cluster to spoil. */
export class TestShop {
  #dir = '';
  #cluster?: TestCluster;
  #database = '';
  databaseUrl = '';
  port = 0;
  #server?: ChildProcess;

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }
  /** The cluster that this shop alone has. */
  get cluster(): TestCluster {
    if (!this.#dir) throw new Error('This shop shares its cluster: start it with { ownCluster: true }.');
    return this.#cluster!;
  }
  /** @param what nothing at all, an empty shop, or the demo */
  async startDatabase(what: 'bare' | 'demo' | 'empty', { ownCluster = false } = {}): Promise<this> {
    const shared = process.env.WHELK_TEST_CLUSTER;
    if (shared && !ownCluster) {
      this.#cluster = new Cluster(shared) as TestCluster;
      this.#cluster.attach();
      this.#database = `whelk_${randomBytes(6).toString('hex')}`;
      this.databaseUrl = this.#cluster.addDatabase(this.#database, what === 'bare' ? undefined : `whelk_${what}`);
      return this;
    }
    this.#dir = mkdtempSync(path.join(os.tmpdir(), 'whelk-test-'));
    this.#cluster = new Cluster(this.#dir) as TestCluster;
    this.databaseUrl = await this.#cluster.start({ fast: true });
    if (what !== 'bare') setUp(this.databaseUrl, what);
    return this;
  }
  async start(what: 'demo' | 'empty', options?: { ownCluster: boolean }): Promise<this> {
    await this.startDatabase(what, options);
    this.port = await freePort();
    await this.startServer();
    return this;
  }
  async startServer(): Promise<void> {
    const child = spawn(process.execPath, [path.join(ROOT, 'scripts/serve-only.mjs'), String(this.port)], {
      env: { ...process.env, WHELK_DATABASE_URL: this.databaseUrl },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    this.#server = child;
    await new Promise<void>((resolve, reject) => {
      let said = '';
      child.stdout?.on('data', (chunk: Buffer) => chunk.toString().includes('ready') && resolve());
      child.stderr?.on('data', (chunk: Buffer) => {
        said += chunk.toString();
      });
      child.once('exit', () => reject(new Error(`the server ended: ${said}`)));
    });
  }
  async stopServer(signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
    const child = this.#server;
    if (!child || child.exitCode !== null) return;
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await gone;
  }
  async end(): Promise<void> {
    await this.stopServer();
    if (this.#database) this.#cluster?.dropDatabase(this.#database);
    if (!this.#dir) return;
    this.#cluster?.stop('immediate');
    rmSync(this.#dir, { recursive: true, force: true });
  }
  /** asks as a program would, without a browser's headers */
  async ask(
    method: string,
    at: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<{
    status: number;
    body: {
      [key: string]: unknown;
      problems?: { code: string; path: (string | number)[]; what: string; right: string }[];
    };
    headers: Headers;
    text: string;
  }> {
    const response = await fetch(`${this.url}${at}`, {
      method,
      headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...headers },
      body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body),
    });
    const text = await response.text();
    let parsed = {};
    try {
      parsed = JSON.parse(text);
    } catch {
      // not JSON: the text says it
    }
    return { status: response.status, body: parsed as never, headers: response.headers, text };
  }
}
