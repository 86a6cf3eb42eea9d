import { type CarriedLook, type LookDoc, routes } from '@bright-keeper/contract';
import { QueryClient } from '@tanstack/react-query';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { keys } from '../api/keys';
import { reach } from '../api/reach';
import { replaceOutside } from '../outside';
import { type Answered, type Call, forgetKept, household, idOf, keptWith, NOW, pageOf } from '../testing/kept';
import { carryOver } from './carry';
import type { Kept } from './Kept';

let giveBack = () => {};
// What an earlier page found silent is none of this one's.
beforeEach(() => reach.answered());
afterEach(async () => {
  giveBack();
  await forgetKept();
});

const LENS = idOf(1);
const nobody = () => Promise.resolve();
const carry = (kept: Kept) => carryOver(kept.room, nobody);

/** A look of one surface, finished here. */
async function lookedAt(kept: Kept, itemId: string): Promise<LookDoc> {
  const look = await kept.looks.begin(itemId);
  await kept.looks.save(look.id, { at: 'front-glass', answers: [{ surface: 'front-glass', findings: [], note: '' }] });
  await kept.looks.finish(look.id);
  return look;
}

/** A household that takes everything, each id once. */
function takesAll(fate: () => 'taken' | 'silence' | 'answer-lost' = () => 'taken') {
  const known: string[] = [];
  const answer = ({ method, path, body }: Call): Answered => {
    if (method === 'GET') return { body: { devices: [] } };
    const how = fate();
    if (how === 'silence') return how;
    const id = /looks\/([^/]+)\/carried/.exec(path)?.[1] ?? (body as { later: { id: string } }).later.id;
    if (!known.includes(id)) known.push(id);
    return how === 'answer-lost' ? how : { body: { id, answers: (body as CarriedLook).answers ?? [] } };
  };
  return { known, answer };
}

describe('what waits', () => {
  it('is carried over with how long ago it was, whatever this device’s clock says', async () => {
    const clock = { now: new Date('2027-05-01T12:00:00Z') };
    const { calls, giveBack: g } = household(takesAll().answer, clock);
    giveBack = g;
    const kept = await keptWith([pageOf(LENS)]);
    await lookedAt(kept, LENS);
    clock.now = new Date('2027-05-01T13:30:00Z');
    expect(await carry(kept)).toBe(true);
    expect(calls).toMatchObject([{ method: 'PUT', body: { itemId: LENS, startedAgoS: 5400, endedAgoS: 5400, base: null } }]);
    expect(kept.room.list()).toEqual([]);
  });

  it('is of now where the clock was set back meanwhile, and never of the future', async () => {
    const clock = { now: NOW };
    const { calls, giveBack: g } = household(takesAll().answer, clock);
    giveBack = g;
    const kept = await keptWith([pageOf(LENS)]);
    await lookedAt(kept, LENS);
    clock.now = new Date('2001-01-01T00:00:00Z');
    await carry(kept);
    expect(calls).toMatchObject([{ body: { endedAgoS: 0 } }]);
  });

  it('stays, with why, where the household refuses it; what hangs on it stays behind it, and the rest goes on', async () => {
    const other = idOf(2);
    const { giveBack: g } = household(({ path, body }) =>
      path.includes('carried') && (body as CarriedLook).itemId === LENS
        ? { problem: { status: 404, code: 'item-not-found', title: 'Not there' } }
        : { body: { id: path.split('/').at(-2), answers: [] } },
    );
    giveBack = g;
    const kept = await keptWith([pageOf(LENS), pageOf(other)]);
    const refused = await lookedAt(kept, LENS);
    await kept.notes.happened({ happening: 'rain', itemIds: [LENS], later: { id: idOf(9), agoS: 0 } });
    await lookedAt(kept, other);
    expect(await carry(kept)).toBe(true);
    expect(kept.room.list().map(({ id, trouble }) => [id, trouble?.code ?? null])).toEqual([
      [refused.id, 'item-not-found'],
      [idOf(9), null],
    ]);
  });

  it.each([
    ['is silent', 'silence' as const],
    ['does not let this browser in any more', { problem: { status: 401, code: 'not-in' } }],
    ['has a fault of its own', { problem: { status: 503, code: 'database-away' } }],
    ['is asked too often', { problem: { status: 429, code: 'too-often' } }],
  ])('waits on, without a reproach, while the household %s', async (_, answer) => {
    giveBack = household(() => answer).giveBack;
    const kept = await keptWith([pageOf(LENS)]);
    await lookedAt(kept, LENS);
    expect(await carry(kept)).toBe(false);
    expect(kept.room.list()).toMatchObject([{ kind: 'look', trouble: null }]);
  });

  it('is gone on with on top of what has arrived, where it was changed on its way', async () => {
    const answers = [{ surface: 'front-glass' as const, findings: [], note: 'mine, and more' }];
    const { giveBack: g } = household(() => ({ body: { id: 'x', answers: [] } }));
    giveBack = g;
    const kept = await keptWith([pageOf(LENS)]);
    const look = await kept.looks.begin(LENS);
    await carryOver(kept.room, async () => void (await kept.looks.save(look.id, { at: null, answers })));
    expect(kept.room.list()).toMatchObject([{ id: look.id, base: [], look: { answers } }]);
  });

  it('outlives the page, in the order in which it was done', async () => {
    giveBack = household(() => 'silence').giveBack;
    const first = await keptWith([pageOf(LENS), pageOf(idOf(2))]);
    const ids = [await lookedAt(first, LENS), await lookedAt(first, idOf(2)), await lookedAt(first, LENS)].map(({ id }) => id);
    const again = await keptWith();
    expect(again.room.list().map(({ id }) => id)).toEqual(ids);
  });

  it('takes five hundred, and hands each over once', async () => {
    const { known, answer } = takesAll();
    giveBack = household(answer).giveBack;
    const kept = await keptWith([pageOf(LENS)]);
    for (let i = 0; i < 500; i += 1) await kept.notes.happened({ happening: 'rain', itemIds: [LENS], later: { id: idOf(i), agoS: 0 } });
    expect(await carry(kept)).toBe(true);
    expect(known).toHaveLength(500);
    expect(kept.room.list()).toEqual([]);
  });

  it('over a line that loses calls and answers arrives whole, once, in order', async () => {
    const fates = fc.array(fc.constantFrom('taken' as const, 'silence' as const, 'answer-lost' as const), { maxLength: 30 });
    await fc.assert(
      fc.asyncProperty(fates, fc.array(fc.boolean(), { minLength: 1, maxLength: 8 }), async (all, deeds) => {
        const left = [...all];
        const { known, answer } = takesAll(() => left.shift() ?? 'taken');
        const { giveBack: end } = household(answer);
        const kept = await keptWith([pageOf(LENS)]);
        const ids: string[] = [];
        for (const [i, isLook] of deeds.entries()) {
          if (isLook) ids.push((await lookedAt(kept, LENS)).id);
          else {
            ids.push(idOf(i));
            await kept.notes.happened({ happening: 'rain', itemIds: [LENS], later: { id: idOf(i), agoS: 0 } });
          }
        }
        for (let tries = 0; kept.room.list().length > 0 && tries < 40; tries += 1) {
          reach.answered();
          await carry(kept);
        }
        end();
        await forgetKept();
        expect(known).toEqual(ids);
      }),
      { numRuns: 40, seed: 26 },
    );
  });
});

