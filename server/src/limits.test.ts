import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, it } from 'vitest';
import { LIMITS } from './limits.js';

const DOCS = fileURLToPath(new URL('../../docs', import.meta.url));

describe('docs/limits.md', () => {
  const lines = readFileSync(join(DOCS, 'limits.md'), 'utf8').split('\n');
  const all = Object.entries(LIMITS).flatMap(([of, limits]) =>
    Object.entries(limits).map(([name, limit]) => [`${of}.${name}`, limit] as const),
  );

  it.each(all)('tells %s as it is, %i', (key, limit) => {
    const told = lines.filter((line) => line.includes(`\`${key}\``));
    expect(told).toHaveLength(1);
    expect(told[0]).toMatch(new RegExp(`\\b${limit}\\b`));
  });

  it('tells of no limit there is not', () => {
    const told = lines.flatMap((line) =>
      [...line.matchAll(/`((?:body|household|calendar|list|live|access|place|poll|broker|logFolder|alarms)\.\w+)`/g)].map(([, key]) => key),
    );
    expect(told.sort()).toEqual(all.map(([key]) => key).sort());
  });
});

const hasVerifier = spawnSync('systemd-analyze', ['--version']).status === 0;

describe.runIf(hasVerifier)('the service', () => {
  const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-unit-'));
  afterAll(() => rmSync(folder, { recursive: true }));
  const unit = join(folder, 'bright-keeper.service');
  copyFileSync(join(DOCS, 'bright-keeper.service'), unit);

  it('is a unit that systemd can read, with nothing it does not know', () => {
    // Where the program itself lies is not asked: it lies elsewhere on each machine.
    const { stderr } = spawnSync('systemd-analyze', ['verify', unit], { encoding: 'utf8' });
    expect(stderr.split('\n').filter((line) => line.includes('bright-keeper.service:') && !line.includes('is not executable'))).toEqual([]);
  });

  const judged = spawnSync('systemd-analyze', ['security', '--offline=true', '--no-pager', unit], { encoding: 'utf8' });
  // An older one judges only what it runs itself.
  it.runIf(judged.status === 0)('is exposed as little as its kind can be', () => {
    const { stdout } = judged;
    const exposure = /exposure level[^:]*: ([\d.]+)/.exec(stdout)?.[1];
    // Below 2 is what systemd itself calls OK; what is left is that it compiles while it runs, and speaks to a network.
    expect(Number(exposure)).toBeLessThan(2);
  });
});
