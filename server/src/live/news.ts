import { LIVE_TOPICS, type LiveTopic } from '@bright-keeper/contract';
import type { Written } from '../db/index.js';
import { TOPIC_OF } from './topics.js';

/** Where somebody stands in the news: of which run of the program, and up to which piece. */
const PLACE = /^([\w-]{1,64})\.(\d{1,15})$/;

/**
 * What has moved, counted since the program began: whoever was away is told what moved meanwhile, not what it was, and
 * whoever comes from another run of the program that all may have.
 */
export class News {
  private count = 0;
  private readonly movedAt = new Map<LiveTopic, number>();

  /** @param run tells this run of the program from every other. */
  constructor(private readonly run: string) {}

  /** @returns whether there is anything new for a page. */
  note(written: Written): boolean {
    const moved = this.movedBy(written);
    if (moved.length === 0) return false;
    this.count += 1;
    for (const topic of moved) this.movedAt.set(topic, this.count);
    return true;
  }

  private movedBy(written: Written): readonly LiveTopic[] {
    if (written === 'nothing') return [];
    const topic = written === 'unknown' ? undefined : TOPIC_OF[written.table];
    // What nobody has named may be anything.
    return topic === undefined ? LIVE_TOPICS : topic === null ? [] : [topic];
  }

  /** The place of whoever has heard everything. */
  get place(): string {
    return `${this.run}.${this.count}`;
  }

  /** What moved after a place; all that can where it is not one of this run. */
  since(place: string): LiveTopic[] {
    const [, run, count] = PLACE.exec(place) ?? [];
    if (run !== this.run || Number(count) > this.count) return [...LIVE_TOPICS];
    return LIVE_TOPICS.filter((topic) => (this.movedAt.get(topic) ?? 0) > Number(count));
  }
}
