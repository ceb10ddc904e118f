import { materialsOf } from '@whelk/core/job';
import type { Knex } from 'knex';
import { loadStand } from './lathes/service.ts';
import { loadSettings, loadShop } from './shop/service.ts';

/** What the bench book borrows from the shop: lathes as they work and stand, tools, materials, habits. */
export async function loadBench(db: Knex) {
  const [shop, settings] = await Promise.all([loadShop(db), loadSettings(db)]);
  const stands = await Promise.all(shop.lathes.map(async (l) => [l.id, (await loadStand(db, l)).controls] as const));
  const { lathes, tools } = shop;
  return { lathes, tools, materials: materialsOf(shop), settings, standing: Object.fromEntries(stands) };
}
