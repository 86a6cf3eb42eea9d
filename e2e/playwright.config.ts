import { defineConfig } from '@playwright/test';
import { readFileSync } from 'node:fs';

/** Debian's Chromium with flags for a closed network; the screenshot script reads the same file. */
const launchOptions = JSON.parse(readFileSync(new URL('./chromium.json', import.meta.url), 'utf8')) as {
  executablePath: string;
  args: string[];
};

/** What makes networks of its own. */
const NETWORKS = 'network.spec.ts';

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results/browser',
  // No test is about time, and a machine may be busy with others: this is how long one may hang.
  timeout: 300_000,
  expect: { timeout: 30_000 },
  // Two cores: what waits for a disk, a timer or a page leaves room for a third.
  workers: 3,
  // Two browsers on two cores lose a tap now and then; the report names who needed a second try, and twice is a failure.
  retries: 1,
  projects: [
    { name: 'browser', testIgnore: NETWORKS },
    // A browser breaks off what it is fetching when a network comes or goes: alone, after all others.
    { name: 'networks', testMatch: NETWORKS, dependencies: ['browser'] },
  ],
  use: {
    viewport: { width: 1280, height: 800 },
    timezoneId: 'Europe/Lisbon',
    launchOptions,
    screenshot: 'only-on-failure',
  },
});
