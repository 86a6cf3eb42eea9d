import { LIVE_TOPICS, routes, type LiveNews, type LiveTopic } from '@bright-keeper/contract';
import { getTableName, is, Table } from 'drizzle-orm';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { LIMITS } from '../limits.js';
import * as tables from '../tables/index.js';
import { testApp, type TestApp } from '../testing/testApp.js';
import { News } from './news.js';
import { TOPIC_OF } from './topics.js';

describe('news', () => {
  it('knows of every table what it means to a page, and of none there is not', () => {
    const all = Object.values(tables).flatMap((table) => (is(table, Table) ? [getTableName(table)] : []));
    expect(Object.keys(TOPIC_OF).sort()).toEqual([...all, 'drizzle'].sort());
    expect(new Set(Object.values(TOPIC_OF).filter((t) => t !== null))).toEqual(new Set(LIVE_TOPICS));
  });

  it('tells whoever was away what moved meanwhile, each once', () => {
    const news = new News('a-run');
    const { place } = news;
    expect(news.since(place)).toEqual([]);
    for (const table of ['item', 'journal_entry', 'item']) news.note({ table });
    expect(news.since(place)).toEqual(['gear', 'journal']);
    const later = news.place;
    news.note({ table: 'supply' });
    expect(news.since(later)).toEqual(['drawer']);
    expect(news.since(place)).toEqual(['gear', 'journal', 'drawer']);
  });

  it('says nothing of what no page shows, and everything of what it cannot tell', () => {
    const news = new News('a-run');
    const { place } = news;
    expect([news.note({ table: 'blob_part' }), news.note('nothing')]).toEqual([false, false]);
    expect(news.place).toBe(place);
    news.note('unknown');
    expect(news.since(place)).toEqual(LIVE_TOPICS);
  });

  it.each(['another-run.0', 'a-run.7', 'a-run.-1', 'a-run', '', '<script>.1', `${'a'.repeat(90)}.0`])(
    'tells everything to whoever comes from %s, which is no place of this run',
    (place) => expect(new News('a-run').since(place)).toEqual(LIVE_TOPICS),
  );
});

/** One line to it, as a browser holds it. */
class Line {
  private text = '';
  private readonly ended = new AbortController();
  private constructor(private readonly reader: ReadableStreamDefaultReader<string>) {}

  static async to(url: string, headers: Record<string, string> = {}): Promise<Line> {
    const ended = new AbortController();
    const response = await fetch(url, { headers, signal: ended.signal });
    expect(response.headers.get('content-type')).toMatch(/^text\/event-stream\b/);
    const line = new Line(response.body!.pipeThrough(new TextDecoderStream()).getReader());
    line.ended.signal.addEventListener('abort', () => ended.abort());
    return line;
  }

  /** The next piece of news. */
  async next(): Promise<{ id: string; moved: LiveTopic[] }> {
    for (;;) {
      const piece = /id: (.+)\ndata: (.+)\n\n/.exec(this.text);
      if (piece) {
        this.text = this.text.slice(piece.index + piece[0].length);
        return { id: piece[1]!, ...(JSON.parse(piece[2]!) as LiveNews) };
      }
      const { value, done } = await this.reader.read();
      if (done) throw new Error('the line ended');
      this.text += value;
    }
  }

  /** All that moves until this has. */
  async until(topic: LiveTopic): Promise<Set<LiveTopic>> {
    const moved = new Set<LiveTopic>();
    while (!moved.has(topic)) for (const one of (await this.next()).moved) moved.add(one);
    return moved;
  }

  break(): void {
    this.ended.abort();
  }
}

describe('the line to a page', () => {
  let t: TestApp;
  let url: string;
  beforeAll(async () => {
    t = await testApp();
    await t.app.listen(0, '127.0.0.1');
    url = `http://127.0.0.1:${(t.app.getHttpServer().address() as AddressInfo).port}${routes.live}`;
  });
  afterAll(() => t.app.close());

  it('says where one begins, and what others change once it is kept', async () => {
    const line = await Line.to(url);
    expect((await line.next()).moved).toEqual([]);
    await t.add('Fifty');
    expect(await line.until('trail')).toEqual(new Set(['gear', 'journal', 'trail']));
    line.break();
  });

  it('says nothing of what was refused or only asked', async () => {
    const line = await Line.to(url);
    await line.next();
    await t.http.post(routes.gear).send({ name: '' }).expect(400);
    await t.http.get(routes.today).expect(200);
    await t.http.put(routes.settings).send({ version: 99, timeZone: 'UTC' }).expect(400);
    await t.addPlace();
    expect(await line.until('trail')).toEqual(new Set(['places', 'trail']));
    line.break();
  });

  it('goes on where it broke, by the address or as a browser says it', async () => {
    const line = await Line.to(url);
    const { id } = await line.next();
    line.break();
    await t.add('Thirty-five');
    for (const again of [await Line.to(`${url}?since=${id}`), await Line.to(`${url}?since=nowhere.1`, { 'last-event-id': id })]) {
      expect((await again.next()).moved).toEqual(['gear', 'journal', 'trail']);
      again.break();
    }
    const stranger = await Line.to(`${url}?since=nowhere.1`);
    expect((await stranger.next()).moved).toEqual(LIVE_TOPICS);
    stranger.break();
  });

  it('is open to so many and no more, and to another when one has gone', async () => {
    const lines = await Promise.all(Array.from({ length: LIMITS.live.listeners }, () => Line.to(url)));
    const refused = await fetch(url);
    expect([refused.status, await refused.json()]).toMatchObject([503, { code: 'too-many-listen' }]);
    lines.pop()!.break();
    let again = await fetch(url);
    for (; again.status === 503; again = await fetch(url)) await again.text();
    expect(again.status).toBe(200);
    await again.body!.cancel();
    for (const line of lines) line.break();
  });

  it('is over at once for who asks only whether it is there', async () => {
    const { status, headers } = await t.http.head(routes.live);
    expect([status, headers['content-type']]).toEqual([200, expect.stringContaining('text/event-stream')]);
  });

  it('keeps no program from ending', async () => {
    const other = await testApp();
    await other.app.listen(0, '127.0.0.1');
    const line = await Line.to(`http://127.0.0.1:${(other.app.getHttpServer().address() as AddressInfo).port}${routes.live}`);
    await line.next();
    await other.app.close();
    await expect(line.next()).rejects.toThrow('the line ended');
  });
});
