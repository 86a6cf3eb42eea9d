import pg from 'pg';
import type { Backing } from '../database.js';
import type { Engine } from './engine.js';
import type { Exchange, KeptEngine } from '../../wake/index.js';
import { OneLine } from './oneLine.js';
import { Wire } from './wire.js';

/**
 * Syncs the log up to here, as a message in it that says nothing. Everything that was committed before lies before it.
 */
const FLUSH = "select pg_logical_emit_message(false, '', '', true)";
/** Makes the commit that comes next do the same by itself. */
const SYNC_COMMIT = 'set local synchronous_commit to on';

/** One line, since the engine has one. */
const lineTo = (ready: () => Promise<Exchange>, Client: typeof pg.Client): OneLine => {
  // The driver's types do not name what it takes of the client's own settings: where its bytes go.
  const settings: pg.PoolConfig & Pick<pg.ClientConfig, 'stream'> = {
    idleTimeoutMillis: 0,
    Client,
    user: 'postgres',
    database: 'postgres',
    password: '',
    ssl: false,
    stream: () => new Wire(ready),
  };
  return new OneLine(settings);
};

/** Most programs have it in a thread of its own and never load it here. */
export const engineHere = async (directory: string | null): Promise<Engine> => (await import('./engine.js')).openEngine(directory);

/** An engine in this thread. @param onFiles has it files to sync? */
export const overEngine = (engine: Engine, onFiles: boolean): Backing => ({
  kind: 'embedded',
  connect: (watched) => lineTo(() => Promise.resolve(engine.exchange), watched(pg.Client)),
  flush: onFiles ? (pool) => pool.query(FLUSH) : null,
  syncCommit: onFiles ? SYNC_COMMIT : null,
  lives: () => 1,
  isOurs: () => true,
  isThere: () => Promise.resolve(true),
  close: async (pool) => {
    await pool.end();
    await engine.close();
  },
  others: null,
});

/** The embedded database in a thread of its own, which is started anew when it ends or hangs. */
export function inItsThread(waking: KeptEngine, onStopped: (why: string) => void): Backing {
  const { keeper } = waking;
  let lives = 1;
  waking.onStopped = (why) => {
    lives += 1;
    onStopped(why);
  };
  return {
    kind: 'embedded',
    connect: (watched) => lineTo(() => keeper.ready(), watched(pg.Client)),
    flush: (pool) => pool.query(FLUSH),
    syncCommit: SYNC_COMMIT,
    lives: () => lives,
    isOurs: () => true,
    // Asking starts one where none is running.
    isThere: () =>
      keeper.ready().then(
        () => true,
        () => false,
      ),
    close: async (pool) => {
      await pool.end();
      await keeper.close();
    },
    others: null,
  };
}
