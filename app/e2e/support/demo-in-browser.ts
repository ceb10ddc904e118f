import type { Job } from '@whelk/core/job';
import type { BrowserContext, Page } from 'puppeteer-core';
import { afterAll, beforeAll } from 'vitest';
import { openBrowser, openPage } from './browser.ts';
import { TestShop } from './shop.ts';

/**
 * A demo shop and a browser of their own for the tests of one file: started before the first of them, gone after the last.
 * Called at the top of the file, before hooks of its own.
 */
export function demoInBrowser(options?: { ownCluster: boolean }) {
  const shop = new TestShop();
  let browser: BrowserContext | undefined;
  let end: (() => Promise<void>) | undefined;
  beforeAll(async () => {
    await shop.start('demo', options);
    ({ browser, end } = await openBrowser());
  });
  afterAll(async () => {
    await end?.();
    await shop.end();
  });
  const loadJob = async (id: string) =>
    (await shop.ask('GET', `/api/jobs/${id}`)).body as unknown as { job: Job; version: number };
  return {
    shop,
    browser: (): BrowserContext => browser!,
    openPage: (width?: number, height?: number): Promise<{ page: Page; errors: string[] }> =>
      openPage(browser!, width, height),
    /** A new job with nothing drawn. @returns its id */
    makeJob: async (title: string): Promise<string> =>
      ((await shop.ask('POST', '/api/jobs', { title })).body as { id: string }).id,
    loadJob,
    /** Saves a job over the version that is there. */
    changeJob: async (id: string, change: (job: Job) => Job) => {
      const { job, version } = await loadJob(id);
      return shop.ask('PUT', `/api/jobs/${id}`, { version, job: change(job) });
    },
    /** The id of a demo job by the beginning of its title. */
    jobIdOf: async (title: string): Promise<string> =>
      new RegExp(`/jobs/([0-9a-f-]{36})/drawing"[^>]*>${title}`).exec((await shop.ask('GET', '/')).text)![1]!,
  };
}
