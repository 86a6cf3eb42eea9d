import { defineConfig } from 'vitest/config';

/**
 * The tests of core for a run that changes core: `near` those of the changed room, `far` all that make claims of it. What
 * is said of care is claimed by the book of situations as well, which is read through its words.
 */
const room = process.env.MUTATED_ROOM ?? '';
const AIR = ['core/src/{air,fungus,schedule,storage}/**/*.test.ts'];
const NEAR = { 'schedule/duties': ['core/src/schedule/*.test.ts'] };
const FAR = { fungus: AIR, storage: AIR, 'schedule/duties': ['core/src/schedule/**/*.test.ts', 'words/src/*.test.ts'] };

export default defineConfig({
  resolve: { conditions: ['source'] },
  ssr: { resolve: { conditions: ['source'] } },
  test: {
    include:
      process.env.REACH === 'near' ? (NEAR[room] ?? [`core/src/${room}/**/*.test.ts`]) : (FAR[room] ?? ['{core,words}/src/**/*.test.ts']),
    testTimeout: 300_000,
    hookTimeout: 300_000,
  },
});
