import type { Knex } from 'knex';
import { loadShop } from '../shop/service.ts';
import { demoFile } from './demo-file.ts';
import { demoThere } from './remove.ts';

/** What a shop has and still wants before its first part, and whether the demo is in it. */
export interface FirstSteps {
  readonly lathes: number;
  readonly tools: number;
  readonly gauges: number;
  readonly bars: number;
  readonly demoJobs: number;
  readonly demo: boolean;
}

export async function firstSteps(db: Knex): Promise<FirstSteps> {
  const [shop, there] = [await loadShop(db), await demoThere(db, await demoFile())];
  return {
    lathes: shop.lathes.length,
    tools: shop.tools.length,
    gauges: shop.instruments.length,
    bars: shop.bars.filter((bar) => !bar.usedUp).length,
    demoJobs: there.jobs,
    demo: there.jobs + there.records > 0,
  };
}
