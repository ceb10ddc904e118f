import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import puppeteer, { type BrowserContext, type Page } from 'puppeteer-core';
import { launchChromium } from './chromium.ts';

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** A browser with nothing in it yet: a context of the one that all tests share, or one of its own. */
export async function openBrowser(): Promise<{ browser: BrowserContext; end: () => Promise<void> }> {
  const shared = process.env.WHELK_TEST_CHROMIUM;
  if (!shared) {
    const { browser, end } = await launchChromium();
    return { browser: browser.defaultBrowserContext(), end };
  }
  const browser = await puppeteer.connect({ browserWSEndpoint: shared, defaultViewport: null });
  const context = await browser.createBrowserContext();
  return {
    browser: context,
    end: async () => {
      await context.close();
      await browser.disconnect();
    },
  };
}

/** A page that collects what goes wrong in it. */
export async function openPage(
  browser: BrowserContext,
  width = 1280,
  height = 800,
): Promise<{ page: Page; errors: string[] }> {
  const page = await browser.newPage();
  // pages of other tests stand in windows beside it: each believes it has the keyboard
  await page.emulateFocusedPage(true);
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error instanceof Error ? error.message : String(error)));
  page.on('console', (message) => {
    if (message.type() === 'error' && !/Failed to load resource|net::ERR/.test(message.text()))
      errors.push(message.text());
  });
  // tsx marks functions with a helper that the page does not have
  await page.evaluateOnNewDocument('globalThis.__name = (f) => f');
  await page.setViewport({ width, height });
  page.setDefaultTimeout(30_000);
  return { page, errors };
}

/** Waits until the islands of a page answer; a page that is left meanwhile hands over to the one that comes. */
export async function hydrated(page: Page): Promise<void> {
  await page.waitForFunction(
    () =>
      document.querySelectorAll('astro-island[ssr]').length === 0 &&
      // effects, which listen to keys, come after the first paint: when the page has nothing left to do they are there
      new Promise((resolve) =>
        requestAnimationFrame(() => requestIdleCallback(() => resolve(true), { timeout: 1000 })),
      ),
  );
}
export async function visit(page: Page, url: string): Promise<void> {
  await page.goto(url, { waitUntil: 'load' });
  await hydrated(page);
}
/** Clicks a button or link by what it says, as a person finds it: the whole text first, then its beginning. */
export async function press(page: Page, name: string): Promise<void> {
  // a page that was reached by a click may still be waking: a button that sleeps loses the press
  await hydrated(page);
  const handle = await page.waitForFunction(
    (n) => {
      const seen = [...document.querySelectorAll<HTMLElement>('button, a')].filter(
        (e) => e.offsetParent && !(e as HTMLButtonElement).disabled,
      );
      const says = (e: HTMLElement) => e.textContent?.trim() ?? '';
      return seen.find((e) => says(e) === n) ?? seen.find((e) => says(e).startsWith(n)) ?? false;
    },
    {},
    name,
  );
  const element = handle.asElement() as import('puppeteer-core').ElementHandle<HTMLElement>;
  // out from under what is fixed at the foot
  await element.evaluate((e) => e.scrollIntoView({ block: 'center' }));
  await element.click();
}
/** Goes to a station by its tab. */
export async function station(page: Page, name: string): Promise<void> {
  await page.click(`nav[aria-label="Stations"] a[href$="/${name}"]`);
  await page.waitForFunction((n) => location.pathname.endsWith(`/${n}`), {}, name);
  await hydrated(page);
}
/** Types into a field by its data-field name, over what stands there, with real keys. */
export async function type(page: Page, field: string, text: string): Promise<void> {
  await hydrated(page);
  const selector = `[data-field="${field}"]`;
  await page.waitForSelector(selector);
  // as a person scrolls: out from under what is fixed at the foot
  await page.$eval(selector, (e) => e.scrollIntoView({ block: 'center' }));
  await page.click(selector, { count: 3 });
  await page.keyboard.press('Backspace');
  await page.type(selector, text);
}
/** Types into a field by its label. */
export async function typeInto(page: Page, label: string, text: string, nth = 0): Promise<void> {
  await hydrated(page);
  const selector = `::-p-aria([name="${label}"][role="textbox"])`;
  // what is loaded when it is wanted comes a moment later
  await page.waitForSelector(selector);
  const field = (await page.$$(selector))[nth]!;
  await field.evaluate((e) => (e as HTMLElement).scrollIntoView({ block: 'center' }));
  await field.click({ count: 3 });
  await field.type(text);
}
export const textOf = (page: Page, selector = 'body'): Promise<string> =>
  page.$eval(selector, (e) => (e as HTMLElement).innerText);
export async function sees(page: Page, text: string): Promise<void> {
  await page
    .waitForFunction((t) => document.body.innerText.includes(t), {}, text)
    .catch(async () => {
      throw new Error(`does not see “${text}” in:\n${(await textOf(page)).slice(0, 1500)}`);
    });
}
/** Opens every working and everything folded on a page. */
export async function openAll(page: Page): Promise<void> {
  await page.evaluate(() => {
    const marks = 'button[aria-expanded="false"][aria-label^="Working of"]';
    for (const mark of document.querySelectorAll<HTMLElement>(marks)) mark.click();
    for (const folded of document.querySelectorAll('details')) folded.open = true;
  });
  await page.waitForFunction(() => !document.querySelector('button[aria-expanded="false"][aria-label^="Working of"]'));
}

const RULES = { all: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'], contrast: ['color-contrast'] } as const;

/**
 * Accessibility faults that axe finds, by rule and element. The policy forbids inline scripts, so it is evaluated.
 * @param rules all, or only what another theme can change
 */
export async function axe(page: Page, rules: keyof typeof RULES = 'all'): Promise<string[]> {
  await page.evaluate(axeSource);
  return page.evaluate(
    async (wanted) => {
      const { violations } = await (
        window as unknown as {
          axe: {
            run: (
              o: object,
            ) => Promise<{ violations: { id: string; nodes: { target: string[]; failureSummary: string }[] }[] }>;
          };
        }
      ).axe.run({ runOnly: wanted });
      return violations.flatMap((v) =>
        v.nodes.map((n) => `${v.id}: ${n.target.join(' ')} ${n.failureSummary.split('\n')[1] ?? ''}`),
      );
    },
    [...RULES[rules]],
  );
}

/** Chooses an option, as it is written, of the list whose label begins so. */
export const choose = (page: Page, label: RegExp, option: RegExp): Promise<void> =>
  page.evaluate(
    (l, o) => {
      const select = [...document.querySelectorAll('select')].find((s) =>
        new RegExp(l).test(s.closest('label')?.textContent ?? ''),
      );
      const found = [...(select?.options ?? [])].find((one) => new RegExp(o).test(one.text));
      if (!select || !found) throw new Error(`no ${l} with ${o}`);
      select.value = found.value;
      select.dispatchEvent(new Event('change', { bubbles: true }));
    },
    label.source,
    option.source,
  );
