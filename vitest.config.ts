import { defineConfig } from 'vitest/config';

/** Three kinds of test: unit beside the code, endpoints on real PostgreSQL, the interface in real Chromium. */
export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'unit',
          // one kind after the other: each has its own number of workers
          sequence: { groupOrder: 0 },
          // properties take many runs, and a shared machine may be slow
          testTimeout: 60_000,
          setupFiles: ['./vitest.setup.ts'],
          include: ['core/src/**/*.test.ts', 'core/bench/**/*.test.ts', 'app/src/**/*.test.{ts,tsx}'],
        },
      },
      {
        test: {
          name: 'endpoint',
          sequence: { groupOrder: 1 },
          include: ['app/e2e/**/*.endpoint.test.ts'],
          testTimeout: 60_000,
          hookTimeout: 120_000,
          fileParallelism: false,
        },
      },
      {
        test: {
          name: 'browser',
          sequence: { groupOrder: 2 },
          include: ['app/e2e/**/*.browser.test.ts'],
          testTimeout: 240_000,
          hookTimeout: 120_000,
          fileParallelism: false,
        },
      },
    ],
  },
});
