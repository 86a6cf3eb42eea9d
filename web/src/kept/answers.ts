import {
  routes,
  type Cleaning,
  type ItemPage,
  type LookDoc,
  type LookPhotos,
  type Settings,
  type Shelf,
  uuidText,
} from '@bright-keeper/contract';
import type { care } from '@bright-keeper/core';
import { ApiError } from '../api/http';
import { reach } from '../api/reach';
import { outside } from '../outside';
import { firstLog, isKept, shelfPage } from './addresses';
import { isAbout, itemPageWith, photosWith, shelfItemWith } from './overlay';
import type { WaitingRoom } from './room';
import { shelfFrom } from './shelf';
import type { Store } from './store';

/** A household that says nothing for so long, of something that is kept here, is taken to be out of reach. */
const SILENT_MS = 8000;

const away = (detail: string): ApiError =>
  new ApiError({ type: 'about:blank', title: 'The household is out of reach', status: 0, code: 'offline', detail });
const NOT_KEPT = 'This was not opened while it was in reach, so it is not kept here.';

/** The id in a path of this form; null where it is another path. */
const idIn = (path: string, address: (id: string) => string): string | null => {
  const [before, after] = address('\0').split('\0');
  if (!path.startsWith(before!) || !path.endsWith(after!)) return null;
  const id = path.slice(before!.length, path.length - after!.length);
  return uuidText.test(id) ? id : null;
};

/** What the household answered last, for when it does not; with what was done here since. */
export class Answers {
  private writing: Promise<void> = Promise.resolve();

  constructor(
    private readonly store: Store,
    private readonly room: WaitingRoom,
  ) {}

  /**
   * The household's answer, which is kept; while it is out of reach, what is kept.
   *
   * @throws ApiError the household's own refusal; `offline` where nothing is kept under this address.
   */
  async get<T>(path: string, ask: () => Promise<T>): Promise<T> {
    const document = this.waitingAt(path);
    if (document) return document as T;
    if (!reach.isAway) {
      try {
        const fresh = await this.inTime(path, ask);
        void this.remember(path, fresh);
        return (await this.withWaiting(path, fresh)) as T;
      } catch (error) {
        if (!(error instanceof ApiError) || !error.isOffline) throw error;
      }
    }
    const kept = await this.kept(path);
    if (kept === undefined) throw away(NOT_KEPT);
    return kept as T;
  }

  /** Keeps an answer; no page waits for that. A browser that has no room for it goes on without. */
  remember(address: string, body: unknown): Promise<void> {
    if (!isKept(address)) return Promise.resolve();
    const answer = { address, body, atMs: outside.now().getTime() };
    this.writing = this.writing.then(() => this.store.putAnswer(answer)).catch(() => undefined);
    return this.writing;
  }

  /** Drops what was not answered for so long: what it was of is gone, or nobody goes there. */
  async dropOlderThan(ms: number): Promise<void> {
    await this.store.dropAnswersBefore(outside.now().getTime() - ms);
  }

  async forget(): Promise<void> {
    await this.writing;
    await this.store.forgetAnswers();
  }

  /** What is kept of an address, as the household last answered. */
  async last<T>(address: string): Promise<T | undefined> {
    await this.writing;
    return (await this.store.answer(address))?.body as T | undefined;
  }

  /** When the household last answered to it, ms. */
  async at(address: string): Promise<number | null> {
    await this.writing;
    return (await this.store.answer(address))?.atMs ?? null;
  }

  async itemPage(id: string): Promise<ItemPage> {
    const page = (await this.kept(routes.item(id))) as ItemPage | undefined;
    if (!page) throw away(NOT_KEPT);
    return page;
  }

  async schools(): Promise<care.Schools | undefined> {
    return (await this.last<Settings>(routes.settings))?.schools;
  }

  /** The document of this address where it waits here: it is ahead of the household's. */
  private waitingAt(path: string): LookDoc | Cleaning | undefined {
    const [lookId, cleaningId] = [idIn(path, routes.look), idIn(path, routes.cleaning)];
    return (
      (lookId === null ? undefined : this.room.ofKind('look', lookId)?.look) ??
      (cleaningId === null ? undefined : this.room.ofKind('cleaning', cleaningId)?.cleaning)
    );
  }

  /** What is kept of an address, with what was done here since. */
  private async kept(path: string): Promise<unknown> {
    const [address, query] = path.split('?') as [string, string | undefined];
    if (address === routes.gear) return this.shelf(new URLSearchParams(query));
    const [log, pictured] = [idIn(address, routes.itemLog), idIn(address, routes.lookPhotos)];
    const last = (await this.last(path)) ?? (log === null ? undefined : await this.last(firstLog(log)));
    return this.withWaiting(address, last ?? (pictured === null ? undefined : { photos: [] }));
  }

  /** An answer with what was done here and the household does not know yet. */
  private async withWaiting(path: string, answer: unknown): Promise<unknown> {
    const waiting = this.room.list();
    if (waiting.length === 0 || answer === undefined) return answer;
    const [address] = path.split('?') as [string];
    const [itemId, pictured] = [idIn(address, routes.item), idIn(address, routes.lookPhotos)];
    if (pictured !== null) return photosWith(answer as LookPhotos, pictured, waiting);
    if (itemId !== null && waiting.some((w) => isAbout(w, itemId))) return itemPageWith(answer as ItemPage, waiting, await this.schools());
    return answer;
  }

  /** Every thing of the shelf; what was put away from it is not kept. */
  private async shelf(query: URLSearchParams): Promise<Shelf | undefined> {
    if (query.get('archived') === 'true') return undefined;
    const pages: Shelf[] = [];
    for (let cursor: string | null = null; ;) {
      const page: Shelf | undefined = await this.last<Shelf>(shelfPage(cursor));
      if (!page) return undefined;
      pages.push(page);
      cursor = page.nextCursor;
      if (cursor === null) break;
    }
    const schools = await this.schools();
    const ofIt = (id: string) => this.room.list().filter((w) => w.itemId === id);
    const all = pages.flatMap(({ items }) => items).map((item) => shelfItemWith(item, ofIt(item.id), schools));
    return shelfFrom(all, query, outside.now().toISOString().slice(0, 10));
  }

  /** Of what is kept here one does not wait for ever. */
  private async inTime<T>(path: string, ask: () => Promise<T>): Promise<T> {
    if (!(await this.store.hasAnswer(path))) return ask();
    const answer = ask();
    let isAnswered = false;
    const settled = () => void (isAnswered = true);
    answer.then(settled, settled);
    const silence = outside.wait(SILENT_MS).then(() => {
      if (isAnswered) return answer;
      reach.silent();
      throw away(NOT_KEPT);
    });
    silence.catch(() => undefined);
    return Promise.race([answer, silence]);
  }
}
