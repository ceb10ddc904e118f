import type { BrowserContext, Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { aMomentLater, stepOf } from './support/at-the-lathe.ts';
import { axe, hydrated, press, sees, type, visit } from './support/browser.ts';
import { demoInBrowser } from './support/demo-in-browser.ts';

const { shop, browser, openPage, jobIdOf, changeJob } = demoInBrowser();

/** A run of its own to spoil. */
async function begin(piece: number): Promise<string> {
  const id = await jobIdOf('Locking pins');
  await changeJob(id, (job) => ({ ...job, quantity: 60 }));
  const run = (await shop.ask('POST', `/api/jobs/${id}/runs`, { piece })).body as { id: string };
  return `${shop.url}/runs/${run.id}`;
}
const pageIn = async (context: BrowserContext, before?: () => void): Promise<Page> => {
  const page = await context.newPage();
  page.setDefaultTimeout(20_000);
  await page.evaluateOnNewDocument('globalThis.__name = (f) => f');
  if (before) await page.evaluateOnNewDocument(before);
  await page.setViewport({ width: 1280, height: 800 });
  return page;
};
// a try that failed is made again after a pause that grows
const saved = (page: Page) =>
  page.waitForFunction(() => document.querySelector('[role="status"]')?.textContent?.trim() === 'saved', {
    timeout: 40_000,
  });
const status = (page: Page) => page.$eval('[role="status"]', (e) => e.textContent?.trim());
async function note(page: Page, text: string): Promise<void> {
  await page.keyboard.press('n');
  await page.waitForSelector('dialog[open] textarea');
  await page.type('dialog[open] textarea', text);
  await press(page, 'Keep the note');
  await page.waitForFunction(() => !document.querySelector('dialog[open]'));
}

describe('what was done and read', () => {
  it('is kept in the browser before the page moves on: killed without a server, all of it is there again', async () => {
    const url = await begin(11);
    const context = await browser().browser().createBrowserContext();
    const page = await pageIn(context);
    await visit(page, url);
    await sees(page, 'Put the blank in');
    await shop.stopServer('SIGKILL');
    await aMomentLater(page, 'Space');
    await sees(page, 'Face the end');
    await note(page, 'killed right after this');
    await sees(page, '2 waiting for the server');
    // the page is gone without a word; the next one begins where it was
    await page.close();
    await shop.startServer();
    const again = await pageIn(context);
    await visit(again, url);
    await sees(again, 'Face the end');
    await saved(again);
    await again.keyboard.press('n');
    await sees(again, 'killed right after this');
    await context.close();
  });
  it('has one queue in all tabs of a device: both go on from what either did', async () => {
    const url = await begin(12);
    const context = await browser().browser().createBrowserContext();
    const [one, two] = [await pageIn(context), await pageIn(context)];
    await two.bringToFront();
    await visit(two, url);
    await one.bringToFront();
    await visit(one, url);
    await aMomentLater(one, 'Space');
    await sees(one, 'Face the end');
    await two.waitForFunction(() => document.body.innerText.includes('Face the end'));
    await shop.stopServer('SIGKILL');
    await two.bringToFront();
    await aMomentLater(two, 'Space');
    await sees(two, 'Centre hole');
    await note(two, 'from the second');
    await one.bringToFront();
    await sees(one, 'Centre hole');
    await note(one, 'from the first');
    await shop.startServer();
    await two.bringToFront();
    await two.reload();
    await hydrated(two);
    await saved(two);
    await sees(two, 'Centre hole');
    await two.keyboard.press('n');
    await sees(two, 'from the second');
    await sees(two, 'from the first');
    const { events } = (await shop.ask('GET', `${url.slice(shop.url.length).replace('/runs/', '/api/runs/')}/events`))
      .body as unknown as { events: { device: string; seq: number }[] };
    expect(events.map((e) => e.seq)).toEqual([1, 2, 3, 4]);
    expect(new Set(events.map((e) => e.device)).size).toBe(1);
    await context.close();
  });
  it('is asked of the server as well: a page made before another tab sent what waited shows it', async () => {
    const url = await begin(19);
    const context = await browser().browser().createBrowserContext();
    const [early, other] = [await pageIn(context), await pageIn(context)];
    await early.bringToFront();
    await visit(early, url);
    const made = await early.evaluate(async () => (await fetch(location.href)).text());
    await other.bringToFront();
    await visit(other, url);
    await aMomentLater(other, 'Space');
    await sees(other, 'Face the end');
    await saved(other);
    await other.close();
    await early.bringToFront();
    await early.setRequestInterception(true);
    early.on('request', (request) =>
      request.isNavigationRequest()
        ? void request.respond({ status: 200, contentType: 'text/html', body: made })
        : void request.continue(),
    );
    await early.reload();
    await sees(early, 'Face the end');
    await context.close();
  });
  it('is told from what another browser with the same copied id did', async () => {
    const url = await begin(13);
    const copied = 'aaaaaaaa-0000-4000-8000-000000000001';
    const opened = async () => {
      const context = await browser().browser().createBrowserContext();
      const page = await pageIn(context);
      await visit(page, url);
      await page.evaluate(
        (id) =>
          new Promise<void>((resolve, reject) => {
            const open = indexedDB.open('whelk', 1);
            open.onsuccess = () => {
              const tx = open.result.transaction('counts', 'readwrite');
              tx.objectStore('counts').put(id, 'device');
              tx.oncomplete = () => resolve();
            };
            open.onerror = () => reject(open.error);
          }),
        copied,
      );
      await page.reload();
      await hydrated(page);
      return { context, page };
    };
    // two browsers that were open before either had done anything: both make their first event
    const contexts = [await opened(), await opened()];
    for (const { page } of contexts) {
      await page.bringToFront();
      await note(page, 'a note');
      await saved(page);
    }
    const path = `${url.slice(shop.url.length).replace('/runs/', '/api/runs/')}/events`;
    const devices = async () =>
      ((await shop.ask('GET', path)).body as unknown as { events: { device: string }[] }).events.map((e) => e.device);
    // the page says saved of what stood before until the note is in its queue: the server is asked
    await expect.poll(async () => (await devices()).length, { timeout: 20_000 }).toBe(2);
    expect(new Set(await devices()).size).toBe(2);
    for (const { context } of contexts) await context.close();
  });
  it('goes on where the browser’s storage is full or forbidden, says so in words that stay, and calls nothing saved that is not', async () => {
    for (const [piece, before] of [
      [
        14,
        () => {
          Object.defineProperty(window, 'indexedDB', {
            get() {
              throw new DOMException('forbidden', 'SecurityError');
            },
          });
        },
      ],
      [
        15,
        () => {
          IDBObjectStore.prototype.put = () => {
            throw new DOMException('full', 'QuotaExceededError');
          };
        },
      ],
    ] as const) {
      const url = await begin(piece);
      const context = await browser().browser().createBrowserContext();
      const page = await pageIn(context, before);
      await visit(page, url);
      await aMomentLater(page, 'Space');
      await sees(page, 'Face the end');
      await sees(page, 'This browser keeps nothing now');
      await saved(page);
      await shop.stopServer('SIGKILL');
      await aMomentLater(page, 'Space');
      await sees(page, 'Centre hole');
      expect(await status(page)).toBe('1 in this page only');
      await shop.startServer();
      await page.evaluate(() => dispatchEvent(new Event('online')));
      await saved(page);
      await sees(page, 'This browser keeps nothing now');
      await page.reload();
      await hydrated(page);
      await sees(page, 'Centre hole');
      await context.close();
    }
  });
  it('goes on sending where the network comes back just as a try has failed', async () => {
    const url = await begin(20);
    const context = await browser().browser().createBrowserContext();
    const page = await pageIn(context, () => {
      const realFetch = window.fetch.bind(window);
      let fails = 1;
      window.fetch = (what, how) => {
        if (how?.method !== 'POST' || fails === 0) return realFetch(what, how);
        fails -= 1;
        return Promise.reject(new TypeError('no network'));
      };
      // the lock of the failed try is let go of slowly, and the network is back before it is free
      const request = navigator.locks.request.bind(navigator.locks) as (...all: unknown[]) => Promise<unknown>;
      navigator.locks.request = async (...all: unknown[]) => {
        const before = fails;
        const done = await request(...all);
        if (fails < before) {
          dispatchEvent(new Event('online'));
          await new Promise((resolve) => setTimeout(resolve, 50));
        }
        return done as never;
      };
    });
    await visit(page, url);
    await aMomentLater(page, 'Space');
    await sees(page, 'Face the end');
    await saved(page);
    await context.close();
  });
  it('is refused by itself: seen, put right or dropped, while everything after it goes on', async () => {
    const url = await begin(16);
    const { page, errors } = await openPage();
    await visit(page, url);
    // a browser of an earlier version let a note through that is too long
    await page.evaluate((runId) => {
      const event = (seq: number, text: string) => ({
        ...{ schema: 2, id: crypto.randomUUID(), runId, piece: 16, device: crypto.randomUUID(), seq, parents: [] },
        ...{ at: new Date().toISOString(), kind: 'note', stepId: 'mount', text },
      });
      return new Promise<void>((resolve, reject) => {
        const open = indexedDB.open('whelk', 1);
        open.onsuccess = () => {
          const tx = open.result.transaction('events', 'readwrite');
          for (const made of [event(1, 'x'.repeat(3000)), event(1, '')])
            tx.objectStore('events').put({ id: made.id, runId, event: made });
          tx.oncomplete = () => resolve();
        };
        open.onerror = () => reject(open.error);
      });
    }, url.split('/').at(-1)!);
    await page.reload();
    await hydrated(page);
    await sees(page, '2 things were not taken by the server');
    await aMomentLater(page, 'Space');
    await sees(page, 'Face the end');
    await saved(page);
    await press(page, '2 not taken');
    await sees(page, 'Save as a file');
    expect(await axe(page)).toEqual([]);
    await page.$$eval('dialog input[aria-label="What it says"]', (all) => (all[0] as HTMLInputElement).select());
    await page.focus('dialog input[aria-label="What it says"]');
    await page.keyboard.down('Control');
    await page.keyboard.press('a');
    await page.keyboard.up('Control');
    await page.keyboard.type('short enough');
    await press(page, 'Send it so');
    await page.waitForFunction(() => document.querySelectorAll('dialog li').length === 1);
    await press(page, 'Drop it');
    await sees(page, 'Nothing any more');
    await press(page, 'Close');
    await saved(page);
    await page.keyboard.press('n');
    await sees(page, 'short enough');
    expect(errors).toEqual([]);
    await page.close();
  });
  it('is sent again where the line is dead without closing, and when the page is looked at', async () => {
    const url = await begin(17);
    const { page } = await openPage();
    await visit(page, url);
    let hung = 0;
    await page.setRequestInterception(true);
    page.on('request', (request) => {
      // the first is never answered and never closed
      if (request.method() === 'POST' && request.url().endsWith('/events') && hung++ === 0) return;
      void request.continue();
    });
    await aMomentLater(page, 'Space');
    await sees(page, 'Face the end');
    expect(await status(page)).toBe('1 waiting for the server');
    await saved(page);
    expect(hung).toBeGreaterThanOrEqual(2);
    await page.close();
  });
  it('is there again as it was being typed, before it was entered', async () => {
    const url = await begin(18);
    const { page } = await openPage();
    await visit(page, url);
    for (const next of ['Face the end', 'Centre hole', 'Draw it out', 'Touch off']) {
      await aMomentLater(page, 'Space');
      await sees(page, next);
    }
    await type(page, 'touch-diameter', '13.6');
    await page.keyboard.press('Escape');
    await page.keyboard.press('n');
    await page.waitForSelector('dialog[open] textarea');
    await page.type('dialog[open] textarea', 'jaws slipped a');
    await page.waitForFunction(
      () =>
        new Promise<boolean>((resolve) => {
          const open = indexedDB.open('whelk', 1);
          open.onsuccess = () => {
            const all = open.result.transaction('drafts').objectStore('drafts').getAll();
            all.onsuccess = () => {
              open.result.close();
              resolve(all.result.includes('jaws slipped a') && all.result.includes('13.6'));
            };
          };
        }),
    );
    await page.reload();
    await hydrated(page);
    await page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[data-field="touch-diameter"]')?.value === '13.6',
    );
    await page.keyboard.press('Escape');
    await page.keyboard.press('n');
    await page.waitForFunction(() => document.querySelector('textarea')?.value === 'jaws slipped a');
    expect(await stepOf(page)).toBe(5);
    await page.close();
  });
});
