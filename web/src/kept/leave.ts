import { deleteDB } from 'idb';
import { keptHere } from '../api/kept';
import { removeServiceWorker } from './serviceWorker';
import { STORE } from './store';

/** Forgets all that is kept in this browser, what waits to be carried over with it. */
export async function leave(): Promise<void> {
  (await keptHere())?.close();
  await deleteDB(STORE);
  await removeServiceWorker();
}
