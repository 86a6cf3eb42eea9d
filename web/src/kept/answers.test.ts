import { type ItemPage, type LookDoc, routes, type Shelf } from '@bright-keeper/contract';
import { openDB } from 'idb';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { http } from '../api/http';
import { keepHere } from '../api/kept';
import { letIn } from '../api/letIn';
import { reach } from '../api/reach';
import { replaceOutside } from '../outside';
import { type Answered, type Call, fingerprint, forgetKept, household, idOf, keptWith, NOW, pageOf } from '../testing/kept';
import { shelfPage } from './addresses';
import { bringAlong } from './bring';
import { STORE } from './store';

let giveBack = () => {};
// What an earlier page found silent is none of this one's.
beforeEach(() => reach.answered());
afterEach(async () => {
  giveBack();
  keepHere(null);
  await forgetKept();
});
const LENS = idOf(1);
const silent = () => 'silence' as const;

async function begun(answer: (call: Call) => Answered, pages: ItemPage[] = []) {
  const house = household(answer);
  giveBack = house.giveBack;
  const kept = await keptWith(pages);
  keepHere(Promise.resolve(kept));
  return { kept, ...house };
}

describe('an answer', () => {
  it('is kept, and given while the household is silent, which is then known', async () => {
    let isThere = true;
    await begun(() => (isThere ? { body: { day: '2026-05-01' } } : 'silence'));
    expect(await http.get(routes.today)).toEqual({ day: '2026-05-01' });
    isThere = false;
    expect(await http.get(routes.today)).toEqual({ day: '2026-05-01' });
    expect(reach.isAway).toBe(true);
  });

  it('that was never had is told to be out of reach; a refusal is a refusal', async () => {
    await begun(({ path }) => (path === routes.agenda ? { problem: { status: 422, code: 'nothing' } } : 'silence'), []);
    await expect(http.get(routes.agenda)).rejects.toMatchObject({ problem: { code: 'nothing' } });
    await expect(http.get(routes.today)).rejects.toMatchObject({ problem: { title: 'The household is out of reach' } });
  });

  it('that an earlier program kept is not looked at: a page asks more of it now', async () => {
    await begun(silent, []);
    const db = await openDB(STORE, 1);
    await db.put('answers', { address: routes.item(LENS), body: { id: LENS, name: 'Without particulars' }, atMs: NOW.getTime() });
    db.close();
    await expect(http.get(routes.item(LENS))).rejects.toMatchObject({ problem: { code: 'offline' } });
  });

  it('is not asked for again while the household is known to be away', async () => {
    const { kept, calls } = await begun(() => ({ body: {} }), [pageOf(LENS)]);
    reach.silent();
    await http.get(routes.item(LENS));
    expect(calls).toEqual([]);
    expect(kept.room.list()).toEqual([]);
  });

  it('is waited for only so long where one is kept; and one that came in time was in time', async () => {
    let hangs = false;
    const { kept } = await begun(silent, [pageOf(LENS)]);
    await kept.answers.remember(routes.today, 'kept');
    const waits: (() => void)[] = [];
    const undo = replaceOutside({
      wait: () => new Promise((resolve) => void waits.push(resolve)),
      fetch: () => (hangs ? new Promise<never>(() => {}) : Promise.resolve(new Response('"fresh"'))),
    });
    const goOn = async () => {
      await expect.poll(() => waits.length).toBe(1);
      waits.pop()!();
      await new Promise((resolve) => setTimeout(resolve));
    };
    expect(await http.get(routes.today)).toBe('fresh');
    await goOn();
    expect(reach.isAway).toBe(false);
    hangs = true;
    const asked = http.get(routes.today);
    await goOn();
    expect([await asked, reach.isAway]).toEqual(['fresh', true]);
    undo();
  });

  it('that nobody asked for in two months is dropped, and of what passes none is kept', async () => {
    const { kept, clock } = await begun(() => ({ body: {} }), [pageOf(LENS)]);
    await http.get(`${routes.placeChart(LENS)}?from=a&to=b&points=9`);
    expect(await kept.answers.last(`${routes.placeChart(LENS)}?from=a&to=b&points=9`)).toBeUndefined();
    clock.now = new Date(NOW.getTime() + 61 * 86_400_000);
    await kept.answers.remember(routes.today, 'new');
    await kept.answers.dropOlderThan(60 * 86_400_000);
    expect([await kept.answers.last(routes.item(LENS)), await kept.answers.last(routes.today)]).toEqual([undefined, 'new']);
  });

  it('of who is in and what they did is not kept', async () => {
    const { kept } = await begun(() => ({ body: { secret: true } }));
    for (const address of [routes.access, routes.trail, routes.backups]) {
      await http.get(address);
      expect(await kept.answers.last(address)).toBeUndefined();
    }
  });
});

