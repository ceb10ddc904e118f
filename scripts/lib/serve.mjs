import fs from 'node:fs';
import { createServer } from 'node:http';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { gzipSync } from 'node:zlib';
import { ROOT } from './places.mjs';
import { Plain } from './say.mjs';

const TYPES = { js: 'text/javascript; charset=utf-8', css: 'text/css; charset=utf-8' };

/** Scripts and styles of the build, compressed once. */
function packedFiles(dir) {
  const packed = new Map();
  if (!fs.existsSync(dir)) return packed;
  for (const name of fs.readdirSync(dir)) {
    const type = TYPES[name.split('.').pop()];
    if (type)
      packed.set(`/_astro/${name}`, { type, body: gzipSync(fs.readFileSync(path.join(dir, name)), { level: 9 }) });
  }
  return packed;
}

/**
 * Serves the built application on loopback.
 * @returns a function that stops it: no new requests, those in flight get up to five seconds
 */
export async function serve(port) {
  process.env.NODE_ENV = 'production';
  process.env.ASTRO_NODE_AUTOSTART = 'disabled';
  const dist = path.join(ROOT, 'app/dist');
  const { handler } = await import(pathToFileURL(path.join(dist, 'server/entry.mjs')).href);
  const packed = packedFiles(path.join(dist, 'client/_astro'));
  let open = 0;
  const server = createServer((req, res) => {
    const hit = (req.method === 'GET' || req.method === 'HEAD') && packed.get(req.url);
    if (hit && /\bgzip\b/.test(String(req.headers['accept-encoding']))) {
      res.writeHead(200, {
        'content-type': hit.type,
        'content-encoding': 'gzip',
        'content-length': hit.body.length,
        'cache-control': 'public, max-age=31536000, immutable',
        vary: 'accept-encoding',
        'x-content-type-options': 'nosniff',
      });
      res.end(req.method === 'HEAD' ? undefined : hit.body);
      return;
    }
    open++;
    res.once('close', () => open--);
    handler(req, res);
  });
  // longer than anybody who asks again waits: a line closed just as the next question goes out would look like a server gone
  server.keepAliveTimeout = 65_000;
  server.requestTimeout = 60_000;
  server.headersTimeout = 20_000;
  await new Promise((resolve, reject) => {
    server.once('error', (error) =>
      reject(
        error.code === 'EADDRINUSE'
          ? new Plain(`Port ${port} is taken by another program. Choose another: npm start -- --port ${port + 1}`)
          : error,
      ),
    );
    server.listen(port, '127.0.0.1', resolve);
  });
  return async () => {
    const closed = new Promise((resolve) => server.close(resolve));
    server.closeIdleConnections();
    const until = Date.now() + 5000;
    while (open > 0 && Date.now() < until) await new Promise((r) => setTimeout(r, 50));
    server.closeAllConnections();
    await closed;
  };
}
