import knex, { type Knex } from 'knex';

let shared: Knex | undefined;

/** A pool for one address; short waits, so that a page can say that the database is away instead of hanging. */
export function connect(url: string): Knex {
  return knex({
    client: 'pg',
    connection: { connectionString: url, connectionTimeoutMillis: 3000, application_name: 'whelk' },
    pool: { min: 0, max: 10, acquireTimeoutMillis: 4000, idleTimeoutMillis: 30_000 },
    acquireConnectionTimeout: 4000,
  });
}

/** The server's one pool. @throws Error when WHELK_DATABASE_URL is not set */
export function database(): Knex {
  const url = process.env.WHELK_DATABASE_URL;
  if (!url) throw new Error('WHELK_DATABASE_URL is not set; npm start sets it');
  shared ??= connect(url);
  return shared;
}

/** Whether an error means that the server cannot be reached or is going away, as opposed to a wrong query. */
export function isAway(error: unknown): boolean {
  if (typeof error !== 'object' || error === null) return false;
  const { code, name, message } = error as { code?: string; name?: string; message?: string };
  if (name === 'KnexTimeoutError' || name === 'AggregateError') return true;
  if (/^(ECONNREFUSED|ECONNRESET|EPIPE|ENOENT|ETIMEDOUT|ENOTFOUND|57P0[123]|08\w{3}|53300)$/.test(code ?? ''))
    return true;
  return /Connection terminated|connection timeout|timeout expired|Client has encountered a connection error/i.test(
    message ?? '',
  );
}
