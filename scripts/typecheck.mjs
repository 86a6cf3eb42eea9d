import { bin, runBeside } from './run.mjs';

/** What is checked in one go each: core without Node.js, all that runs on it, and what runs in a browser. */
const PROGRAMS = ['core', 'tsconfig.node.json', 'web'];

/** Type-checks the whole project; tells how many programs passed, and which did not. */
export async function typecheck() {
  const failed = [];
  for (const program of PROGRAMS) if (!(await runBeside(bin('tsc'), ['-p', program]))) failed.push(`types of ${program}`);
  return { passed: PROGRAMS.length - failed.length, failed };
}

if (process.argv[1]?.endsWith('typecheck.mjs') && (await typecheck()).failed.length > 0) process.exit(1);
