import { PICTURES } from './pictures';

/** The program's files come from this browser when there is no network. */
export async function installServiceWorker(): Promise<void> {
  await navigator.serviceWorker.register('/sw.js').catch(() => undefined);
  // Asked once; a browser that does not grant it may drop what is kept when room gets short.
  await navigator.storage?.persist?.().catch(() => false);
}

/** Nothing of it stays behind. */
export async function removeServiceWorker(): Promise<void> {
  for (const registration of await navigator.serviceWorker.getRegistrations()) await registration.unregister();
  for (const name of await caches.keys()) await caches.delete(name);
}

/** Copies of what the household has. */
export const forgetPictures = async (): Promise<void> => {
  if ('caches' in globalThis) await caches.delete(PICTURES);
};
