import { execFileSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { bin, ROOT, runBeside } from './run.mjs';

/** What tells of a change in a workspace within a minute: its types, the linter over what changed, and the tests that reach it. */
const ROOMS = {
  core: { program: 'core', projects: ['core'] },
  words: { program: 'tsconfig.node.json', projects: ['core'] },
  contract: { program: 'tsconfig.node.json', projects: ['core'] },
  server: { program: 'tsconfig.node.json', projects: ['server', 'postgres'] },
  demo: { program: 'tsconfig.node.json', projects: ['server'] },
  web: { program: 'web', projects: ['web'] },
};

const name = process.argv[2] ?? '';
const room = ROOMS[name];
if (!room) {
  console.error(`npm run check -- ROOM: ROOM is one of ${Object.keys(ROOMS).join(', ')}.`);
  process.exit(2);
}

const git = (...args) => execFileSync('git', args, { cwd: ROOT, encoding: 'utf8' }).split('\n');
const changed = [...git('diff', '--name-only', 'HEAD'), ...git('ls-files', '--others', '--exclude-standard')].filter(
  (file) => /\.(ts|tsx|mjs|js)$/.test(file) && existsSync(`${ROOT}/${file}`),
);
if (changed.length === 0) {
  console.log('Nothing has changed since the last commit.');
  process.exit(0);
}
const told = await Promise.all([
  runBeside(bin('tsc'), ['-p', room.program]),
  runBeside(bin('eslint'), changed),
  runBeside(bin('vitest'), ['related', '--run', ...room.projects.flatMap((project) => ['--project', project]), ...changed]),
]);
process.exit(told.every(Boolean) ? 0 : 1);
