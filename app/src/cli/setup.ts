import { readFileSync } from 'node:fs';
import { shopFileSchema } from '@whelk/core/job';
import { connect } from '../server/db/connection.ts';
import { migrate } from '../server/db/migrate.ts';
import { beginShop } from '../server/demo/load.ts';

/** Migrates the database at WHELK_DATABASE_URL and begins the shop: `setup demo` or `setup empty`. Prints one word. */
const url = process.env.WHELK_DATABASE_URL;
if (!url) throw new Error('WHELK_DATABASE_URL is not set');
const db = connect(url);
try {
  await migrate(db);
  const demo =
    process.argv[2] === 'demo'
      ? shopFileSchema.parse(JSON.parse(readFileSync(new URL('../../../demo/shop.json', import.meta.url), 'utf8')))
      : undefined;
  console.log(await beginShop(db, demo));
} finally {
  await db.destroy();
}