describe('a household that is there', () => {
  it('is told at once what is kept while something of it waits, and asked again where it could not take it', async () => {
    let takes = false;
    const waits: (() => void)[] = [];
    const { calls, giveBack: g } = household(({ path }) =>
      takes ? { body: { id: path.split('/').at(-2), answers: [] } } : { problem: { status: 503, code: 'database-away' } },
    );
    giveBack = g;
    const undo = replaceOutside({ wait: () => new Promise((resolve) => void waits.push(resolve)) });
    const kept = await keptWith([pageOf(LENS)]);
    kept.start();
    await kept.looks.begin(LENS);
    await expect.poll(() => calls.filter(({ path }) => path.includes('carried')).length).toBeGreaterThan(0);
    expect(kept.room.list()).toMatchObject([{ trouble: null }]);
    takes = true;
    await expect
      .poll(() => {
        for (const goOn of waits.splice(0)) goOn();
        return kept.room.list();
      })
      .toEqual([]);
    undo();
  });
});

describe('a page that shows what was kept', () => {
  it('asks for all of it anew when the household is back, which may have let this browser go meanwhile', async () => {
    giveBack = household(() => ({ body: {} })).giveBack;
    const queries = new QueryClient();
    const kept = await keptWith([pageOf(LENS)], queries);
    kept.start();
    reach.silent();
    queries.setQueryData(keys.item(LENS), pageOf(LENS));
    expect(queries.getQueryState(keys.item(LENS))?.isInvalidated).toBe(false);
    reach.answered();
    expect(queries.getQueryState(keys.item(LENS))?.isInvalidated).toBe(true);
  });
});

describe('a timer', () => {
  it('is carried over with what is left of it, and not at all once it has run down', async () => {
    const clock = { now: NOW };
    const { calls, giveBack: g } = household(() => ({ body: {} }), clock);
    giveBack = g;
    const kept = await keptWith();
    const timer = { size: null, wrapping: 'bare' as const, itemId: null } as const;
    await kept.notes.timer({ ...timer, minutes: 90 });
    await kept.notes.timer({ ...timer, minutes: 20 });
    clock.now = new Date(NOW.getTime() + 40 * 60_000);
    await carry(kept);
    expect(calls.map(({ path, body }) => [path, (body as { minutes: number }).minutes])).toEqual([[routes.timers, 50]]);
    expect(kept.room.list()).toEqual([]);
  });
});

describe('a reading by hand', () => {
  it('makes the dial of its place first, and is of when it was read', async () => {
    const clock = { now: NOW };
    const { calls, giveBack: g } = household(
      ({ method, path }) => ({ body: method === 'GET' ? { devices: [] } : path === routes.devices ? { id: idOf(7) } : {} }),
      clock,
    );
    giveBack = g;
    const kept = await keptWith();
    await kept.notes.reading({ at: null, temperatureC: 21, humidityPct: 55 }, { place: { id: idOf(3), name: 'Cupboard' } });
    clock.now = new Date(NOW.getTime() + 3_600_000);
    await carry(kept);
    expect(calls.filter(({ method }) => method === 'POST')).toMatchObject([
      { path: routes.devices, body: { placeId: idOf(3), source: 'hand' } },
      { path: routes.deviceReadings(idOf(7)), body: { at: NOW.toISOString(), temperatureC: 21 } },
    ]);
  });
});
