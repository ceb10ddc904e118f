import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import puppeteer, { type Browser } from 'puppeteer-core';

/** A fresh headless Chromium; `end` closes it and removes its folder. */
export async function launchChromium(): Promise<{ browser: Browser; end: () => Promise<void> }> {
  const dir = mkdtempSync(path.join(os.tmpdir(), 'whelk-chromium-'));
  const browser = await puppeteer.launch({
    executablePath: '/usr/bin/chromium',
    headless: true,
    userDataDir: dir,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      // a page behind another one is as wide awake as the one before it
      '--disable-renderer-backgrounding',
      '--disable-background-timer-throttling',
      '--disable-backgrounding-occluded-windows',
    ],
  });
  return {
    browser,
    end: async () => {
      await browser.close();
      rmSync(dir, { recursive: true, force: true });
    },
  };
}
