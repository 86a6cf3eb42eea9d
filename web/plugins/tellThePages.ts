import { fileURLToPath } from 'node:url';
import type { Plugin, Rolldown } from 'vite';
import { ALWAYS_ASKED, BARE_PAGES, PAGES, RAIL_ASKS, type PageFacts } from '../src/pages.ts';

/** A chunk and all it imports at once. */
function closureOf(start: string, bundle: Rolldown.OutputBundle): Set<string> {
  const seen = new Set<string>();
  const todo = [start];
  for (let file = todo.pop(); file !== undefined; file = todo.pop()) {
    const chunk = bundle[file];
    if (seen.has(file) || chunk?.type !== 'chunk') continue;
    seen.add(file);
    todo.push(...chunk.imports);
  }
  return seen;
}

/** Writes what the server names in its answer to the address of a page: the page's own code, and what it asks first. */
export const tellThePages = (): Plugin => ({
  name: 'tell-the-pages',
  generateBundle(_, bundle) {
    const chunks = Object.values(bundle).filter((part) => part.type === 'chunk');
    const chunkOf = (file: string) => {
      const id = fileURLToPath(new URL(`../src/${file}`, import.meta.url));
      const chunk = chunks.find((c) => c.moduleIds.includes(id));
      if (!chunk) throw new Error(`No code was built for ${file}.`);
      return chunk.fileName;
    };
    const entry = closureOf(chunks.find((c) => c.isEntry)!.fileName, bundle);
    const told =
      (rail: boolean) =>
      ({ path, file, asks }: PageFacts) => ({
        path,
        rail,
        scripts: [...closureOf(chunkOf(file), bundle)].filter((script) => !entry.has(script)).map((script) => `/${script}`),
        asks: [...ALWAYS_ASKED, ...(rail ? RAIL_ASKS : []), ...asks],
      });
    const pages = [...PAGES.map(told(true)), ...BARE_PAGES.map(told(false))];
    this.emitFile({ type: 'asset', fileName: 'pages.json', source: JSON.stringify(pages) });
  },
});
