import { afterEach, describe, expect, it } from 'vitest';
import { replaceOutside } from '../outside';
import { ApiError } from './http';
import { SavedDocument } from './SavedDocument';

type Doc = { version: number; text: string };
const offline = () => new ApiError({ type: 'about:blank', title: 'silent', status: 0, code: 'offline', detail: '' });
const stale = (current: Doc) => new ApiError({ type: 'about:blank', title: 'stale', status: 409, code: 'stale', detail: '', current });
const refused = () => new ApiError({ type: 'about:blank', title: 'no', status: 400, code: 'bad-input', detail: '' });

/** A server that keeps one document, and does what it is told to at each request. */
function keeping(faults: (Error | 'lose-the-answer')[] = []) {
  const server = { doc: { version: 1, text: '' }, asked: 0, drafts: [] as string[] };
  const saved: Doc[] = [];
  const doc = new SavedDocument<Doc, string>({
    loaded: server.doc,
    draftOf: (d) => d.text,
    onSaved: (d) => saved.push(d),
    save: async (version, text) => {
      const fault = faults[server.asked++];
      server.drafts.push(text);
      await Promise.resolve();
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
afterEach(() => restore());

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

  it('keeps trying while the server is silent, and loses nothing of it', async () => {
    withoutWaiting();
    const { doc, server, states } = keeping([offline(), offline()]);
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
});
