import { type ChildProcess, spawn } from 'node:child_process';
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

/** A whole shop of its own: cluster, data and server, beside any that runs. */
export class TestShop {
  readonly dir = mkdtempSync(path.join(os.tmpdir(), 'whelk-test-'));
  readonly cluster = new Cluster(this.dir) as {
    start(o?: object): Promise<string>;
    stop(mode?: string): void;
    running(): boolean;
  };
  databaseUrl = '';
  port = 0;
  #server?: ChildProcess;

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }
  async start(what: 'demo' | 'empty'): Promise<this> {
    this.databaseUrl = await this.cluster.start({ fast: true });
    setUp(this.databaseUrl, what);
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
    this.cluster.stop('immediate');
    rmSync(this.dir, { recursive: true, force: true });
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
