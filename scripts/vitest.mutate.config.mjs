import { defineConfig } from 'vitest/config';

/** The tests of core alone, for a run that changes core: of them only those are run that reach what was changed. */
export default defineConfig({
  resolve: { conditions: ['source'] },
  ssr: { resolve: { conditions: ['source'] } },
  test: { include: ['core/src/**/*.test.ts', 'words/src/**/*.test.ts'], testTimeout: 300_000, hookTimeout: 300_000 },
});
