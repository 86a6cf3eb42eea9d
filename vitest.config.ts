import { defineConfig } from 'vitest/config';

const source = { resolve: { conditions: ['source'] }, ssr: { resolve: { conditions: ['source'] } } };

export default defineConfig({
  test: {
    reporters: ['default'],
    projects: [
      {
        ...source,
        test: {
          name: 'core',
          include: ['core/src/**/*.test.ts', 'contract/src/**/*.test.ts', 'words/src/**/*.test.ts'],
          testTimeout: 30_000,
        },
      },
      {
        ...source,
        test: {
          name: 'server',
          include: ['server/src/**/*.test.ts', 'devices/src/**/*.test.ts', 'demo/src/**/*.test.ts'],
          testTimeout: 60_000,
          hookTimeout: 60_000,
        },
      },
      {
        resolve: { conditions: ['source', 'module', 'browser', 'development'] },
        ssr: { resolve: { conditions: ['source'] } },
        test: { name: 'web', include: ['web/src/**/*.test.{ts,tsx}'], environment: 'jsdom', testTimeout: 20_000 },
      },
    ],
  },
});
