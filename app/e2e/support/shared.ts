import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { Cluster } from '../../../scripts/lib/postgres.mjs';
import { setUp } from '../../../scripts/lib/setup.mjs';
import { launchChromium } from './chromium.ts';

/**
 * What all files of tests share: one cluster, in which each copies a shop made once, and one Chromium, in which each has a
 * context of its own. Their addresses go to the workers by the environment; without them every shop and browser is its own.
 */
export default async function setup(): Promise<() => Promise<void>> {
  const dir = mkdtempSync(path.join(os.tmpdir(), 'whelk-tests-'));
  const cluster = new Cluster(dir);
  await cluster.start({ fast: true });
  for (const what of ['demo', 'empty']) setUp(cluster.addDatabase(`whelk_${what}`), what);
  const chromium = await launchChromium();
  process.env.WHELK_TEST_CLUSTER = dir;
  process.env.WHELK_TEST_CHROMIUM = chromium.browser.wsEndpoint();
  return async () => {
    await chromium.end();
    cluster.stop('immediate');
    rmSync(dir, { recursive: true, force: true });
  };
}
