import { existsSync, mkdirSync, mkdtempSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { beforeAll, describe, expect, it } from 'vitest';
import { openOnFiles } from './open.js';
import { makeTemplate } from './makeTemplate.js';
import { beginFromTemplate } from '../wake/index.js';

const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-template-'));
const template = join(folder, 'template');
beforeAll(() => makeTemplate(template));

describe('a new directory', () => {
  it('begins as a copy of the template, whole and in the present schema', async () => {
    const dataDir = join(folder, 'fresh');
    mkdirSync(dataDir);
    beginFromTemplate(join(dataDir, 'db'), template);
    // Anybody may begin with a copy of it, and the copy is nobody else's.
    expect(statSync(join(template, 'PG_VERSION')).mode & 0o777).toBe(0o644);
    expect(statSync(join(dataDir, 'db', 'PG_VERSION')).mode & 0o777).toBe(0o600);
    const database = await openOnFiles({ dataDir });
    const { rows } = (await database.db.execute(sql`select count(*)::int as n from item`)) as unknown as { rows: { n: number }[] };
    expect(rows).toEqual([{ n: 0 }]);
    await database.close();
  });

  it('that is there already is left alone, and what a cut-off start left is made anew', () => {
    const there = join(folder, 'there');
    mkdirSync(there);
    beginFromTemplate(there, template);
    expect(existsSync(join(there, 'PG_VERSION'))).toBe(false);

    const cutOff = join(folder, 'cut-off');
    mkdirSync(`${cutOff}.new`);
    writeFileSync(join(`${cutOff}.new`, 'half'), '');
    beginFromTemplate(cutOff, template);
    expect(existsSync(join(cutOff, 'PG_VERSION'))).toBe(true);
    expect(existsSync(join(cutOff, 'half'))).toBe(false);
    expect(existsSync(`${cutOff}.new`)).toBe(false);
  });

  it('is made from nothing where the program ships no template', () => {
    beginFromTemplate(join(folder, 'none'), join(folder, 'no-such-template'));
    expect(existsSync(join(folder, 'none'))).toBe(false);
  });
});
