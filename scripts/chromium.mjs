import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { installFromDebian } from './debian.mjs';
import { ROOT } from './run.mjs';

/** How Chromium is launched, the same as the browser tests do. */
export const CHROMIUM = JSON.parse(readFileSync(join(ROOT, 'e2e', 'chromium.json'), 'utf8'));

/** Debian's headless Chromium, without the browser's own windows, which cost more than the pages; installed when it is not there. */
export function ensureChromium() {
  if (!existsSync(CHROMIUM.executablePath)) installFromDebian('chromium-headless-shell');
}
