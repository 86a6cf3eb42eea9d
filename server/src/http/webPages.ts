import type { NestExpressApplication } from '@nestjs/platform-express';
import express from 'express';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import sirv from 'sirv';

const A_YEAR_S = 31_536_000;

/** A page as the build tells it: its address with the names of what varies, its code, and what it asks first. */
type Page = { path: string; /** Does it stand under the rail? */ rail: boolean; scripts: string[]; asks: string[] };

const segments = (path: string): string[] => path.split('/').filter((part) => part !== '');

/** The values of what varies in a page's address, or nothing where the address is none of that page's. */
function valuesIn(pattern: string, path: string): Map<string, string> | null {
  const wanted = segments(pattern);
  const given = segments(path);
  if (wanted.length !== given.length) return null;
  const values = new Map<string, string>();
  for (const [i, part] of wanted.entries()) {
    if (part.startsWith(':')) values.set(part, given[i]!);
    else if (part !== given[i]) return null;
  }
  return values;
}

/** Only what an id or a day is made of is written into a page. */
const isPlain = (value: string): boolean => /^[\w-]+$/.test(value);

/** How much of an address is the same for all: `/gear/new` is nearer to itself than to `/gear/:id`. */
const fixedParts = ({ path }: Page): number => segments(path).filter((part) => !part.startsWith(':')).length;

/**
 * The one document of all pages, with links to the code and the answers that the page of this address will ask for: so
 * the browser fetches them beside the framework and not after it.
 *
 * @param mayAsk whether the answers are for whoever opens it: a refusal that is fetched early is kept for when they are.
 */
export function documentOf(html: string, pages: readonly Page[], path: string, mayAsk = true): string {
  const found = pages
    .map((page) => ({ page, values: valuesIn(page.path, path) }))
    .filter(({ values }) => values && [...values.values()].every(isPlain))
    .sort((a, b) => fixedParts(b.page) - fixedParts(a.page))[0];
  if (!found) return html;
  const filled = (ask: string) => ask.replaceAll(/:\w+/g, (name) => found.values!.get(name)!);
  const links = [
    ...(mayAsk ? found.page.asks : []).map((ask) => `<link rel="preload" as="fetch" crossorigin href="${filled(ask)}">`),
    ...found.page.scripts.map((script) => `<link rel="modulepreload" crossorigin href="${script}">`),
  ];
  const document = html.replace('</head>', `${links.join('')}</head>`);
  return found.page.rail ? document : document.replace(/<header.*<\/header>/s, '');
}

/** Files named by their content: packed when they were built, kept for ever, and sent with no more words than they need. */
export function serveAssets(app: NestExpressApplication, webDir: string): void {
  const setHeaders = (response: { setHeader: (name: string, value: string) => unknown }) =>
    void response.setHeader('X-Content-Type-Options', 'nosniff');
  app.use('/assets', sirv(join(webDir, 'assets'), { immutable: true, maxAge: A_YEAR_S, brotli: true, gzip: true, setHeaders }));
  app.use(
    '/assets',
    (_: express.Request, response: express.Response) => void response.status(404).type('text').send('There is no such file.'),
  );
}

/**
 * The pages themselves, never from a cache: every address that is no file is one of them.
 *
 * @param isIn whether whoever opens one is let in.
 */
export function servePages(app: NestExpressApplication, webDir: string, isIn: (request: express.Request) => boolean): void {
  const files = express.static(webDir, { index: false, setHeaders: (response) => response.setHeader('Cache-Control', 'no-cache') });
  const html = readFileSync(join(webDir, 'index.html'), 'utf8');
  const told = join(webDir, 'pages.json');
  const pages = existsSync(told) ? (JSON.parse(readFileSync(told, 'utf8')) as Page[]) : [];
  app.use((request: express.Request, response: express.Response, next: express.NextFunction) => {
    // The interface asks for no file, and so the disk is not asked for it either.
    if (!['GET', 'HEAD'].includes(request.method) || request.path.startsWith('/api')) return next();
    files(request, response, (error: unknown) => {
      if (error) return next(error);
      response.setHeader('Cache-Control', 'no-cache');
      response.type('html').send(documentOf(html, pages, request.path, isIn(request)));
    });
  });
}
