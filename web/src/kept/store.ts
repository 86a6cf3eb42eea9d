import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { WAITING_VERSION, type Waiting } from './waiting';

/** The last answer to an address, and when it came, ms; the address after the shape of answers it was kept in. */
export type Answer = { address: string; body: unknown; atMs: number };

interface Schema extends DBSchema {
  answers: { key: string; value: Answer };
  waiting: { key: string; value: Waiting; indexes: { seq: number } };
}

/** The database of this browser. */
export const STORE = 'bright-keeper kept';
const VERSION = 1;

/**
 * Goes up whenever the pages come to ask more of an answer than one of before has: what an earlier program kept is a copy,
 * and not looked at any more.
 */
const ANSWERS_SHAPE = 3;
const keyOf = (address: string): string => `${ANSWERS_SHAPE} ${address}`;

/** What this browser keeps, in its own database: answers of the household, and what waits to be carried over to it. */
export class Store {
  private constructor(private readonly db: IDBPDatabase<Schema>) {}

  static async open(): Promise<Store> {
    const db = await openDB<Schema>(STORE, VERSION, {
      upgrade(fresh) {
        fresh.createObjectStore('answers', { keyPath: 'address' });
        fresh.createObjectStore('waiting', { keyPath: 'id' }).createIndex('seq', 'seq');
      },
    });
    return new Store(db);
  }

  answer(address: string): Promise<Answer | undefined> {
    return this.db.get('answers', keyOf(address));
  }

  /** Without reading it: every call asks. */
  async hasAnswer(address: string): Promise<boolean> {
    return (await this.db.getKey('answers', keyOf(address))) !== undefined;
  }

  async putAnswer(answer: Answer): Promise<void> {
    await this.db.put('answers', { ...answer, address: keyOf(answer.address) });
  }

  /** @param ms moment before which they came. */
  async dropAnswersBefore(ms: number): Promise<void> {
    const transaction = this.db.transaction('answers', 'readwrite');
    for (let at = await transaction.store.openCursor(); at; at = await at.continue()) if (at.value.atMs < ms) await at.delete();
    await transaction.done;
  }

  async forgetAnswers(): Promise<void> {
    await this.db.clear('answers');
  }

  /** What waits, in the order it was kept. What a later program wrote is left to that. */
  async waiting(): Promise<Waiting[]> {
    const all = await this.db.getAllFromIndex('waiting', 'seq');
    return all.filter(({ v }) => v <= WAITING_VERSION);
  }

  /** On disk before it returns: a phone may go out in the next moment. */
  async putWaiting(waiting: Waiting): Promise<void> {
    const transaction = this.db.transaction('waiting', 'readwrite', { durability: 'strict' });
    await Promise.all([transaction.store.put(waiting), transaction.done]);
  }

  async dropWaiting(id: string): Promise<void> {
    await this.db.delete('waiting', id);
  }

  close(): void {
    this.db.close();
  }
}
