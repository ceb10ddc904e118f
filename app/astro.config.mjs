import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig, passthroughImageService } from 'astro/config';

/** In the build everything is bundled but what must stay a package; in development that would break. */
const bundleServer = {
  name: 'whelk-bundle-server',
  apply: 'build',
  config: () => ({ ssr: { noExternal: true, external: ['knex', 'pg', 'pdfkit'] } }),
};

/** Packages that do nothing by being imported, and do not say so: of these only what is used is sent to the browser. */
const PURE = /node_modules\/clipper2-ts\//;
const onlyWhatIsUsed = {
  name: 'whelk-only-what-is-used',
  apply: 'build',
  enforce: 'pre',
  async resolveId(source, importer, options) {
    if (source !== 'clipper2-ts' && !PURE.test(importer ?? '')) return null;
    const found = await this.resolve(source, importer, { ...options, skipSelf: true });
    return found && { ...found, moduleSideEffects: false };
  },
};

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'standalone' }),
  integrations: [react()],
  image: { service: passthroughImageService() },
  session: { driver: 'memory' },
  devToolbar: { enabled: false },
  security: {
    // our own middleware checks the origin of everything that is not a GET, JSON bodies included
    checkOrigin: false,
    allowedDomains: [{ hostname: '127.0.0.1' }, { hostname: 'localhost' }],
  },
  build: { inlineStylesheets: 'never' },
  vite: { plugins: [tailwindcss(), bundleServer, onlyWhatIsUsed], build: { assetsInlineLimit: 0 } },
});
