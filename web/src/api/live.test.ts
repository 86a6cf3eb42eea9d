import { LIVE_TOPICS, type LiveTopic } from '@bright-keeper/contract';
import { QueryClient, type QueryKey } from '@tanstack/react-query';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { replaceOutside, type Outside } from '../outside';
import { keys } from './keys';
import { Live } from './live';
import { isStaleBy } from './stale';

const ITEM = 'an-item';

describe('what a topic makes stale', () => {
  it.each<[LiveTopic, QueryKey, boolean]>([
    ['gear', keys.shelfBy({ search: 'x' }), true],
    ['gear', keys.item(ITEM), true],
    ['gear', keys.drawer, false],
    ['looks', keys.look('a'), true],
    ['looks', keys.cleaning('a'), false],
    ['cleanings', keys.cleaning('a'), true],
    ['cleanings', keys.look('a'), false],
    ['cleanings', keys.rungs, true],
    ['openings', keys.teardown('a'), true],
    ['places', keys.place('a'), true],
    ['air', keys.devices, true],
    ['air', keys.item(ITEM), false],
    ['drawer', keys.drawer, true],
    ['frames', keys.frames(ITEM), true],
    ['outings', keys.outings, true],
    ['calendars', keys.feeds, true],
    ['trail', keys.trail(undefined), true],
    ['trail', keys.today, false],
    ['settings', keys.item(ITEM), true],
    ['settings', keys.picture('hash'), false],
  ])('%s, of %j: %s', (topic, key, stale) => expect(isStaleBy([topic], key)).toBe(stale));

  /** What no topic of the household moves: of this browser, of its settings, of the program itself, or what never changes. */
  const APART = ['ending', 'brought', 'lasting', 'settings', 'health', 'backups', 'picture', 'reportKey'];
  it.each(Object.keys(keys).filter((name) => !APART.includes(name)))(
    'is everything that is asked of the household by some topic: %s',
    (name) => {
      const key = keys[name as keyof typeof keys];
      const asked = typeof key === 'function' ? (key as (...given: unknown[]) => QueryKey)('a', 'b', 'c', 1) : key;
      expect(LIVE_TOPICS.filter((t) => t !== 'settings' && isStaleBy([t], asked)).length).toBeGreaterThan(0);
    },
  );

  it('is Today and the agenda, whatever of the household moves', () => {
    for (const topic of LIVE_TOPICS.filter((t) => t !== 'trail'))
      for (const key of [keys.today, keys.agenda, keys.benchDay('2026-03-10')]) expect(isStaleBy([topic], key), topic).toBe(true);
  });
});

describe('a page that hears what moves', () => {
  type Told = { heard: (id: string, data: string) => void; refused: () => void };
  let now = 1_000_000;
  let lines: (Told & { address: string })[] = [];
  let tabs: ((what: unknown) => void)[] = [];
  let back = (): void => {};
  let isHolder = true;
  let restore = (): void => {};
  const queries = new QueryClient();

  const outside: Partial<Outside> = {
    now: () => new Date(now),
    wait: () => Promise.resolve(),
    listen: (address, told) => void lines.push({ address, ...told }),
    asTheOnlyTab: (_, work) => void (isHolder && work()),
    channel: () => ({ tell: (what) => tabs.forEach((tab) => tab(what)), hear: (heard) => void tabs.push(heard) }),
    onReturn: (heard) => void (back = heard),
  };
  const shown = (key: QueryKey, at = now) => queries.setQueryData(key, 'something', { updatedAt: at });
  const later = (ms: number): void => {
    now += ms;
    vi.advanceTimersByTime(ms);
  };
  const stale = () =>
    queries
      .getQueryCache()
      .getAll()
      .filter((q) => q.state.isInvalidated)
      .map((q) => q.queryKey);
  const news = (moved: LiveTopic[], id = 'run.1') => lines.at(-1)!.heard(id, JSON.stringify({ moved }));

  beforeEach(() => {
    vi.useFakeTimers();
    [lines, tabs, isHolder] = [[], [], true];
    queries.clear();
    restore = replaceOutside(outside);
    new Live(queries).start();
  });
  afterEach(() => {
    restore();
    vi.useRealTimers();
  });

  it('asks anew for what moved, and for nothing else', () => {
    for (const key of [keys.drawer, keys.look('a'), keys.today]) shown(key);
    news(['drawer']);
    later(1000);
    expect(stale()).toEqual([keys.drawer, keys.today]);
  });

  it('asks not again for what was answered after the news came: its own change it has asked for by itself', () => {
    shown(keys.drawer);
    shown(keys.today);
    news(['drawer']);
    later(50);
    shown(keys.drawer);
    later(1000);
    expect(stale()).toEqual([keys.today]);
  });

  it('asks again for what was answered between two pieces of news: it knows of the first only', () => {
    shown(keys.drawer);
    news(['drawer']);
    later(100);
    shown(keys.drawer);
    later(100);
    news(['drawer']);
    later(1000);
    expect(stale()).toEqual([keys.drawer]);
  });

  it('asks again for what was on its way when the news came: it may have been answered before', async () => {
    let answer = (_: string): void => {};
    const asked = queries.fetchQuery({ queryKey: keys.drawer, queryFn: () => new Promise<string>((resolve) => (answer = resolve)) });
    news(['drawer']);
    later(50);
    answer('as it was before');
    await asked;
    later(1000);
    expect(stale()).toEqual([keys.drawer]);
  });

  it('takes readings as they come for no reason to ask every moment, and anything else at once', () => {
    shown(keys.devices);
    news(['air']);
    later(500);
    expect(stale()).toEqual([keys.devices]);
    shown(keys.devices);
    news(['air']);
    later(5000);
    expect(stale()).toEqual([]);
    shown(keys.drawer, now - 1);
    news(['drawer']);
    later(500);
    expect(stale()).toEqual([keys.devices, keys.drawer]);
  });

  it('goes on where it was when its line was refused, and from nowhere when it has heard nothing', async () => {
    lines[0]!.refused();
    await vi.runAllTimersAsync();
    news([], 'run.7');
    lines[1]!.refused();
    await vi.runAllTimersAsync();
    expect(lines.map((l) => l.address)).toEqual(['/api/live', '/api/live', '/api/live?since=run.7']);
  });

  it('asks for all that can move when it was asleep', () => {
    shown(keys.look('a'));
    shown(keys.picture('hash'));
    back();
    later(1000);
    expect(stale()).toEqual([keys.look('a')]);
  });

  it('hears from the tab that holds the line, and takes it over from where that one was', () => {
    isHolder = false;
    let takeOver = (): void => {};
    replaceOutside({ asTheOnlyTab: (_, work) => void (takeOver = work) });
    const other = new QueryClient();
    other.setQueryData(keys.drawer, 'something', { updatedAt: now });
    new Live(other).start();
    news(['drawer'], 'run.9');
    later(1000);
    expect(other.getQueryState(keys.drawer)?.isInvalidated).toBe(true);
    takeOver();
    expect(lines.at(-1)!.address).toBe('/api/live?since=run.9');
  });
});
