/** Whether the server lets this browser in, as it last said; and whoever wants to know when that changes. */
class LetIn {
  private isShut = false;
  /** Whether anything was ever answered: then a page stands behind. */
  hasBeenIn = false;
  private readonly listeners = new Set<() => void>();
  private waiting: (() => void)[] = [];

  readonly get = (): boolean => !this.isShut;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  /** Counts how often it was let in. */
  turn = 0;

  /** @param turn in which it was asked: what was refused before it came in says nothing of after. */
  shut(turn = this.turn): void {
    if (!this.isShut && turn === this.turn) this.become(true);
  }

  opened(): void {
    this.turn += 1;
    this.become(false);
    for (const go of this.waiting.splice(0)) go();
  }

  /** When it is let in the next time. */
  next(): Promise<void> {
    return new Promise((resolve) => void this.waiting.push(resolve));
  }

  private become(isShut: boolean): void {
    this.isShut = isShut;
    for (const listener of this.listeners) listener();
  }
}

export const letIn = new LetIn();
