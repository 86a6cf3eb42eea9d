import { ExpirationPlugin } from 'workbox-expiration';
import { cleanupOutdatedCaches, matchPrecache, precacheAndRoute, type PrecacheEntry } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { CacheFirst } from 'workbox-strategies';
import { PICTURES } from './kept/pictures';

/** What the build fills in: every file of the program, by its content. */
declare const self: { __WB_MANIFEST: PrecacheEntry[] };

/** A line that says nothing for so long is no line: then the program comes from what is kept. */
const SILENT_MS = 3000;
const FIRST_SERVER_FAULT = 500;
const MOST_PICTURES = 600;

precacheAndRoute(self.__WB_MANIFEST, { directoryIndex: '', cleanURLs: false });
cleanupOutdatedCaches();

/**
 * The household's own answer where it comes; else the same page as it was built, which shows what is kept. A proxy in front
 * of a household that is away answers for it with a fault: that is silence, too.
 */
async function page(request: Request): Promise<Response> {
  const shell = () => matchPrecache('/index.html');
  try {
    const answer = await fetch(request, { signal: AbortSignal.timeout(SILENT_MS) });
    return answer.status < FIRST_SERVER_FAULT ? answer : ((await shell()) ?? answer);
  } catch (error) {
    const kept = await shell();
    if (kept) return kept;
    throw error;
  }
}
registerRoute(new NavigationRoute(({ request }) => page(request), { denylist: [/^\/api\//] }));

// A picture is called by its content, or by the id it was taken under here: it never changes.
registerRoute(
  ({ url }) => url.pathname.startsWith('/api/blobs/'),
  new CacheFirst({ cacheName: PICTURES, plugins: [new ExpirationPlugin({ maxEntries: MOST_PICTURES, purgeOnQuotaError: true })] }),
);
