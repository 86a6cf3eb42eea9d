import type { ComponentType } from 'react';
import { describe, expect, it } from 'vitest';
import { ALWAYS_ASKED, BARE_PAGES, PAGES } from './pages';

const CODE = import.meta.glob<Record<string, ComponentType>>(['./areas/*/*Page.tsx', './areas/*/*Pages.tsx']);
const ALL = [...PAGES, ...BARE_PAGES];

describe('the pages', () => {
  it.each(ALL.map((page) => [page.path, page] as const))('at %s have the component they name', async (_, { file, component }) => {
    expect(CODE[file], file).toBeDefined();
    expect((await CODE[file]!())[component]).toBeTypeOf('function');
  });

  it('are every page there is, each address once', () => {
    expect(new Set(ALL.map(({ file }) => file))).toEqual(new Set(Object.keys(CODE)));
    expect(new Set(ALL.map(({ path }) => path)).size).toBe(ALL.length);
  });

  it('ask with nothing that their address does not hold', () => {
    for (const { path, asks } of ALL)
      for (const name of [...ALWAYS_ASKED, ...asks].flatMap((ask) => ask.match(/:\w+/g) ?? [])) expect(path.split('/')).toContain(name);
  });
});
