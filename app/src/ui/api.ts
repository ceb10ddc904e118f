import type { KnownProblem } from '../messages/app-code.ts';
import type { Worded } from '../messages/problems.ts';

export type Answered<T> =
  | { ok: true; data: T }
  | { ok: false; status: number; problems: (KnownProblem & Worded)[]; body: Record<string, unknown> };

/** A plan of a large job or a big file takes some seconds; nothing takes longer than this. */
const USUAL_LIMIT_MS = 60_000;

/**
 * Asks the shop's server. A server or database that is away answers status 503 as well, so that callers have one case.
 * @param path below the server's root
 * @param limitMs how long an answer is waited for: a line that is dead without closing counts as away
 */
export async function ask<T>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  path: string,
  body?: unknown,
  keepalive = false,
  limitMs = USUAL_LIMIT_MS,
): Promise<Answered<T>> {
  try {
    const response = await fetch(path, {
      method,
      keepalive,
      signal: AbortSignal.timeout(limitMs),
      headers: body === undefined ? {} : { 'content-type': 'application/json' },
      body: body === undefined ? undefined : JSON.stringify(body),
    });
    const data = (await response.json().catch(() => ({}))) as Record<string, unknown>;
    if (response.ok) return { ok: true, data: data as T };
    return {
      ok: false,
      status: response.status,
      problems: (data.problems as (KnownProblem & Worded)[]) ?? [],
      body: data,
    };
  } catch {
    return {
      ok: false,
      status: 503,
      problems: [
        {
          code: 'database.away',
          path: [],
          what: 'The server does not answer.',
          right: 'What you typed is kept here; it is saved when the server is back.',
        },
      ],
      body: {},
    };
  }
}
