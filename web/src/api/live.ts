import { routes, type LiveNews, type LiveTopic } from '@bright-keeper/contract';
import type { QueryClient } from '@tanstack/react-query';
import { outside } from '../outside';
import { http } from './http';
import { letIn } from './letIn';
import { isStaleBy } from './stale';

/** What a page itself just changed, and asked for again by itself, is not asked for twice: news waits so long. */
const REST_MS = 400;
/** Readings come all day: what hangs on them alone is asked for so often at most. */
const AIR_REST_MS = 10_000;
/** A line that was refused is tried again after so long; one that broke, by the browser itself. */
const AGAIN_MS = 30_000;

const CHANNEL = 'bright-keeper live';
type Heard = { id: string; moved: LiveTopic[] };

/**
 * Hears what others change, and lets pages ask anew for what that makes stale and for nothing else. One tab of a browser
 * holds the line and tells the others; when it is closed another one takes over and goes on where it was.
 */
export class Live {
  private place: string | null = null;
  private readonly channel = outside.channel(CHANNEL);
  private readonly waiting = new Map<LiveTopic, number>();
  private readonly underWay = new Set<string>();
  private timer: ReturnType<typeof setTimeout> | null = null;
  private dueAt = Infinity;
  private airAt = -Infinity;

  constructor(private readonly queries: Pick<QueryClient, 'invalidateQueries' | 'getQueryCache'>) {}

  /** Never to be stopped: it lives as long as its page. */
  start(): void {
    this.channel.hear((heard) => this.hear(heard as Heard));
    outside.onReturn(() => this.news(['settings']));
    outside.asTheOnlyTab(CHANNEL, () => this.open());
  }

  private open(): void {
    const address = this.place === null ? routes.live : `${routes.live}?since=${encodeURIComponent(this.place)}`;
    outside.listen(address, {
      heard: (id, text) => {
        const heard = { id, moved: (JSON.parse(text) as LiveNews).moved };
        this.channel.tell(heard);
        this.hear(heard);
      },
      refused: () => {
        void Promise.race([outside.wait(AGAIN_MS), letIn.next()]).then(() => this.open());
        // A line does not say why it was refused; whoever is not let in any more is told at once.
        http.get(routes.settings).catch(() => undefined);
      },
    });
  }

  private hear({ id, moved }: Heard): void {
    this.place = id;
    this.news(moved);
  }

  private news(moved: readonly LiveTopic[]): void {
    const now = outside.now().getTime();
    for (const topic of moved) this.waiting.set(topic, now);
    // What is on its way may have been answered before the change.
    for (const { queryHash, queryKey, state } of this.queries.getQueryCache().getAll())
      if (state.fetchStatus === 'fetching' && isStaleBy(moved, queryKey)) this.underWay.add(queryHash);
    const dueAt = now + this.restMs(now);
    if (this.waiting.size === 0 || dueAt >= this.dueAt) return;
    if (this.timer) clearTimeout(this.timer);
    this.dueAt = dueAt;
    this.timer = setTimeout(() => this.askAnew(), dueAt - now);
  }

  private restMs(now: number): number {
    const onlyAir = [...this.waiting.keys()].every((topic) => topic === 'air');
    return onlyAir ? Math.max(REST_MS, this.airAt + AIR_REST_MS - now) : REST_MS;
  }

  private askAnew(): void {
    this.timer = null;
    this.dueAt = Infinity;
    const since = [...this.waiting];
    this.waiting.clear();
    const underWay = new Set(this.underWay);
    this.underWay.clear();
    if (since.some(([topic]) => topic === 'air')) this.airAt = outside.now().getTime();
    void this.queries.invalidateQueries({
      // What was answered after the news came knows of it.
      predicate: ({ queryHash, queryKey, state }) =>
        underWay.has(queryHash) || since.some(([topic, heardAt]) => state.dataUpdatedAt <= heardAt && isStaleBy([topic], queryKey)),
    });
  }
}
