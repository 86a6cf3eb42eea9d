import { describe, expect, it } from 'vitest';
import { documentOf } from './webPages.js';

const HTML = '<html><head><title>Bright Keeper</title></head><body><header>the rail</header></body></html>';
const PAGES = [
  { path: '/', rail: true, scripts: ['/assets/Today.js'], asks: ['/api/today'] },
  { path: '/gear/:id', rail: true, scripts: ['/assets/Item.js'], asks: ['/api/gear/:id', '/api/gear/:id/log?limit=20'] },
  { path: '/gear/new', rail: true, scripts: ['/assets/Add.js'], asks: [] },
  { path: '/bench/:id', rail: false, scripts: ['/assets/Bench.js'], asks: ['/api/care/cleanings/:id'] },
];
const linksOf = (path: string): string[] =>
  [...documentOf(HTML, PAGES, path).matchAll(/rel="(\w+)"[^>]* href="([^"]+)"/g)].map(([, rel, href]) => `${rel} ${href}`);

describe('the document of an address', () => {
  it('names the code and the first questions of its page', () => {
    expect(linksOf('/')).toEqual(['preload /api/today', 'modulepreload /assets/Today.js']);
  });

  it('fills in what varies, as often as it is asked for', () => {
    expect(linksOf('/gear/01a2-b')).toEqual([
      'preload /api/gear/01a2-b',
      'preload /api/gear/01a2-b/log?limit=20',
      'modulepreload /assets/Item.js',
    ]);
  });

  it('is that of the page with the very address before one that could be anything', () => {
    expect(linksOf('/gear/new')).toEqual(['modulepreload /assets/Add.js']);
  });

  it('draws the rail only for pages that stand under it', () => {
    expect(documentOf(HTML, PAGES, '/gear/new')).toContain('the rail');
    expect(documentOf(HTML, PAGES, '/bench/7')).not.toContain('the rail');
    expect(linksOf('/bench/7')).toContain('preload /api/care/cleanings/7');
  });

  it('has nothing asked early that would be refused: the refusal would be kept for later', () => {
    const document = documentOf(HTML, PAGES, '/bench/7', false);
    expect(document).not.toContain('rel="preload"');
    expect(document).toContain('rel="modulepreload"');
  });

  it.each(['/gear/"><script>', '/gear/%22%3E', '/gear/a b', '/nowhere', '/gear/7/more'])('is the plain one for %s', (path) => {
    expect(documentOf(HTML, PAGES, path)).toBe(HTML);
  });
});
