import { defineConfig } from 'vitest/config';

/**
 * The tests of core for a run that changes core: of them only those are run that reach what was changed. What is said of
 * care is claimed by the book of situations as well, which is read through its words.
 */
const CLAIMS = {
  care: ['core/src/**/*.test.ts', 'words/src/**/*.test.ts'],
  inspection: ['core/src/**/*.test.ts', 'words/src/**/*.test.ts'],
};

export default defineConfig({
  resolve: { conditions: ['source'] },
  ssr: { resolve: { conditions: ['source'] } },
  test: {
    include: CLAIMS[process.env.MUTATED_ROOM] ?? ['core/src/**/*.test.ts'],
    testTimeout: 300_000,
    hookTimeout: 300_000,
  },
});
