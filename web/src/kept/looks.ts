import { routes, type ItemPage, type LookDoc, type LookPhoto, type LookPhotoQuery, type SaveLook } from '@bright-keeper/contract';
import { inspection, schedule } from '@bright-keeper/core';
import { v4 as newId } from 'uuid';
import { outside } from '../outside';
import type { Answers } from './answers';
import { picturesOf } from './overlay';
import { PICTURES } from './pictures';
import { refused } from './refused';
import type { WaitingRoom } from './room';
import { freshly, type WaitingLook } from './waiting';

/** Looks that are begun, gone on with and finished here. */
export class KeptLooks {
  constructor(
    private readonly answers: Answers,
    private readonly room: WaitingRoom,
  ) {}

  /** Begins a look at a thing, or goes on with the one that is open as far as is known here. */
  async begin(itemId: string): Promise<LookDoc> {
    const item = await this.answers.itemPage(itemId);
    if (item.openLookId) return this.of(item.openLookId);
    const now = outside.now();
    const look: LookDoc = {
      id: newId(),
      itemId,
      itemName: item.name,
      version: 1,
      startedAt: now.toISOString(),
      finishedAt: null,
      at: null,
      answers: schedule.expectedOf(item.noted),
    };
    await this.room.keep({ ...freshly({ id: look.id, itemId, name: item.name }, now), kind: 'look', look, base: null, endedMs: null });
    return look;
  }

  async save(id: string, draft: Omit<SaveLook, 'version'>): Promise<LookDoc> {
    const waiting = await this.waiting(id);
    const look = { ...waiting.look, ...draft };
    await this.room.keep({ ...waiting, look, trouble: null });
    return look;
  }

  /** @param at when it was, where that is told for an earlier moment. */
  async finish(id: string, at: string | null = null): Promise<ItemPage> {
    const waiting = await this.waiting(id);
    const item = await this.answers.itemPage(waiting.look.itemId);
    if (inspection.knownFromLook(item, waiting.look.answers).length === 0)
      throw refused('nothing-looked-at', 'No surface has been looked at yet', 'Look at one surface at least, or drop this look.');
    const ended = at === null ? outside.now() : new Date(at);
    await this.room.keep({
      ...waiting,
      look: { ...waiting.look, finishedAt: ended.toISOString() },
      endedMs: ended.getTime(),
      trouble: null,
    });
    return this.answers.itemPage(item.id);
  }

  /** Drops a look that began here; one that the household knows is dropped there. */
  async drop(id: string): Promise<void> {
    const waiting = this.room.ofKind('look', id);
    if (!waiting || waiting.base !== null)
      throw refused('offline', 'The household is out of reach', 'This look began there: drop it when it answers again.');
    for (const other of this.room.list()) if (other.kind === 'photo' && other.lookId === id) await this.dropPhoto(other.id);
    await this.room.drop(id);
  }

  /** Keeps a photograph where the pages look for it. */
  async photograph(lookId: string, { file, ...query }: LookPhotoQuery & { id: string; file: Blob }): Promise<LookPhoto> {
    const { look } = await this.waiting(lookId);
    const now = outside.now();
    const { id } = query;
    await this.room.keep({ ...freshly({ id, itemId: look.itemId, name: look.itemName }, now), ...query, kind: 'photo', lookId, file });
    const cache = await caches.open(PICTURES);
    for (const picture of picturesOf(id)) await cache.put(picture, new Response(file, { headers: { 'content-type': file.type } }));
    return { id, surface: query.surface, blob: id, keepsAll: query.keepAll, at: now.toISOString() };
  }

  async dropPhoto(id: string): Promise<void> {
    await this.room.drop(id);
    const cache = await caches.open(PICTURES);
    for (const picture of picturesOf(id)) await cache.delete(picture);
  }

  private async of(id: string): Promise<LookDoc> {
    return (await this.waiting(id)).look;
  }

  /** The look as it waits here; one that the household knows begins to wait with what it last had of it. */
  private async waiting(id: string): Promise<WaitingLook> {
    const here = this.room.ofKind('look', id);
    if (here) return here;
    const look = await this.answers.last<LookDoc>(routes.look(id));
    if (!look) throw refused('look-not-found', 'This look is not kept here', 'Go on with it when the household answers again.');
    const { itemId, itemName: name } = look;
    return { ...freshly({ id, itemId, name }, outside.now()), kind: 'look', look, base: look.answers, endedMs: null };
  }
}
