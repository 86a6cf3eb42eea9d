import { Linter } from 'eslint';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import house from './rooms.mjs';

/** A house of three rooms above a cellar; `attic` and `hall` know each other. */
const FILES = {
  'src/cellar/index.ts': "export { wine } from './wine.js';",
  'src/cellar/wine.ts': 'export const wine = 1;',
  'src/kitchen/index.ts': "export { soup } from './soup.js';",
  'src/kitchen/soup.ts':
    "import { wine } from '../cellar/index.js';\nimport { light } from '../light.js';\nexport const soup = wine + light;",
  'src/kitchen/deep/pot.ts': "import { wine } from '../../cellar/wine.js';\nexport const pot = wine;",
  'src/kitchen/soup.test.ts': "import { hat } from '../attic/index.js';\nexport const ours = hat;",
  'src/attic/index.ts': "export { hat } from './hat.js';",
  'src/attic/hat.ts': "import { coat } from '../hall/index.js';\nexport const hat = coat;",
  'src/hall/index.ts': "export { coat } from './coat.js';",
  'src/hall/coat.ts': "import { lamp } from './lamp.js';\nexport const coat = lamp;",
  'src/hall/lamp.ts': "import { soup } from '../kitchen/index.js';\nexport { hat } from '../attic/index.js';\nexport const lamp = soup;",
  'src/light.ts': 'export const light = 2;',
};

let place;
beforeAll(() => {
  place = mkdtempSync(join(tmpdir(), 'bright-keeper-rooms-'));
  for (const [path, text] of Object.entries(FILES)) {
    mkdirSync(dirname(join(place, path)), { recursive: true });
    writeFileSync(join(place, path), text);
  }
});
afterAll(() => rmSync(place, { recursive: true }));

function told(path) {
  const filename = join(place, path);
  const config = { files: ['**/*.ts'], plugins: { house }, rules: { 'house/rooms': ['error', { src: 'src' }] } };
  return new Linter({ cwd: place }).verify(readFileSync(filename, 'utf8'), [config], { filename }).map((m) => m.message);
}

describe('doors and circles of rooms', () => {
  it('nobody minds who comes in by the door, or what lies beside all rooms', () => {
    expect(['src/kitchen/soup.ts', 'src/cellar/index.ts', 'src/hall/coat.ts'].flatMap(told)).toEqual([]);
  });

  it('who goes past a door is told, from a folder further down, too', () => {
    expect(told('src/kitchen/deep/pot.ts')).toEqual(['The room “cellar” is entered through its index, which lists what it gives.']);
  });

  it('both sides of a circle are told, by an import or by handing on, and a test is not', () => {
    expect(told('src/attic/hat.ts')).toEqual([expect.stringContaining('attic → hall → attic')]);
    expect(told('src/hall/lamp.ts')).toEqual([expect.stringContaining('hall → attic → hall')]);
    expect(told('src/kitchen/soup.test.ts')).toEqual([]);
  });
});
