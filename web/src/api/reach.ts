import { outside } from '../outside';

/** Whether the household answers, as the last that was asked of it tells; and whoever wants to know when that changes. */
class Reach {
  /** Since when nothing was answered, by this device's clock; null while it answers. */
  private awaySince: number | null = null;
  private readonly listeners = new Set<() => void>();

  readonly get = (): number | null => this.awaySince;

  get isAway(): boolean {
    return this.awaySince !== null;
  }

  /** Called at each change, and only then. */
  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  answered(): void {
    if (this.awaySince !== null) this.become(null);
  }

  silent(): void {
    if (this.awaySince === null) this.become(outside.now().getTime());
  }

  private become(awaySince: number | null): void {
    this.awaySince = awaySince;
    for (const listener of this.listeners) listener();
  }
}

export const reach = new Reach();
