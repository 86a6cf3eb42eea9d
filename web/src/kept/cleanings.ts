import { routes, type Cleaning, type ItemPage, type StartCleaning } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { v4 as newId } from 'uuid';
import { outside } from '../outside';
import type { Answers } from './answers';
import { refused } from './refused';
import type { WaitingRoom } from './room';
import { freshly, type WaitingCleaning } from './waiting';

/** Cleanings that are begun, gone on with and ended here. */
export class KeptCleanings {
  constructor(
    private readonly answers: Answers,
    private readonly room: WaitingRoom,
  ) {}

  /** Begins one by the plan that stands on the page. */
  async begin({ itemId, schools = {} }: StartCleaning, request: care.PlanRequest): Promise<Cleaning> {
    const item = await this.answers.itemPage(itemId);
    const now = outside.now();
    const cleaning: Cleaning = {
      id: newId(),
      itemId,
      itemName: item.name,
      version: 1,
      request,
      plan: care.planCleaning(request),
      events: [],
      startedAt: now.toISOString(),
      finishedAt: null,
      staleBecause: [],
    };
    const common = freshly({ id: cleaning.id, itemId, name: item.name }, now);
    await this.room.keep({ ...common, kind: 'cleaning', cleaning, schools, base: null, endedMs: null });
    return cleaning;
  }

  async save(id: string, events: care.BenchEvent[]): Promise<Cleaning> {
    const waiting = await this.waiting(id);
    const cleaning = { ...waiting.cleaning, events };
    await this.room.keep({ ...waiting, cleaning, trouble: null });
    return cleaning;
  }

  /** @param at when it was, where that is told for an earlier moment. */
  async finish(id: string, at: string | null = null): Promise<ItemPage> {
    const waiting = await this.waiting(id);
    const ended = at === null ? outside.now() : new Date(at);
    const cleaning = { ...waiting.cleaning, finishedAt: ended.toISOString() };
    await this.room.keep({ ...waiting, cleaning, endedMs: ended.getTime(), trouble: null });
    return this.answers.itemPage(cleaning.itemId);
  }

  /** Leaves one that began here, in which nothing was touched. */
  async drop(id: string): Promise<void> {
    const waiting = this.room.ofKind('cleaning', id);
    if (!waiting || waiting.base !== null)
      throw refused('offline', 'The household is out of reach', 'This cleaning began there: leave it when it answers again.');
    await this.room.drop(id);
  }

  /** The cleaning as it waits here; one that the household knows begins to wait with what it last had of it. */
  private async waiting(id: string): Promise<WaitingCleaning> {
    const here = this.room.ofKind('cleaning', id);
    if (here) return here;
    const cleaning = await this.answers.last<Cleaning>(routes.cleaning(id));
    if (!cleaning) throw refused('cleaning-not-found', 'This cleaning is not kept here', 'Go on with it when the household answers again.');
    const { itemId, itemName: name } = cleaning;
    const common = freshly({ id, itemId, name }, outside.now());
    return { ...common, kind: 'cleaning', cleaning, schools: {}, base: cleaning.events, endedMs: null };
  }
}
