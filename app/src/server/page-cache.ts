import { createHash } from 'node:crypto';

/** A rendered page with the policy that its inline scripts need. */
export interface RenderedPage {
  readonly html: string;
  readonly policy: string;
}
/** How many pages are kept: some megabytes at most. */
const MOST = 64;
const pages = new Map<string, RenderedPage>();

/**
 * Key of a page by everything that it is rendered from. The same content is the same page, so nothing that is kept can
 * be out of date, and another instance that lacks it renders the same.
 */
export function pageKey(...from: readonly (string | undefined)[]): string {
  return createHash('sha256').update(JSON.stringify(from)).digest('base64');
}

/** The page rendered lately from the same content. */
export function recallPage(key: string): RenderedPage | undefined {
  const page = pages.get(key);
  if (page) {
    // the one used last goes last
    pages.delete(key);
    pages.set(key, page);
  }
  return page;
}

export function rememberPage(key: string, page: RenderedPage): void {
  pages.set(key, page);
  for (const oldest of pages.keys()) {
    if (pages.size <= MOST) break;
    pages.delete(oldest);
  }
}
