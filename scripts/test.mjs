import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { ensurePostgres } from './postgres.mjs';
import { bin, ensureInstalled, ROOT, run, runBeside } from './run.mjs';
import { typecheck } from './typecheck.mjs';

const REPORTS = join(ROOT, 'test-results');
const report = (name) => join(REPORTS, name);

/** The counts of a runner's JSON report; a runner that left none has failed as a whole. */
function counts(file, read) {
  try {
    return read(JSON.parse(readFileSync(file, 'utf8')));
  } catch {
    return { passed: 0, failed: 1 };
  }
}

async function lint() {
  return (await runBeside(bin('eslint'), ['.'])) ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 };
}

function unit() {
  const ok = run(bin('vitest'), ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${report('vitest.json')}`]);
  const { passed, failed } = counts(report('vitest.json'), (r) => ({ passed: r.numPassedTests, failed: r.numFailedTests }));
  return { passed, failed: ok ? failed : Math.max(failed, 1) };
}

function browser() {
  const env = { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: report('playwright.json') };
  const ok = run(bin('playwright'), ['test', '--config', 'e2e/playwright.config.ts', '--reporter=list,json'], { env });
  const { passed, failed } = counts(report('playwright.json'), ({ stats }) => ({
    passed: stats.expected + stats.flaky,
    failed: stats.unexpected,
  }));
  return { passed, failed: ok ? failed : Math.max(failed, 1) };
}

ensureInstalled();
ensureChromium();
ensurePostgres();
rmSync(REPORTS, { recursive: true, force: true });
mkdirSync(REPORTS);
// Imported only now: it needs the packages that were just installed.
const { build } = await import('./build.mjs');
await build();

// The two that read the code run beside each other; the two that run it have the machine to themselves.
const results = [...(await Promise.all([typecheck(), lint()])), unit(), browser()];
const sum = (key) => results.reduce((total, result) => total + result[key], 0);
console.log(`${sum('passed')} passed, ${sum('failed')} failed`);
process.exit(sum('failed') > 0 ? 1 : 0);
