/* Compiles the loops over a frame's pixels: `npm run compile:loops`, after `core/assembly/frame.ts` was changed. */
import asc from 'assemblyscript/asc';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const ROOT = join(import.meta.dirname, '..');
const SOURCE = join(ROOT, 'core', 'assembly', 'frame.ts');
export const COMPILED = join(ROOT, 'core', 'src', 'sensor', 'dust', 'loops.wasm.ts');

/** @returns the module that holds the loops as they are compiled from their source now. */
export async function compiledLoops() {
  let bytes;
  const { error, stderr } = await asc.main(
    ['frame.ts', '--outFile', 'frame.wasm', '--runtime', 'stub', '--importMemory', '--enable', 'simd', '-O3', '--noAssert'],
    {
      readFile: (name) => (name === 'frame.ts' ? readFileSync(SOURCE, 'utf8') : null),
      writeFile: (_, contents) => void (bytes = contents),
      listFiles: () => [],
    },
  );
  if (error) throw new Error(`${SOURCE}: ${stderr}`);
  return `/** Compiled from core/assembly/frame.ts by scripts/compileLoops.mjs: not to be edited. */\nexport const LOOPS =\n  '${Buffer.from(bytes).toString('base64')}';\n`;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) writeFileSync(COMPILED, await compiledLoops());
