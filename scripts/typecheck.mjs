import { bin, run } from './run.mjs';

/** Type-checks each workspace by itself; tells how many passed. */
export function typecheck() {
  const results = ['core', 'contract', 'words', 'devices', 'server', 'web', 'demo', 'e2e', 'bench'].map((workspace) =>
    run(bin('tsc'), ['-p', workspace]),
  );
  return { passed: results.filter(Boolean).length, failed: results.filter((ok) => !ok).length };
}

if (process.argv[1]?.endsWith('typecheck.mjs') && typecheck().failed > 0) process.exit(1);
