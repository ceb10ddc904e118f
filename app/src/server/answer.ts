import type { KnownProblem } from '../messages/app-code.ts';
import { tellProblem } from '../messages/problems.ts';
import { isAway } from './db/connection.ts';

/** A refusal that a service answers with: HTTP status and what is wrong. */
export class Refused extends Error {
  constructor(
    readonly status: 400 | 403 | 404 | 409 | 413 | 415 | 503,
    readonly problems: readonly KnownProblem[],
    readonly extra: Record<string, unknown> = {},
  ) {
    super(problems.map((p) => p.code).join(', '));
  }
}
export const notFound = (): Refused => new Refused(404, [{ code: 'not.found', path: [] }]);

const headers = { 'content-type': 'application/json; charset=utf-8', 'cache-control': 'no-store' };

/** JSON answer. */
export function answer(body: unknown, status = 200): Response {
  return new Response(JSON.stringify(body), { status, headers });
}

/** A file to keep, never to be shown inside the page. */
export function attachment(body: string | Uint8Array<ArrayBuffer>, type: string, name: string): Response {
  const safe =
    name
      .replace(/[^\p{L}\p{N} ,._-]/gu, '')
      .trim()
      .slice(0, 80) || 'whelk';
  const ascii = safe.normalize('NFKD').replace(/[^\x20-\x7e]/g, '');
  return new Response(body, {
    headers: {
      'content-type': typeof body === 'string' ? `${type}; charset=utf-8` : type,
      'cache-control': 'no-store',
      'content-disposition': `attachment; filename="${ascii}"; filename*=UTF-8''${encodeURIComponent(safe)}`,
    },
  });
}

/** Runs an endpoint; refusals become `{problems}`, a database that is away 503, anything else 500 without its stack. */
export async function guarded(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof Refused) {
      const response = answer({ problems: error.problems.map(tellProblem), ...error.extra }, error.status);
      // the rest of a refused body is not read: the connection cannot be used again
      if (error.status === 413) response.headers.set('connection', 'close');
      return response;
    }
    if (isAway(error)) return answer({ problems: [tellProblem({ code: 'database.away', path: [] })] }, 503);
    // 53100: the disk that the database is on is full
    if ((error as { code?: string } | null)?.code === '53100')
      return answer({ problems: [tellProblem({ code: 'database.full', path: [] })] }, 503);
    console.error(error);
    return answer({ problems: [tellProblem({ code: 'server.failed', path: [] })] }, 500);
  }
}
