import { defineConfig } from '@playwright/test';

/** Flags for Debian's Chromium in a closed network. */
const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results/browser',
  timeout: 60_000,
  expect: { timeout: 10_000 },
  // Two cores: one browser beside the servers it talks to.
  workers: 2,
  retries: 0,
  use: {
    viewport: { width: 1280, height: 800 },
    timezoneId: 'Europe/Lisbon',
    launchOptions: { executablePath: '/usr/bin/chromium', args: CHROMIUM_ARGS },
    screenshot: 'only-on-failure',
  },
});
