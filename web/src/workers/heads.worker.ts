import { expose } from 'comlink';
import { readHeads } from './heads/read';

/** Reads the heads of pictures off the page's own thread: nothing but what is counted comes back. */
const api = { readHeads };
export type HeadsWorker = typeof api;
expose(api);
