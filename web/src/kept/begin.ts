import type { QueryClient } from '@tanstack/react-query';
import { reach } from '../api/reach';
import { outside } from '../outside';
import { Kept } from './Kept';
import { installServiceWorker } from './serviceWorker';

/** A database of the browser that does not open in so long does not open. */
const OPENS_WITHIN_MS = 4000;

/** Opens what this browser keeps. One that lets nothing be written, as in a private window, keeps nothing and goes on without. */
export async function begin(queries: QueryClient): Promise<Kept | null> {
  if (!navigator.onLine) reach.silent();
  const kept = await Promise.race([Kept.open(queries).catch(() => null), outside.wait(OPENS_WITHIN_MS).then(() => null)]);
  kept?.start();
  void installServiceWorker();
  return kept;
}