describe('a thing', () => {
  it('shows what was seen and done here since, on its page and on the shelf', async () => {
    const { kept } = await begun(silent, [pageOf(LENS, { surfaces: [fingerprint('front-glass')], verdict: 'clean' })]);
    await kept.answers.remember(shelfPage(null), { items: [pageOf(LENS)], nextCursor: null, total: 1 });
    const look = await kept.looks.begin(LENS);
    expect((await http.get<ItemPage>(routes.item(LENS))).openLookId).toBe(look.id);
    const seen = [
      { surface: 'front-glass' as const, findings: [], note: '' },
      { surface: 'rear-glass' as const, findings: [{ soil: 'dust' as const, severity: 4 as const }], note: '' },
    ];
    await kept.looks.save(look.id, { at: null, answers: seen });
    const after = await kept.looks.finish(look.id);
    expect(after).toMatchObject({ openLookId: null, verdict: 'clean' });
    expect(after.surfaces.map((s) => [s.surface, s.findings.length, s.knownSince])).toEqual([
      ['front-glass', 0, NOW.toISOString()],
      ['rear-glass', 1, NOW.toISOString()],
    ]);
    const shelf = await http.get<Shelf>(`${routes.gear}?sort=name&needs=clean`);
    expect(shelf.items.map((i) => i.verdict)).toEqual(['clean']);
    expect((await http.get<Shelf>(`${routes.gear}?needs=never-looked`)).total).toBe(0);
    expect((await http.get<Shelf>(`${routes.gear}?search=LENS`)).total).toBe(1);
  });

  it('expects what happened here, until somebody looks', async () => {
    const { kept } = await begun(silent, [pageOf(LENS)]);
    await kept.notes.happened({ happening: 'sand', itemIds: [LENS], later: { id: idOf(9), agoS: 0 } });
    const { noted } = await http.get<ItemPage>(routes.item(LENS));
    expect(noted.map((n) => n.happening)).toContain('sand');
    const look = await kept.looks.begin(LENS);
    expect(look.answers.every((a) => a.noted === 'sand')).toBe(true);
    await expect(kept.looks.finish(look.id)).rejects.toMatchObject({ problem: { code: 'nothing-looked-at' } });
    const answers = look.answers.map(({ noted: _, ...answer }) => answer);
    await kept.looks.save(look.id, { at: null, answers });
    await kept.looks.finish(look.id);
    expect((await http.get<ItemPage>(routes.item(LENS))).noted).toEqual([]);
  });

  it('goes on with the look that is open at home, on top of what the household last had', async () => {
    const open: LookDoc = {
      id: idOf(5),
      itemId: LENS,
      itemName: 'Lens 1',
      version: 4,
      startedAt: NOW.toISOString(),
      finishedAt: null,
      at: null,
      answers: [{ surface: 'barrel', findings: [], note: '' }],
    };
    const { kept } = await begun(silent, [pageOf(LENS, { openLookId: open.id })]);
    await kept.answers.remember(routes.look(open.id), open);
    expect(await kept.looks.begin(LENS)).toEqual(open);
    await kept.looks.save(open.id, { at: null, answers: [] });
    expect(kept.room.list()).toMatchObject([{ id: open.id, base: open.answers, look: { version: 4 } }]);
    await expect(kept.looks.drop(open.id)).rejects.toMatchObject({ problem: { code: 'offline' } });
  });

  it('that began here can be dropped here, and leaves nothing', async () => {
    const { kept } = await begun(silent, [pageOf(LENS)]);
    const look = await kept.looks.begin(LENS);
    await kept.looks.drop(look.id);
    expect(kept.room.list()).toEqual([]);
    expect((await http.get<ItemPage>(routes.item(LENS))).openLookId).toBeNull();
  });
});

