import { afterEach, describe, expect, it } from 'vitest';
import { replaceOutside } from '../outside';
import { ApiError } from './http';
import { SavedDocument } from './SavedDocument';

type Doc = { version: number; text: string };
const notIn = () => new ApiError({ type: 'about:blank', title: 'not let in', status: 401, code: 'not-in', detail: '' });
const offline = () => new ApiError({ type: 'about:blank', title: 'silent', status: 0, code: 'offline', detail: '' });
const stale = (current: Doc) => new ApiError({ type: 'about:blank', title: 'stale', status: 409, code: 'stale', detail: '', current });
const refused = () => new ApiError({ type: 'about:blank', title: 'no', status: 400, code: 'bad-input', detail: '' });

const emptyServer = () => ({ doc: { version: 1, text: '' }, asked: 0, drafts: [] as string[] });

/** A server that keeps one document, and does what it is told to at each request. */
function keeping(faults: (Error | 'lose-the-answer' | 'never')[] = [], server = emptyServer()) {
  const saved: Doc[] = [];
  const doc = new SavedDocument<Doc, string>({
    name: 'a',
    loaded: server.doc,
    draftOf: (d) => d.text,
    onSaved: (d) => saved.push(d),
    save: async (version, text) => {
      const fault = faults[server.asked++];
      server.drafts.push(text);
      await Promise.resolve();
      if (fault === 'never') return new Promise<Doc>(() => {});
      if (fault instanceof Error) throw fault;
      if (version !== server.doc.version) throw stale(server.doc);
      server.doc = { version: version + 1, text };
      if (fault === 'lose-the-answer') throw offline();
      return server.doc;
    },
  });
  const states: string[] = [];
  doc.subscribe(() => states.push(doc.get().state));
  return { doc, server, saved, states };
}

let waits: number[] = [];
let restore = replaceOutside({});
const withoutWaiting = () => {
  waits = [];
  restore = replaceOutside({ wait: (ms) => Promise.resolve(void waits.push(ms)) });
};
afterEach(() => {
  restore();
  localStorage.clear();
});

