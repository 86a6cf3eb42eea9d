import { readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { describe, expect, it } from 'vitest';

const ROOT = join(import.meta.dirname, '../..');
const read = (file: string): string => readFileSync(join(ROOT, file), 'utf8');
const WORKSPACES = ['core', 'contract', 'words', 'devices', 'server', 'web', 'demo', 'e2e', 'bench', 'scripts', 'docs'];
const FILES = WORKSPACES.flatMap((workspace) =>
  readdirSync(join(ROOT, workspace), { recursive: true })
    .map((file) => `${workspace}/${String(file)}`)
    .filter((file) => !/node_modules|\/dist\//.test(file)),
);
const NAMES = new Set(FILES.map((file) => basename(file)));
const SCRIPTS = Object.keys((JSON.parse(read('package.json')) as { scripts: object }).scripts);

/** What only a build makes. */
const MADE = ['pages.json'];

/** Files and folders a page names, and commands it tells one to run. */
const named = (page: string): string[] =>
  [...page.matchAll(/`(\w[\w./-]*\.(?:ts|tsx|mjs|md|json|service))`/g)].map((m) => m[1]!).filter((file) => !MADE.includes(file));
const folders = (page: string): string[] => [...page.matchAll(/`([\w-]+(?:\/[\w-]+)+\/?)`/g)].map((m) => m[1]!.replace(/\/$/, ''));
const commands = (page: string): string[] => [...page.matchAll(/npm run ([\w:]+)/g)].map((m) => m[1]!);

describe.each(['CONTRIBUTING.md', 'README.md', 'docs/architecture.md', 'docs/security.md', 'docs/running.md'])('%s', (page) => {
  const text = read(page);
  it('names no file that is not there', () =>
    expect(
      named(text).filter((file) => !NAMES.has(basename(file)) || (file.includes('/') && !FILES.some((f) => f.endsWith(file)))),
    ).toEqual([]));
  it('names no folder that is not there', () =>
    expect(
      folders(text)
        .filter((folder) => WORKSPACES.includes(folder.split('/')[0]!))
        .filter((folder) => !FILES.some((f) => f === folder || f.startsWith(`${folder}/`) || f.startsWith(`${folder}.`))),
    ).toEqual([]));
  it('tells one to run nothing that cannot be run', () => expect(commands(text).filter((name) => !SCRIPTS.includes(name))).toEqual([]));
});
