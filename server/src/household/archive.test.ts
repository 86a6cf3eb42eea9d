import { createHash } from 'node:crypto';
import { createWriteStream, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { afterAll, describe, expect, it } from 'vitest';
import yazl from 'yazl';
import { LIMITS } from '../limits.js';
import { ArchiveReader, ArchiveWriter, type ArchiveLimits } from './archive.js';
import { linesOf, TooLong } from './lines.js';

const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-archive-'));
afterAll(() => rmSync(folder, { recursive: true }));

const sha256 = (text: string) => createHash('sha256').update(text).digest('hex');
const MADE = { program: 'x', madeAt: '2026-05-20T09:00:00.000Z', schemaStep: 1 };
let count = 0;
const nextPath = () => join(folder, `${(count += 1)}.zip`);

/** A ZIP of these parts, whatever is in them. */
async function zipOf(parts: Readonly<Record<string, string>>): Promise<string> {
  const path = nextPath();
  const zip = new yazl.ZipFile();
  for (const [name, text] of Object.entries(parts)) zip.addBuffer(Buffer.from(text), name);
  zip.end();
  await pipeline(zip.outputStream, createWriteStream(path));
  return path;
}
/** A file as an earlier program wrote it, with one table: its manifest carries no sum of itself. */
const fileOf = (text: string, rows: number, more: object = {}) => {
  const table = { name: 'item', file: 'data/item.json', rows, sha256: sha256(text) };
  const manifest = { format: 'bright-keeper-household', formatVersion: 1, ...MADE, tables: [table], ...more };
  return zipOf({ 'data/item.json': text, 'manifest.json': JSON.stringify(manifest) });
};
async function read(path: string, most?: Partial<ArchiveLimits>): Promise<string[]> {
  const archive = await ArchiveReader.open(path, { ...LIMITS.household, ...most });
  return archive.allRows('item').finally(() => archive.close());
}
const code = (expected: string) => ({ problem: { code: expected } });

describe('a household in a file', () => {
  it('of an earlier program is read as it is', async () => {
    expect(await read(await fileOf('[\n{"id":1},\n{"id":2}\n]\n', 2))).toEqual(['{"id":1}', '{"id":2}']);
  });

  it.each<[string, Partial<ArchiveLimits>]>([
    ['unpacks to too much', { unpackedBytes: 1000 }],
    ['packs better than any text does', { ratio: 50, ratioFromBytes: 1000 }],
    ['has too many parts', { parts: 1 }],
    ['has too many rows', { rows: 1 }],
    ['has a row that is too long', { rowBytes: 1000 }],
    ['has too many rows that go in together', { rowsInOneGo: 1 }],
  ])('that %s is not read to its end', async (_, most) => {
    const file = await fileOf(`[\n"${'x'.repeat(100_000)}",\n1\n]\n`, 2);
    expect(await read(file)).toHaveLength(2);
    await expect(read(file, most)).rejects.toMatchObject(code('archive-too-much'));
  });

  it('whose manifest is too large, or anything but a manifest, is refused', async () => {
    const file = await fileOf('[\n]\n', 0);
    await expect(read(file, { manifestBytes: 10 })).rejects.toMatchObject(code('archive-unreadable'));
    const table = { name: 'item', file: 'data/item.json', rows: 0, sha256: sha256('[\n]\n') };
    for (const more of [
      { tables: [null] },
      { tables: [table, table] },
      { tables: [{ ...table, rows: -1 }] },
      { tables: [{ ...table, rows: 'many' }] },
      { tables: [{ ...table, name: '../../etc' }] },
      { tables: {} },
      { schemaStep: 'last' },
      { madeAt: 'infinity' },
      { formatVersion: 0 },
    ])
      await expect(ArchiveReader.open(await fileOf('[\n]\n', 0, more))).rejects.toMatchObject(code('archive-damaged'));
    await expect(ArchiveReader.open(await zipOf({ 'manifest.json': 'null' }))).rejects.toMatchObject(code('archive-unreadable'));
    await expect(ArchiveReader.open(await fileOf('[\n]\n', 0, { formatVersion: 99 }))).rejects.toMatchObject(code('archive-newer'));
  });

  it('that holds fewer or more rows than it says is damaged', async () => {
    for (const rows of [1, 3]) await expect(read(await fileOf('[\n1,\n2\n]\n', rows))).rejects.toMatchObject(code('archive-damaged'));
  });

  it('is damaged when any one character of its manifest is another', async () => {
    const path = nextPath();
    const writer = new ArchiveWriter(path);
    await writer.table(
      'item',
      (async function* () {
        yield await Promise.resolve(['{"id":1}']);
      })(),
    );
    const manifest = JSON.stringify(await writer.finish(MADE));
    expect(await read(path)).toEqual(['{"id":1}']);
    for (let i = 0; i < manifest.length; i += 1) {
      const character = manifest.charCodeAt(i);
      // A bit of it, where that leaves a sign that can stand there.
      const flipped = manifest.slice(0, i) + String.fromCharCode(character ^ 1) + manifest.slice(i + 1);
      const file = await zipOf({ 'data/item.json': '[\n{"id":1}\n]\n', 'manifest.json': flipped });
      await expect(read(file), `${i}: ${flipped.slice(Math.max(0, i - 20), i + 20)}`).rejects.toMatchObject({
        problem: { code: expect.stringMatching(/^archive-(damaged|unreadable|newer)$/) as string },
      });
    }
  });

  it('cut off anywhere is refused and told, never read as if it were whole', async () => {
    const whole = readFileSync(await fileOf('[\n1,\n2\n]\n', 2));
    for (let bytes = 0; bytes < whole.length; bytes += 7) {
      const path = nextPath();
      writeFileSync(path, whole.subarray(0, bytes));
      await expect(read(path)).rejects.toMatchObject({ problem: { status: 422 } });
    }
  });
});

describe('lines of a stream', () => {
  const inPieces = async function* (text: string, size: number) {
    const bytes = Buffer.from(text);
    for (let at = 0; at < bytes.length; at += size) yield await Promise.resolve(bytes.subarray(at, at + size));
  };
  const all = async (text: string, size: number, longest = 100) => {
    const lines: string[] = [];
    for await (const line of linesOf(inPieces(text, size), longest)) lines.push(line);
    return lines;
  };

  it('are the same however it comes, signs of several bytes included', async () => {
    const text = 'a\n\nnaïve – 🔦\nlast';
    for (let size = 1; size < 30; size += 1) expect(await all(text, size)).toEqual(['a', '', 'naïve – 🔦', 'last']);
    expect(await all('', 1)).toEqual([]);
    expect(await all('one\n', 2)).toEqual(['one']);
  });

  it('are given up as soon as one is too long', async () => {
    await expect(all(`short\n${'x'.repeat(50)}`, 7, 40)).rejects.toThrow(TooLong);
    expect(await all(`${'x'.repeat(40)}\n`, 7, 40)).toHaveLength(1);
  });
});
