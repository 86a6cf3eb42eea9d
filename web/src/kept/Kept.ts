import { routes, type Cleaning, type LookDoc } from '@bright-keeper/contract';
import type { QueryClient } from '@tanstack/react-query';
import { keys } from '../api/keys';
import { letIn } from '../api/letIn';
import { FIRST_SERVER_FAULT } from '../api/http';
import { reach } from '../api/reach';
import { outside } from '../outside';
import { Answers } from './answers';
import { bringAlong, BROUGHT, type Brought } from './bring';
import { carryOver, type Carried } from './carry';
import { KeptCleanings } from './cleanings';
import { KeptLooks } from './looks';
import { KeptNotes } from './notes';
import { WaitingRoom } from './room';
import { forgetPictures } from './serviceWorker';
import { Store } from './store';

/** While the household is out of reach it is asked so often whether it is back. */
const PROBE_MS = 5000;
/** What a household that is there could not take is tried again after so long. */
const AGAIN_MS = 30_000;
const SOON_MS = 500;
/** What is needed outdoors is brought along so long after the page stands, and again when so much time has passed. */
const BRING_AFTER_MS = 2000;
const BRING_EVERY_MS = 10 * 60_000;
/** A line that comes and goes is no reason to ask for everything each time. */
const BRING_AGAIN_MS = 30_000;
const ONE_TAB = 'bright-keeper carries';

/** What this browser keeps for when the household is out of reach: its last answers, and what waits to be carried over. */
export class Kept {
  readonly looks: KeptLooks;
  readonly cleanings: KeptCleanings;
  readonly notes: KeptNotes;
  private carrying: Promise<void> | null = null;
  private again = false;
  private isClosed = false;
  /** Under which other id something went on that began here. */
  private readonly wentOn = new Map<string, string>();
  private readonly listeners = new Set<() => void>();

  private constructor(
    readonly answers: Answers,
    readonly room: WaitingRoom,
    private readonly store: Store,
    private readonly queries: QueryClient,
  ) {
    this.looks = new KeptLooks(answers, room);
    this.cleanings = new KeptCleanings(answers, room);
    this.notes = new KeptNotes(answers, room);
  }

  static async open(queries: QueryClient): Promise<Kept> {
    const store = await Store.open();
    const room = await WaitingRoom.open(store);
    return new Kept(new Answers(store, room), room, store, queries);
  }

  /** Whether a document of this id waits to be carried over. */
  readonly waits = (id: string): boolean => this.room.of(id) !== undefined;

  /** Goes on for as long as the page lives. */
  start(): void {
    reach.subscribe(() => void (reach.isAway ? this.probe() : this.isBack()));
    letIn.subscribe(() => void this.letInOrOut());
    outside.onNetwork((isThere) => (isThere ? void this.isThere() : reach.silent()));
    // What is kept while the household answers is carried over at once.
    this.room.subscribe(() => void this.carry());
    if (reach.isAway) void this.probe();
    void this.carry();
    outside.asTheOnlyTab(ONE_TAB, () => void this.keepBringing());
  }

  /** Carries over what waits; asked for while that is under way, once more afterwards. */
  carry(): Promise<void> {
    if (this.carrying) {
      this.again = true;
      return this.carrying;
    }
    this.carrying = this.carryAll().finally(() => (this.carrying = null));
    return this.carrying;
  }

  /** The same at once, whether or not the household has answered of late. */
  async tryNow(): Promise<void> {
    await this.isThere();
    await this.carry();
  }

  /** Asks whether the household is there, and has everybody know. */
  async isThere(): Promise<boolean> {
    const answer = await outside.fetch(routes.health, { signal: AbortSignal.timeout(PROBE_MS) }).catch(() => null);
    // Whatever it answers, it answers; a proxy's fault in front of a household that is away is none.
    const isThere = answer !== null && answer.status < FIRST_SERVER_FAULT;
    if (isThere) reach.answered();
    else reach.silent();
    return isThere;
  }

  /** How many things are kept with their pages, and as of when; null before any was brought. */
  async brought(): Promise<{ things: number; atMs: number } | null> {
    const [last, atMs] = [await this.answers.last<Brought>(BROUGHT), await this.answers.at(BROUGHT)];
    return last === undefined || atMs === null ? null : { things: Object.keys(last.rows).length, atMs };
  }

  /** Nothing is kept here any more. */
  close(): void {
    this.isClosed = true;
    this.store.close();
  }

  /** Where what began here under this id goes on. */
  readonly goesOnAs = (id: string): string | null => this.wentOn.get(id) ?? null;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  private async carryAll(): Promise<void> {
    const carries = () => !this.isClosed && !reach.isAway && this.room.list().some((w) => w.trouble === null);
    while (carries()) {
      this.again = false;
      const before = this.room.list();
      await outside.oneAtATime(ONE_TAB, () => carryOver(this.room, (told) => this.arrived(told)));
      const hasMoved = this.room.list().some((w, i) => w !== before[i]) || this.room.list().length !== before.length;
      if (hasMoved) void this.queries.invalidateQueries();
      else if (!this.again) break;
    }
    // It answers, and could not take it just now.
    if (carries()) void outside.wait(AGAIN_MS).then(() => this.carry());
  }

  /** What the household has of it now stands on the page at once. */
  private async arrived({ waiting, now }: Carried): Promise<void> {
    if (waiting.kind !== 'look' && waiting.kind !== 'cleaning') return;
    const doc = now as LookDoc | Cleaning;
    const [key, address] =
      waiting.kind === 'look' ? [keys.look(doc.id), routes.look(doc.id)] : [keys.cleaning(doc.id), routes.cleaning(doc.id)];
    this.queries.setQueryData(key, doc);
    await this.answers.remember(address, doc);
    if (doc.id === waiting.id) return;
    this.wentOn.set(waiting.id, doc.id);
    for (const listener of this.listeners) listener();
  }

  /** What the page shows was kept: it is asked for anew, as it is now and to whom it may be told. */
  private isBack(): Promise<void> {
    void this.queries.invalidateQueries();
    return this.carry();
  }

  /** Asks until there is an answer. */
  private async probe(): Promise<void> {
    // One call that broke off is no silence yet: it is asked soon.
    for (let waitMs = SOON_MS; reach.isAway && !this.isClosed; waitMs = PROBE_MS) {
      await outside.wait(waitMs);
      if (!this.isClosed) await this.isThere();
    }
  }

  /** Who is not let in any more keeps nothing of the household; what was done here waits until they are. */
  private async letInOrOut(): Promise<void> {
    if (this.isClosed) return;
    if (letIn.get()) return this.carry();
    await this.answers.forget();
    await forgetPictures();
  }

  /** Brings along now, every so often, and whenever the household is back and has what was done here. */
  private async keepBringing(): Promise<void> {
    await outside.wait(BRING_AFTER_MS);
    while (!this.isClosed) {
      await this.carrying;
      if (!reach.isAway && letIn.get()) await bringAlong(this.answers).catch(() => null);
      await outside.wait(BRING_AGAIN_MS);
      await Promise.race([outside.wait(BRING_EVERY_MS), this.nextReturn()]);
    }
  }

  /** When the household answers again after it was out of reach. */
  private nextReturn(): Promise<void> {
    return new Promise((resolve) => {
      const end = reach.subscribe(() => {
        if (reach.isAway) return;
        end();
        resolve();
      });
    });
  }
}
