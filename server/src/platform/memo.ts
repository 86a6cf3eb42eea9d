/** Remembers what was worked out for a key; the oldest goes when there are too many. */
export class Memo {
  private readonly kept = new Map<string, unknown>();
  constructor(private readonly most = 300) {}

  get<T>(key: string, compute: () => T): T {
    if (this.kept.has(key)) return this.kept.get(key) as T;
    const value = compute();
    if (this.kept.size >= this.most) this.kept.delete(this.kept.keys().next().value!);
    this.kept.set(key, value);
    return value;
  }
}
