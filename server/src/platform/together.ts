type Asked<In, Out> = { what: In; resolve: (out: Out) => void; reject: (error: unknown) => void };

export type TogetherOptions<In, Out> = {
  /** Does all of them in one go; the answers stand in their order. */
  work: (all: readonly In[]) => Promise<Out[]>;
  /** Two of the same key are done one after the other, in the order they came. */
  keyOf: (what: In) => string;
  /** So many are done in one go at most. */
  most: number;
};

/**
 * Does together what is asked for at once. The first is done right away; what comes meanwhile waits for it, and then goes
 * in one go. Where that fails each is done by itself, so that one that cannot be done takes none with it.
 */
export class Together<In, Out> {
  private waiting: Asked<In, Out>[] = [];
  private busy = false;

  constructor(private readonly options: TogetherOptions<In, Out>) {}

  do(what: In): Promise<Out> {
    return new Promise((resolve, reject) => {
      this.waiting.push({ what, resolve, reject });
      if (!this.busy) void this.goOn();
    });
  }

  private async goOn(): Promise<void> {
    this.busy = true;
    while (this.waiting.length > 0) await this.settle(this.next());
    this.busy = false;
  }

  /** The first of each key, as many as go at once. */
  private next(): Asked<In, Out>[] {
    const { keyOf, most } = this.options;
    const taken = new Map<string, Asked<In, Out>>();
    const left: Asked<In, Out>[] = [];
    for (const asked of this.waiting) {
      const key = keyOf(asked.what);
      if (taken.size < most && !taken.has(key)) taken.set(key, asked);
      else left.push(asked);
    }
    this.waiting = left;
    return [...taken.values()];
  }

  private async settle(all: Asked<In, Out>[]): Promise<void> {
    try {
      const answers = await this.options.work(all.map(({ what }) => what));
      all.forEach(({ resolve }, i) => resolve(answers[i]!));
    } catch (error) {
      if (all.length === 1) all[0]!.reject(error);
      else for (const asked of all) await this.settle([asked]);
    }
  }
}
