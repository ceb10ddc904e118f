export type RequestVerdict = 'ok' | 'host' | 'origin';

/** Hosts that this server answers to: loopback, and what WHELK_HOSTS lists (comma-separated, without ports). */
export function allowedHosts(extra: string | undefined): ReadonlySet<string> {
  const more = (extra ?? '')
    .split(',')
    .map((h) => h.trim().toLowerCase())
    .filter(Boolean);
  return new Set(['127.0.0.1', 'localhost', '[::1]', ...more]);
}

/**
 * Whether a request may be served. A foreign Host is refused against DNS rebinding; anything that changes data must come
 * from the shop's own pages or from no page at all.
 */
export function judgeRequest(method: string, headers: Headers, hosts: ReadonlySet<string>): RequestVerdict {
  const host = headers.get('host')?.toLowerCase() ?? '';
  if (!hosts.has(host.replace(/:\d+$/, ''))) return 'host';
  if (method === 'GET' || method === 'HEAD') return 'ok';
  const site = headers.get('sec-fetch-site');
  if (site !== null && site !== 'same-origin' && site !== 'none') return 'origin';
  const origin = headers.get('origin');
  if (origin === null) return 'ok';
  try {
    return new URL(origin).host === host ? 'ok' : 'origin';
  } catch {
    return 'origin';
  }
}
