import type { Problem } from '@bright-keeper/contract';
import { ApiError } from '../api/http';
import { outside } from '../outside';
import { forgetPictures } from './serviceWorker';
import type { Store } from './store';
import type { Waiting } from './waiting';

const NO_ROOM: Problem = {
  type: 'about:blank',
  title: 'This device has no room left',
  status: 507,
  code: 'no-room',
  detail: 'It was not kept. Make room on the device, then tap again; or go back to where the household is in reach.',
};

const TELL_WITHIN_MS = 200;
const CHANNEL = 'bright-keeper kept';

/** What waits to be carried over, in order; on disk with every change, and the same in every tab. */
export class WaitingRoom {
  private all: readonly Waiting[] = [];
  private telling: ReturnType<typeof setTimeout> | null = null;
  private readonly listeners = new Set<() => void>();
  private readonly channel = outside.channel(CHANNEL);

  private constructor(private readonly store: Store) {
    this.channel.hear(() => void this.read());
  }

  static async open(store: Store): Promise<WaitingRoom> {
    const room = new WaitingRoom(store);
    await room.read();
    return room;
  }

  readonly list = (): readonly Waiting[] => this.all;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  of(id: string): Waiting | undefined {
    return this.all.find((w) => w.id === id);
  }

  ofKind<K extends Waiting['kind']>(kind: K, id: string): Extract<Waiting, { kind: K }> | undefined {
    const found = this.of(id);
    return found?.kind === kind ? (found as Extract<Waiting, { kind: K }>) : undefined;
  }

  /** Keeps it, in the place of what had its id. */
  async keep<W extends Waiting>(waiting: W): Promise<W> {
    const before = this.of(waiting.id);
    const seq = before?.seq ?? (this.all.at(-1)?.seq ?? 0) + 1;
    const kept = { ...waiting, rev: (before?.rev ?? 0) + 1, seq };
    await this.written(kept);
    this.show([...this.all.filter(({ id }) => id !== kept.id), kept].sort((a, b) => a.seq - b.seq));
    return kept;
  }

  /** Where there is no room, pictures go first: they are only copies. */
  private async written(waiting: Waiting): Promise<void> {
    try {
      await this.store.putWaiting(waiting);
    } catch {
      await forgetPictures();
      await this.store.putWaiting(waiting).catch(() => {
        throw new ApiError(NO_ROOM);
      });
    }
  }

  async drop(id: string): Promise<void> {
    await this.store.dropWaiting(id);
    this.all = this.all.filter((w) => w.id !== id);
    // Of two hundred that go one after the other nobody need see each.
    this.telling ??= setTimeout(() => this.show(this.all), TELL_WITHIN_MS);
  }

  private async read(): Promise<void> {
    this.all = await this.store.waiting();
    for (const listener of this.listeners) listener();
  }

  private show(all: readonly Waiting[]): void {
    if (this.telling) clearTimeout(this.telling);
    this.telling = null;
    this.all = all;
    for (const listener of this.listeners) listener();
    this.channel.tell('changed');
  }
}
