import { hashKey } from '@tanstack/react-query';
import { outside } from '../outside';
import { ApiError, newerIn } from './http';

/** Something with a version that is sent whole after every change. */
export type Versioned = { version: number };
export type SaveState = 'saved' | 'saving' | 'retrying' | 'conflict';

const RETRY_MS = 2_000;

export type SavedDocumentOptions<Doc extends Versioned, Draft> = {
  /** Tells this document from every other one. */
  name: string;
  loaded: Doc;
  draftOf: (doc: Doc) => Draft;
  save: (version: number, draft: Draft) => Promise<Doc>;
  onSaved: (doc: Doc) => void;
};

/** What a screen shows of it: the draft, whether the server has it, and the newer version where somebody else wrote one. */
export type SavedSnapshot<Doc, Draft> = { draft: Draft; state: SaveState; newer: Doc | null };

/** Alike in what they hold: a database gives back what lies in an object in its own order. */
const same = (a: unknown, b: unknown): boolean => hashKey([a]) === hashKey([b]);

/**
 * What this browser remembers of a draft until the server has it: a page may be left in the very moment of a tap.
 * `onto` are the drafts the server may have by then: the one it had, and the one that was on its way.
 */
type Unsaved<Draft> = { draft: Draft; onto: Draft[] };
const placeFor = (name: string): string => `unsaved ${name}`;

/**
 * A draft, and the server in step with it: each change is shown at once and sent in turn, one request at a time;
 * when the server is silent the same draft is sent again until it answers, also after the screen has gone. A change
 * made elsewhere in the meantime stops the sending and offers the newer version. What the server does not have yet is
 * remembered by the browser, and goes on from there when the page is opened again. It knows no framework.
 */
export class SavedDocument<Doc extends Versioned, Draft> {
  private snapshot: SavedSnapshot<Doc, Draft>;
  private version: number;
  /** The draft as the server last had it, and the one that is on its way there. */
  private sent: Draft;
  private underWay: Draft | null = null;
  private running: Promise<void> | null = null;
  private readonly listeners = new Set<() => void>();

  constructor(private readonly options: SavedDocumentOptions<Doc, Draft>) {
    this.version = options.loaded.version;
    this.sent = options.draftOf(options.loaded);
    const left = this.recalled();
    this.snapshot = left ? { draft: left.draft, state: 'saving', newer: null } : { draft: this.sent, state: 'saved', newer: null };
  }

  readonly get = (): SavedSnapshot<Doc, Draft> => this.snapshot;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    // What was left unsaved by an earlier page is sent by the first that shows it.
    if (this.snapshot.state === 'saving') this.start().catch(() => undefined);
    return () => void this.listeners.delete(listener);
  };

  readonly change = (draft: Draft): void => {
    this.show({ draft });
    this.remember();
    this.start().catch(() => undefined);
  };

  /** Takes over the newer version and forgets the draft on screen. */
  readonly takeNewer = (doc: Doc): void => {
    this.version = doc.version;
    this.sent = this.options.draftOf(doc);
    this.show({ draft: this.sent, newer: null, state: 'saved' });
    this.forget();
    this.options.onSaved(doc);
  };

  /**
   * Takes over what was changed elsewhere, where nothing was changed here meanwhile. Where something was, the next save
   * finds it out and offers both.
   */
  readonly follow = (doc: Doc): void => {
    const isAtRest = this.snapshot.state === 'saved' && !this.running;
    if (!isAtRest || doc.version <= this.version) return;
    this.version = doc.version;
    this.sent = this.options.draftOf(doc);
    this.show({ draft: this.sent });
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

  private remember(): void {
    const onto = this.underWay === null ? [this.sent] : [this.sent, this.underWay];
    try {
      outside.remember(placeFor(this.options.name), JSON.stringify({ draft: this.snapshot.draft, onto } satisfies Unsaved<Draft>));
    } catch {
      // A browser that has no room for it forgets it as before; it is on its way to the server all the same.
    }
  }

  private forget(): void {
    outside.remember(placeFor(this.options.name), null);
  }

  /** What was left unsaved, unless somebody else has written since: then it is theirs that stands. */
  private recalled(): Unsaved<Draft> | null {
    const text = outside.recall(placeFor(this.options.name));
    if (text === null) return null;
    const left = JSON.parse(text) as Unsaved<Draft>;
    if (left.onto.some((draft) => same(draft, this.sent)) && !same(left.draft, this.sent)) return left;
    this.forget();
    return null;
  }

  private start(): Promise<void> {
    this.running ??= this.flush().finally(() => (this.running = null));
    return this.running;
  }

  private async flush(): Promise<void> {
    while (!same(this.snapshot.draft, this.sent)) await this.sendOnce(this.snapshot.draft);
    this.forget();
    if (this.snapshot.state !== 'saved') this.show({ state: 'saved' });
  }

  private async sendOnce(draft: Draft): Promise<void> {
    if (this.snapshot.state !== 'retrying') this.show({ state: 'saving' });
    this.underWay = draft;
    try {
      const doc = await this.options.save(this.version, draft);
      this.arrived(doc.version, draft);
      this.options.onSaved(doc);
    } catch (error) {
      const newer = newerIn<Doc>(error);
      // It had arrived after all; only the answer was lost.
      if (newer && same(this.options.draftOf(newer), draft)) return this.arrived(newer.version, draft);
      if (!(error instanceof ApiError && error.isForLater)) {
        // What was refused would be refused again: a page that is opened anew begins with what the server has.
        this.forget();
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
    this.underWay = null;
    if (!same(this.snapshot.draft, draft)) this.remember();
  }
}
