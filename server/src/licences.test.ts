import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

type Package = { dev?: boolean; link?: boolean; license?: string; integrity?: string };
const lock = JSON.parse(readFileSync(join(import.meta.dirname, '../../package-lock.json'), 'utf8')) as {
  packages: Record<string, Package>;
};
const SHIPPED = Object.entries(lock.packages).filter(([path, p]) => path.includes('node_modules/') && !p.dev && !p.link);

/** Licences under which a package may be passed on with a program of any other licence (SPDX; the lists of the Free Software Foundation and of the Open Source Initiative). */
const MAY_SHIP = [
  'MIT',
  // MIT without the notice to be passed on.
  'MIT-0',
  'ISC',
  '0BSD',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'Apache-2.0',
  'BlueOak-1.0.0',
  'MPL-2.0',
  'Python-2.0',
  'OFL-1.1',
  'LGPL-3.0',
  'LGPL-3.0-or-later',
];
/** These say so in a file of theirs only: MIT all of them, but for the letters, which have that of Bitstream Vera (may be passed on with any program). */
const BY_FILE = [
  'node_modules/busboy',
  'node_modules/dejavu-fonts-ttf',
  'node_modules/jstat',
  'node_modules/png-js',
  'node_modules/streamsearch',
];
const IN_A_FILE = /^SEE LICENSE IN/;

describe('what ships', () => {
  it.each(SHIPPED)('%s may be passed on, and is the very file that was locked', (path, { license, integrity }) => {
    const licences = license === undefined || IN_A_FILE.test(license) ? [] : license.split(' AND ');
    expect(licences.filter((l) => !MAY_SHIP.includes(l))).toEqual([]);
    expect(licences.length > 0 || BY_FILE.includes(path)).toBe(true);
    expect(integrity).toMatch(/^sha512-/);
  });
});
