import { bin, runBeside } from './run.mjs';

/** What is checked in one go each: core without Node.js, all that runs on it, and what runs in a browser. */
const PROGRAMS = ['core', 'tsconfig.node.json', 'web'];

/** Type-checks the whole project; tells how many programs passed. */
export async function typecheck() {
  let passed = 0;
  for (const program of PROGRAMS) if (await runBeside(bin('tsc'), ['-p', program])) passed += 1;
  return { passed, failed: PROGRAMS.length - passed };
}

if (process.argv[1]?.endsWith('typecheck.mjs') && (await typecheck()).failed > 0) process.exit(1);
