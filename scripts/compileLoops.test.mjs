import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { COMPILED, compiledLoops } from './compileLoops.mjs';

it('the compiled loops are those of their source', async () => {
  expect(readFileSync(COMPILED, 'utf8'), 'npm run compile:loops').toBe(await compiledLoops());
});
