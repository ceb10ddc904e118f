import { defineConfig } from 'vitest/config';

/** Two kinds of test: units beside the code; a whole shop on real PostgreSQL, asked by programs and seen in real Chromium. */
export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'unit',
          // one kind after the other: each has its own number of workers
          sequence: { groupOrder: 0 },
          // nothing in them is changed by a test: read once for all files
          isolate: false,
          // properties take many runs, and a shared machine may be slow
          testTimeout: 60_000,
          setupFiles: ['./vitest.setup.ts'],
          include: ['core/src/**/*.test.ts', 'core/bench/**/*.test.ts', 'app/src/**/*.test.{ts,tsx}'],
        },
      },
      {
        test: {
          name: 'shop',
          sequence: { groupOrder: 1 },
          include: ['app/e2e/**/*.{endpoint,browser}.test.ts'],
          globalSetup: ['app/e2e/support/shared.ts'],
          testTimeout: 240_000,
          hookTimeout: 120_000,
          // two shops and two pages at a time: more of them wait for each other on two processors
          maxWorkers: 2,
        },
      },
    ],
  },
});
