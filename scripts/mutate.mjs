import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { bin, must, ROOT, run } from './run.mjs';

/**
 * `npm run mutate -- ROOM [FILE ...]` changes the code of a room of core in one place after another and tells which
 * changes no test notices. Run by hand: a room takes from minutes to hours. Words and tables of facts are left as they
 * are, and so is what is reckoned once when the program starts: no single test stands for it.
 */
const ROOMS = ['care', 'inspection', 'schedule/duties', 'fungus', 'storage'];
const CAUGHT_PCT = 88;
/** The mutation tester is fetched on first use: nothing else wants its packages. Its next major version asks for a newer Node.js. */
const TESTER = ['@stryker-mutator/core@9.6.1', '@stryker-mutator/vitest-runner@9.6.1'];

const [room, ...files] = process.argv.slice(2);
if (!ROOMS.includes(room)) {
  console.error(`npm run mutate -- ROOM [FILE ...]: ROOM is one of ${ROOMS.join(', ')}.`);
  process.exit(2);
}
if (!existsSync(bin('stryker'))) must('npm', ['install', '--no-save', '--no-audit', '--no-fund', ...TESTER]);

const reports = join(ROOT, 'test-results', 'mutate');
const name = room.replaceAll('/', '-');
const settings = join(reports, `${name}.config.json`);
const report = join(reports, `${name}.json`);
mkdirSync(reports, { recursive: true });
rmSync(report, { force: true });
const of = files.length > 0 ? files : ['**/*.ts'];
writeFileSync(
  settings,
  JSON.stringify({
    testRunner: 'vitest',
    vitest: { configFile: 'scripts/vitest.mutate.config.mjs' },
    mutate: [...of.map((file) => `core/src/${room}/${file}`), '!**/*.test.ts', '!**/testing/**'],
    mutator: { excludedMutations: ['StringLiteral'] },
    ignoreStatic: true,
    ignorePatterns: ['test-results', 'docs', '**/dist'],
    reporters: ['clear-text', 'json'],
    jsonReporter: { fileName: report },
    tempDirName: '.mutants',
    concurrency: 2,
    timeoutMS: 30_000,
  }),
);
const ok = run(bin('stryker'), ['run', settings], { env: { ...process.env, MUTATED_ROOM: room } });
if (!existsSync(report)) process.exit(1);

const count = { caught: 0, missed: 0 };
for (const { mutants } of Object.values(JSON.parse(readFileSync(report, 'utf8')).files))
  for (const { status } of mutants) {
    if (status === 'Killed' || status === 'Timeout') count.caught++;
    if (status === 'Survived' || status === 'NoCoverage') count.missed++;
  }
const pct = Math.round((1000 * count.caught) / Math.max(1, count.caught + count.missed)) / 10;
console.log(`${room}: ${count.caught} of ${count.caught + count.missed} changes caught, ${pct} % (the aim is ${CAUGHT_PCT} %).`);
process.exit(ok && pct >= CAUGHT_PCT ? 0 : 1);
