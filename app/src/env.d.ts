/// <reference types="astro/client" />
declare namespace App {
  interface Locals {
    theme: 'daylight' | 'night-shift' | undefined;
    /** set by a page that depends on nothing but what it names: key, and the page if it was rendered before */
    rendered?: { readonly key: string; readonly page: import('./server/page-cache.ts').RenderedPage | undefined };
  }
}
