import { outside } from '../outside';

const CHOSEN = 'keeps-here';
const OWN_MACHINE = ['localhost', '127.0.0.1', '[::1]'];

/** Whether this browser can: a service worker and a database of its own, at an address it trusts. */
export const canKeep = (): boolean => globalThis.isSecureContext && 'serviceWorker' in navigator && 'indexedDB' in globalThis;

/** Whether it stands on the machine the household runs on: that is never out of its own reach. */
const isOwnMachine = (): boolean => OWN_MACHINE.includes(location.hostname);

/** Whether this browser keeps what is needed outdoors: as was chosen here, else wherever it came over the network. */
export function keepsHere(): boolean {
  if (!canKeep()) return false;
  const chosen = outside.recall(CHOSEN);
  return chosen === null ? !isOwnMachine() : chosen === 'yes';
}

export const chooseKeeping = (keeps: boolean): void => outside.remember(CHOSEN, keeps ? 'yes' : 'no');
