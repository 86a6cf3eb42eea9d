import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join, relative } from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { ensurePostgres } from './postgres.mjs';
import { ensureServers } from './unpacked.mjs';
import { bin, ensureInstalled, ROOT, run, runBeside } from './run.mjs';
import { typecheck } from './typecheck.mjs';

const REPORTS = join(ROOT, 'test-results');
const report = (name) => join(REPORTS, name);

/** What a runner's JSON report tells: how many passed, and which did not. A runner that ended badly without a failed test has failed as a whole. */
function told(name, ok, file, read) {
  let said = { passed: 0, failed: [] };
  try {
    said = read(JSON.parse(readFileSync(file, 'utf8')));
  } catch (error) {
    console.log(`${name} left no report: ${error.message}`);
  }
  return ok || said.failed.length > 0 ? said : { ...said, failed: [`${name}, outside of any test`] };
}

async function lint() {
  return (await runBeside(bin('eslint'), ['.'])) ? { passed: 1, failed: [] } : { passed: 0, failed: ['the linter'] };
}

function unit() {
  const ok = run(bin('vitest'), ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${report('vitest.json')}`]);
  return told('vitest', ok, report('vitest.json'), ({ numPassedTests, testResults }) => ({
    passed: numPassedTests,
    failed: testResults.flatMap(({ name, assertionResults }) =>
      assertionResults.filter((r) => r.status === 'failed').map((r) => `${relative(ROOT, name)}: ${r.fullName}`),
    ),
  }));
}

const specsOf = (suites) => suites.flatMap((suite) => [...suite.specs, ...specsOf(suite.suites ?? [])]);

function browser() {
  const env = { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: report('playwright.json') };
  const ok = run(bin('playwright'), ['test', '--config', 'e2e/playwright.config.ts', '--reporter=list,json'], { env });
  return told('playwright', ok, report('playwright.json'), ({ stats, suites }) => ({
    passed: stats.expected + stats.flaky,
    failed: specsOf(suites).flatMap(({ file, title, tests }) =>
      tests.filter((t) => t.status === 'unexpected').map(() => `e2e/${file}: ${title}`),
    ),
  }));
}

ensureInstalled();
ensureChromium();
ensurePostgres();
ensureServers();
rmSync(REPORTS, { recursive: true, force: true });
mkdirSync(REPORTS);
// Imported only now: it needs the packages that were just installed.
const { build } = await import('./build.mjs');
await build();

// The two that read the code run beside each other; the two that run it have the machine to themselves.
const results = [...(await Promise.all([typecheck(), lint()])), unit(), browser()];
const passed = results.reduce((sum, result) => sum + result.passed, 0);
const failed = results.flatMap((result) => result.failed);
for (const name of failed) console.log(`Failed: ${name}`);
console.log(`${passed} passed, ${failed.length} failed`);
process.exit(failed.length > 0 ? 1 : 0);
