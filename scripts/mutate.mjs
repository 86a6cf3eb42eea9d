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
mkdirSync(reports, { recursive: true });

/** One run of the tester: changes what `mutate` names, asks the tests that `near` or `far` means, and gives each change with its end. */
function pass(reach, mutate) {
  const settings = join(reports, `${room.replaceAll('/', '-')}-${reach}.config.json`);
  const report = settings.replace('.config.json', '.json');
  rmSync(report, { force: true });
  writeFileSync(
    settings,
    JSON.stringify({
      testRunner: 'vitest',
      vitest: { configFile: 'scripts/vitest.mutate.config.mjs', related: false },
      mutate: [...mutate, '!**/*.test.ts', '!**/testing/**'],
      mutator: { excludedMutations: ['StringLiteral'] },
      ignoreStatic: true,
      ignorePatterns: ['test-results', 'docs', '**/dist'],
      reporters: [reach === 'near' ? 'progress-append-only' : 'clear-text', 'json'],
      jsonReporter: { fileName: report },
      tempDirName: '.mutants',
      concurrency: 2,
      timeoutMS: 10_000,
      dryRunTimeoutMinutes: 60,
    }),
  );
  run(bin('stryker'), ['run', settings], { env: { ...process.env, MUTATED_ROOM: room, REACH: reach } });
  if (!existsSync(report)) process.exit(1);
  return Object.entries(JSON.parse(readFileSync(report, 'utf8')).files).flatMap(([file, { mutants }]) =>
    mutants.map(({ location: { start, end }, mutatorName, replacement, status }) => ({
      // A report counts columns from one, a range from nought.
      at: `${file}:${start.line}:${start.column - 1}-${end.line}:${end.column - 1}`,
      change: `${mutatorName} ${replacement}`,
      status,
    })),
  );
}

const isCaught = ({ status }) => ['Killed', 'Timeout', 'RuntimeError'].includes(status);
const isMissed = ({ status }) => ['Survived', 'NoCoverage'].includes(status);

// Most changes are noticed next door and in no time; only what is not goes before all the tests that reach it.
const near = pass(
  'near',
  (files.length > 0 ? files : ['**/*.ts']).map((file) => `core/src/${room}/${file}`),
);
const left = near.filter(isMissed);
const far = left.length > 0 ? pass('far', [...new Set(left.map((m) => m.at))]) : [];
const missed = left.filter((m) => !far.some((f) => f.at === m.at && f.change === m.change && isCaught(f)));
const counted = near.filter((m) => isCaught(m) || isMissed(m)).length;

for (const { at, change } of missed) console.log(`missed: ${at} ${change.replaceAll(/\s+/g, ' ')}`);
const pct = Math.round((1000 * (counted - missed.length)) / Math.max(1, counted)) / 10;
console.log(`${room}: ${counted - missed.length} of ${counted} changes caught, ${pct} % (the aim is ${CAUGHT_PCT} %).`);
process.exit(pct >= CAUGHT_PCT ? 0 : 1);
