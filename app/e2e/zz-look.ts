import { openBrowser, openPage, press, sees, type, visit } from './support/browser.ts';
import { TestShop } from './support/shop.ts';

const shop = await new TestShop().start('demo');
const { browser, end } = await openBrowser();
const shot = async (page: any, name: string) => {
  await page.evaluate(() => new Promise((r) => setTimeout(r, 400)));
  await page.screenshot({ path: `/tmp/look/${name}.png` as any });
};
const jobId = async (title: string) =>
  new RegExp(`/jobs/([0-9a-f-]{36})/drawing"[^>]*>${title}<`).exec((await shop.ask('GET', '/')).text)![1]!;
try {
  const { page } = await openPage(browser);
  const script = process.argv[2]!;
  await (await import(script)).default({ shop, page, browser, shot, jobId, press, sees, type, visit });
} finally {
  await end();
  await shop.end();
}
process.exit(0);