describe('what waits here', () => {
  it('is what its page shows, even where the household answers with something older', async () => {
    const { kept } = await begun(() => ({ body: { id: 'theirs' } }), [pageOf(LENS)]);
    const look = await kept.looks.begin(LENS);
    expect(await http.get(routes.look(look.id))).toEqual(look);
  });

  it('of a later program is left to that', async () => {
    const { kept } = await begun(silent, [pageOf(LENS)]);
    const look = await kept.looks.begin(LENS);
    await kept.room.keep({ ...kept.room.of(look.id)!, v: 99 });
    const again = await keptWith();
    expect(again.room.list()).toEqual([]);
  });

  it('stays when this browser is let in no more, and what the household answered does not', async () => {
    const { kept } = await begun(silent, [pageOf(LENS)]);
    const look = await kept.looks.begin(LENS);
    kept.start();
    letIn.shut();
    await expect.poll(() => kept.answers.last(routes.item(LENS))).toBeUndefined();
    expect(kept.room.list()).toHaveLength(1);
    // It goes on for as long as its page: with nothing left it asks nobody.
    await kept.room.drop(look.id);
    letIn.opened();
  });
});

describe('the shelf out of reach', () => {
  it('is searched and filtered as the household would', async () => {
    const { kept } = await begun(silent, []);
    const items = [
      pageOf(idOf(1), { name: 'One', particulars: { serial: 'QQ-778', tags: ['Kit'], massG: 415 } }),
      pageOf(idOf(2), { name: 'Two', notes: 'of the kit' }),
    ];
    await kept.answers.remember(shelfPage(null), { items, nextCursor: null, total: 2 });
    const found = async (query: string) => (await http.get<Shelf>(`${routes.gear}?${query}`)).items.map((i) => i.name);
    expect(await found('search=q-77')).toEqual(['One']);
    expect(await found('search=KIT')).toEqual(['One', 'Two']);
    expect(await found('search=415')).toEqual([]);
    expect(await found('tag=kit')).toEqual(['One']);
  });
});

const OUTINGS = [
  { id: idOf(6), to: '2999-01-01' },
  { id: idOf(7), to: '2000-01-01' },
];

describe('what is brought along', () => {
  it('is every thing with its page, its log and what is under way; later only what has changed', async () => {
    const pages = [pageOf(LENS, { openLookId: idOf(5) }), pageOf(idOf(2))];
    let name = 'Lens 2';
    const answer = ({ path }: Call): Answered => {
      if (path === shelfPage(null)) return { body: { items: [pages[0], { ...pages[1], name }], nextCursor: null, total: 2 } };
      if (path === routes.places) return { body: { places: [{ id: idOf(8) }] } };
      if (path === routes.outings) return { body: OUTINGS };
      if (path.includes('/log')) return { body: { entries: [], nextCursor: null } };
      return { body: pages.find(({ id }) => path === routes.item(id)) ?? {} };
    };
    const { kept, calls } = await begun(answer);
    expect(await bringAlong(kept.answers)).toBe(2);
    // What an outing asks for is looked up while it is under way, and for a while after.
    expect(calls.map(({ path }) => path).filter((path) => path.endsWith('/asks'))).toEqual([routes.outingAsks(idOf(6))]);
    expect(calls.map(({ path }) => path)).toEqual(
      expect.arrayContaining([routes.look(idOf(5)), routes.supplies, routes.itemExposure(LENS), routes.placePage(idOf(8))]),
    );
    expect(await bringAlong(kept.answers)).toBe(0);
    name = 'Renamed';
    expect(await bringAlong(kept.answers)).toBe(1);
    expect((await kept.brought())?.things).toBe(2);
  });
});