describe('a saved document', () => {
  it('shows a change at once, and is saved when the server has it', async () => {
    const { doc, server, states } = keeping();
    doc.change('a');
    expect(doc.get()).toEqual({ draft: 'a', state: 'saving', newer: null });
    expect(await doc.settled()).toBe(2);
    expect([server.doc.text, doc.get().state]).toEqual(['a', 'saved']);
    expect(states).toEqual(['saved', 'saving', 'saved']);
  });

  it('sends one at a time, and of many quick changes only the last after the first', async () => {
    const { doc, server } = keeping();
    for (const text of ['a', 'ab', 'abc']) doc.change(text);
    await doc.settled();
    expect(server.drafts).toEqual(['a', 'abc']);
    expect(server.doc).toEqual({ version: 3, text: 'abc' });
  });

  it('sends nothing when nothing changed', async () => {
    const { doc, server } = keeping();
    expect(await doc.settled()).toBe(1);
    expect(server.asked).toBe(0);
  });

  it('keeps trying while the server is silent or lets this browser in no more, and loses nothing of it', async () => {
    withoutWaiting();
    const { doc, server, states } = keeping([offline(), notIn()]);
    doc.change('a');
    await doc.settled();
    expect(waits).toEqual([2000, 2000]);
    expect(server.doc.text).toBe('a');
    expect(states).toContain('retrying');
    expect(doc.get().state).toBe('saved');
  });

  it('knows its own change again when only the answer was lost', async () => {
    withoutWaiting();
    const { doc, server } = keeping(['lose-the-answer']);
    doc.change('a');
    expect(await doc.settled()).toBe(2);
    expect(server.doc).toEqual({ version: 2, text: 'a' });
    expect(doc.get()).toMatchObject({ state: 'saved', newer: null });
  });

  it('stops at what somebody else wrote, keeps the draft, and offers the newer version', async () => {
    const { doc, server, saved } = keeping();
    server.doc = { version: 7, text: 'theirs' };
    doc.change('mine');
    await expect(doc.settled()).rejects.toThrow('stale');
    expect(doc.get()).toEqual({ draft: 'mine', state: 'conflict', newer: { version: 7, text: 'theirs' } });
    doc.takeNewer(doc.get().newer!);
    expect(doc.get()).toEqual({ draft: 'theirs', state: 'saved', newer: null });
    expect(saved.at(-1)).toEqual({ version: 7, text: 'theirs' });
    doc.change('mine after all');
    expect(await doc.settled()).toBe(8);
  });

  it('follows what is changed elsewhere while nothing is changed here, and saves on top of it', async () => {
    const { doc, server } = keeping();
    server.doc = { version: 4, text: 'theirs' };
    doc.follow(server.doc);
    expect(doc.get()).toEqual({ draft: 'theirs', state: 'saved', newer: null });
    doc.follow({ version: 3, text: 'older' });
    expect(doc.get().draft).toBe('theirs');
    doc.change('mine');
    expect(await doc.settled()).toBe(5);
  });

  it('follows nobody while a change of its own is under way, or stands against theirs', async () => {
    const { doc, server } = keeping();
    doc.change('mine');
    doc.follow({ version: 9, text: 'theirs' });
    expect(doc.get()).toEqual({ draft: 'mine', state: 'saving', newer: null });
    await doc.settled();
    server.doc = { version: 9, text: 'theirs' };
    doc.change('mine again');
    await expect(doc.settled()).rejects.toThrow('stale');
    doc.follow(server.doc);
    expect(doc.get()).toMatchObject({ draft: 'mine again', state: 'conflict' });
  });

  it('does not try again what was refused, and sends the next change all the same', async () => {
    const { doc, server } = keeping([refused()]);
    doc.change('bad');
    await expect(doc.settled()).rejects.toThrow('no');
    expect(doc.get().state).toBe('conflict');
    doc.change('good');
    await doc.settled();
    expect(server.doc.text).toBe('good');
    expect(doc.get().state).toBe('saved');
  });

  it('tells nobody who has stopped listening', () => {
    const { doc } = keeping();
    let told = 0;
    const stop = doc.subscribe(() => (told += 1));
    stop();
    doc.change('a');
    expect(told).toBe(0);
  });

  describe('of a page that is left in the moment of a change', () => {
    it('goes on with it when it is opened again, though nothing of it was sent', async () => {
      const { doc, server } = keeping(['never']);
      doc.change('a');
      doc.change('ab');
      const again = keeping([], server);
      expect(again.doc.get()).toEqual({ draft: 'ab', state: 'saving', newer: null });
      again.doc.subscribe(() => {});
      await again.doc.settled();
      expect(server.doc.text).toBe('ab');
      expect(keeping([], server).doc.get()).toEqual({ draft: 'ab', state: 'saved', newer: null });
    });

    it('and though what was on its way did arrive', async () => {
      const { doc, server } = keeping(['never']);
      doc.change('a');
      doc.change('ab');
      server.doc = { version: 2, text: 'a' };
      const again = keeping([], server);
      await again.doc.settled();
      expect(server.doc).toEqual({ version: 3, text: 'ab' });
    });

    it('but lets stand what somebody else has written since', () => {
      const { doc, server } = keeping(['never']);
      doc.change('a');
      server.doc = { version: 2, text: 'theirs' };
      expect(keeping([], server).doc.get()).toEqual({ draft: 'theirs', state: 'saved', newer: null });
      expect(localStorage).toHaveLength(0);
    });

    it('knows what it sent again in whatever order the server gives it back', async () => {
      type Look = { version: number; seen: { soil: string; severity: number } };
      const kept: Look[] = [{ version: 1, seen: { soil: 'dust', severity: 1 } }];
      const open = (save: (version: number, seen: Look['seen']) => Promise<Look>) =>
        new SavedDocument<Look, Look['seen']>({ name: 'b', loaded: kept.at(-1)!, draftOf: (d) => d.seen, onSaved: () => {}, save });
      const doc = open(() => new Promise(() => {}));
      doc.change({ soil: 'dust', severity: 2 });
      doc.change({ soil: 'dust', severity: 3 });
      kept.push({ version: 2, seen: { severity: 2, soil: 'dust' } });
      const again = open((version, seen) => Promise.resolve({ version: version + 1, seen }));
      expect(again.get().draft).toEqual({ soil: 'dust', severity: 3 });
      expect(await again.settled()).toBe(3);
    });

    it('but not with what was refused: that would be refused again and again', async () => {
      const { doc, server } = keeping([refused()]);
      doc.change('a');
      await expect(doc.settled()).rejects.toThrow('no');
      expect(doc.get()).toMatchObject({ draft: 'a', state: 'conflict' });
      expect(keeping([], server).doc.get()).toEqual({ draft: '', state: 'saved', newer: null });
    });

    it('and saves all the same in a browser that has no room to remember', async () => {
      restore = replaceOutside({
        remember: () => {
          throw new DOMException('full', 'QuotaExceededError');
        },
      });
      const { doc, server } = keeping();
      doc.change('a');
      restore();
      await doc.settled();
      expect(server.doc.text).toBe('a');
    });

    it('and remembers nothing once all is kept', async () => {
      const { doc } = keeping();
      doc.change('a');
      expect(localStorage).toHaveLength(1);
      await doc.settled();
      expect(localStorage).toHaveLength(0);
    });
  });
});
