import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const source = { resolve: { conditions: ['source'] }, ssr: { resolve: { conditions: ['source'] } } };

/** How long a test may hang before it is given up: no test is about time, and a machine may be busy with others. */
const PATIENCE = { testTimeout: 300_000, hookTimeout: 300_000 };

const OUR_SOURCES = Object.fromEntries(
  ['core', 'contract', 'words'].map((name) => [
    `@bright-keeper/${name}`,
    fileURLToPath(new URL(`./${name}/src/index.ts`, import.meta.url)),
  ]),
);

/**
 * A canvas cannot be drawn on in a test of a page: what a chart is given is told in words instead, and the browser tests draw
 * it. By name and for all of them, since tests of one worker share what was loaded: a mock comes too late for the second.
 */
const TOLD_CHARTS = { 'react-chartjs-2': fileURLToPath(new URL('./web/src/testing/drawnChart.tsx', import.meta.url)) };

/**
 * The rooms of services: their tests run over PostgreSQL, which answers three times as quickly. Over the embedded database
 * the same services are gone through by the demo household and by the browser; `EVERYWHERE=1` runs their tests there, too.
 */
const SERVICES = ['air', 'care', 'inspection', 'past', 'places', 'schedule', 'sensor', 'shelf', 'storage', 'supplies'];
const ONCE = process.env.EVERYWHERE ? [] : SERVICES.map((room) => `server/src/${room}/**`);

export default defineConfig({
  test: {
    reporters: ['default'],
    // As many as the machine has cores: left to itself the runner keeps one of two for nobody.
    maxWorkers: '100%',
    projects: [
      {
        ...source,
        test: {
          name: 'core',
          isolate: false,
          include: ['core/src/**/*.test.ts', 'contract/src/**/*.test.ts', 'words/src/**/*.test.ts', 'scripts/**/*.test.mjs'],
          ...PATIENCE,
        },
      },
      {
        ...source,
        test: {
          name: 'server',
          isolate: false,
          include: ['server/src/**/*.test.ts', 'devices/src/**/*.test.ts', 'demo/src/**/*.test.ts'],
          exclude: ONCE,
          ...PATIENCE,
        },
      },
      {
        // The same tests of the same services, over PostgreSQL.
        ...source,
        test: {
          name: 'postgres',
          isolate: false,
          include: ['server/src/**/*.test.ts'],
          exclude: [
            // Who may come in is kept in a file, whatever database there is.
            'server/src/access/**',
            'server/src/db/embedded/**',
            'server/src/db/*.test.ts',
            'server/src/startup/**',
            'server/src/wake/**',
            'server/src/csv/**',
            'server/src/*.test.ts',
            'server/src/platform/**',
          ],
          globalSetup: ['server/src/testing/onPostgres.ts'],
          ...PATIENCE,
        },
      },
      {
        // By name, not by condition: packages of others name their sources too, and would be taken at that word.
        resolve: { conditions: ['module', 'browser', 'development'], alias: { ...OUR_SOURCES, ...TOLD_CHARTS } },
        // Pictures that tests read.
        assetsInclude: ['**/*.heic', '**/*.tif'],
        test: {
          name: 'web',
          isolate: false,
          include: ['web/src/**/*.test.{ts,tsx}'],
          environment: 'jsdom',
          setupFiles: ['web/src/testing/setup.ts'],
          ...PATIENCE,
        },
      },
    ],
  },
});
