import { appendFileSync, mkdirSync, mkdtempSync, renameSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { LogFolder } from './logFolder.js';

let folder: string;
let logs: LogFolder;
let came: string[];
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'bright-keeper-log-folder-'));
  came = [];
  logs = new LogFolder(join(folder, 'logs'), (file) => void came.push(basename(file)));
  // The look with which it begins.
  await logs.look();
});
afterEach(() => {
  logs.close();
  rmSync(folder, { recursive: true });
});
const at = (name: string) => join(folder, 'logs', name);
/** What is told of by one look. */
const look = async (): Promise<string[]> => {
  came = [];
  await logs.look();
  return came;
};

it('tells of a file once it has stayed as it is, and again when it has grown', async () => {
  writeFileSync(at('march.csv'), 'a');
  expect([await look(), await look(), await look()]).toEqual([[], ['march.csv'], []]);
  appendFileSync(at('march.csv'), 'b');
  expect(await look()).toEqual([]);
  appendFileSync(at('march.csv'), 'c');
  expect([await look(), await look(), await look()]).toEqual([[], ['march.csv'], []]);
});

it('misses nothing that was there before it began, or came as it did', async () => {
  writeFileSync(at('early.csv'), 'a');
  const second = new LogFolder(join(folder, 'logs'), (file) => void came.push(basename(file)));
  writeFileSync(at('as-it-began.csv'), 'a');
  for (let looks = 0; looks < 4; looks += 1) await second.look();
  second.close();
  expect(came.sort()).toEqual(['as-it-began.csv', 'early.csv']);
});

it('tells of no link, no folder, and nothing that begins with a dot; of what is called so once it is whole', async () => {
  writeFileSync(join(folder, 'elsewhere.csv'), 'a');
  symlinkSync(join(folder, 'elsewhere.csv'), at('link.csv'));
  mkdirSync(at('folder.csv'));
  writeFileSync(at('.march.csv.part'), 'a');
  expect([await look(), await look()]).toEqual([[], []]);
  renameSync(at('.march.csv.part'), at('march.csv'));
  expect([await look(), await look()]).toEqual([[], ['march.csv']]);
});

it('closed, tells of nothing more', async () => {
  writeFileSync(at('march.csv'), 'a');
  await look();
  logs.close();
  expect(await look()).toEqual([]);
});

it('goes on when the folder comes back that was gone, and a log is told anew that was put there anew', async () => {
  writeFileSync(at('march.csv'), 'a');
  expect([await look(), await look()]).toEqual([[], ['march.csv']]);
  rmSync(join(folder, 'logs'), { recursive: true });
  expect(await look()).toEqual([]);
  mkdirSync(join(folder, 'logs'));
  writeFileSync(at('march.csv'), 'a');
  expect([await look(), await look()]).toEqual([[], ['march.csv']]);
});
