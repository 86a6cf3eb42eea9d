/**
 * Remembers the last answer for each thing one asks about, with the key it was worked out for. It holds as much as there
 * are things, so that there is no number of them at which it forgets what it needs next.
 */
export class Memo {
  private readonly kept = new Map<string, { key: string; value: unknown }>();

  /** @param of what is asked about. @param key the same as long as the answer is. */
  get<T>(of: string, key: string, compute: () => T): T {
    const known = this.kept.get(of);
    if (known?.key === key) return known.value as T;
    const value = compute();
    this.kept.set(of, { key, value });
    return value;
  }
  /** The next who asks has it worked out anew. */
  forget(of: string): void {
    this.kept.delete(of);
  }
}
