import { outside } from '../outside';
import { ApiError } from './http';

/** Something with a version that is sent whole after every change. */
export type Versioned = { version: number };
export type SaveState = 'saved' | 'saving' | 'retrying' | 'conflict';

const RETRY_MS = 2_000;

export type SavedDocumentOptions<Doc extends Versioned, Draft> = {
  loaded: Doc;
  draftOf: (doc: Doc) => Draft;
  save: (version: number, draft: Draft) => Promise<Doc>;
  onSaved: (doc: Doc) => void;
};

/** What a screen shows of it: the draft, whether the server has it, and the newer version where somebody else wrote one. */
export type SavedSnapshot<Doc, Draft> = { draft: Draft; state: SaveState; newer: Doc | null };

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** The newer version that a refusal as stale brings along; null for any other failure. */
const newerIn = <Doc>(error: unknown): Doc | null =>
  error instanceof ApiError && error.problem.code === 'stale' ? (error.problem.current as Doc) : null;

/**
 * A draft, and the server in step with it: each change is shown at once and sent in turn, one request at a time;
 * when the server is silent the same draft is sent again until it answers, also after the screen has gone. A change
 * made elsewhere in the meantime stops the sending and offers the newer version. It knows no framework.
 */
export class SavedDocument<Doc extends Versioned, Draft> {
  private snapshot: SavedSnapshot<Doc, Draft>;
  private version: number;
  /** The draft as the server last had it. */
  private sent: Draft;
  private running: Promise<void> | null = null;
  private readonly listeners = new Set<() => void>();

  constructor(private readonly options: SavedDocumentOptions<Doc, Draft>) {
    const draft = options.draftOf(options.loaded);
    this.snapshot = { draft, state: 'saved', newer: null };
    this.version = options.loaded.version;
    this.sent = draft;
  }

  readonly get = (): SavedSnapshot<Doc, Draft> => this.snapshot;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  readonly change = (draft: Draft): void => {
    this.show({ draft });
    this.start().catch(() => undefined);
  };

  /** Takes over the newer version and forgets the draft on screen. */
  readonly takeNewer = (doc: Doc): void => {
    this.version = doc.version;
    this.sent = this.options.draftOf(doc);
    this.show({ draft: this.sent, newer: null, state: 'saved' });
    this.options.onSaved(doc);
  };

  /** Waits until everything is on the server and gives the version it has there. */
  readonly settled = async (): Promise<number> => {
    await this.start();
    return this.version;
  };

  private show(change: Partial<SavedSnapshot<Doc, Draft>>): void {
    this.snapshot = { ...this.snapshot, ...change };
    for (const listener of this.listeners) listener();
  }

  private start(): Promise<void> {
    this.running ??= this.flush().finally(() => (this.running = null));
    return this.running;
  }

  private async flush(): Promise<void> {
    while (!same(this.snapshot.draft, this.sent)) await this.sendOnce(this.snapshot.draft);
    if (this.snapshot.state !== 'saved') this.show({ state: 'saved' });
  }

  private async sendOnce(draft: Draft): Promise<void> {
    if (this.snapshot.state !== 'retrying') this.show({ state: 'saving' });
    try {
      const doc = await this.options.save(this.version, draft);
      this.arrived(doc.version, draft);
      this.options.onSaved(doc);
    } catch (error) {
      const newer = newerIn<Doc>(error);
      // It had arrived after all; only the answer was lost.
      if (newer && same(this.options.draftOf(newer), draft)) return this.arrived(newer.version, draft);
      if (!(error instanceof ApiError && error.isOffline)) {
        this.show({ newer, state: 'conflict' });
        throw error;
      }
      this.show({ state: 'retrying' });
      await outside.wait(RETRY_MS);
    }
  }

  private arrived(version: number, draft: Draft): void {
    this.version = version;
    this.sent = draft;
  }
}
