import { describe, expect, it } from 'vitest';
import { kitFor, mayTravel, needsOf, type OutingToCome, TRAVELS } from './kitFor.js';
import { CARRIED_IDS, carriedFacts } from './knowledge/carried.js';
import { checkGround, GROUND_IDS, type GroundFacts, groundFacts, WEATHERS } from './grounds/index.js';
import { FIELD_NEED_IDS } from './knowledge/needs.js';

const outing = (more: Partial<OutingToCome> = {}): OutingToCome => ({
  grounds: ['town'],
  days: 1,
  weather: [],
  travel: 'own-way',
  ...more,
});
const idsOf = (more: Partial<OutingToCome>, limits = {}) => kitFor(outing(more), limits).things.map((t) => t.id);

describe('what a kit is made of', () => {
  it.each(GROUND_IDS)('the ground is whole: %s', (id) => expect(checkGround(id, groundFacts(id))).toEqual([]));
  it.each<[string, Partial<GroundFacts>, RegExp]>([
    ['no name', { name: '' }, /wants a name/],
    ['no words', { words: [] }, /by which it is searched/],
    ['no risk', { risks: [] }, /nothing of what may be needed/],
    ['a risk that is sure to be none', { risks: [{ need: 'dew', aDay: 0 }] }, /dew: how likely/],
    ['no dirt', { dirt: [] }, /nothing of what dirties there/],
    ['dirt that is surer than sure', { dirt: [{ soil: 'dust', aDay: 1.2 }] }, /dust: how likely/],
    ['nothing to do at home', { asks: [{ ask: 'caps-there' }, { ask: 'bag-closed' }] }, /nothing at home again/],
    ['what is asked in some weather only', { asks: [{ ask: 'caps-there', in: 'rain' }] }, /nothing before one leaves/],
    ['salt nobody takes off', { dirt: [{ soil: 'salt', aDay: 0.5 }] }, /salt comes home from it, and nothing asks for salt-off/],
  ])('a ground with %s is refused by name', (_, wrong, words) =>
    expect(checkGround('x', { ...groundFacts('town'), ...wrong }).join()).toMatch(words),
  );

  it('every need is met by something one may carry, on every way one may travel but for cells in the post', () => {
    const unmet = (travel: (typeof TRAVELS)[number]) =>
      FIELD_NEED_IDS.filter((need) => !CARRIED_IDS.some((id) => mayTravel(id, travel) && carriedFacts(id).covers[need] !== undefined));
    expect(unmet('own-way')).toEqual([]);
    expect(unmet('flight')).toEqual([]);
    expect(unmet('post')).toEqual(['cell-empty', 'dark']);
  });
  it('every need arises somewhere, and everything that can be carried is worth it somewhere', () => {
    const everywhere = outing({ grounds: GROUND_IDS, weather: WEATHERS, days: 7 });
    expect(needsOf(everywhere).map((n) => n.id)).toEqual(FIELD_NEED_IDS);
    const worth = new Set(GROUND_IDS.flatMap((g) => idsOf({ grounds: [g], weather: WEATHERS, days: 7 })));
    const flown = new Set(GROUND_IDS.flatMap((g) => idsOf({ grounds: [g], weather: WEATHERS, days: 7, travel: 'flight' })));
    expect(CARRIED_IDS.filter((id) => !worth.has(id) && !flown.has(id))).toEqual([]);
  });
});

describe('a kit for an outing', () => {
  it('is not expected to need less for more ground, more days or more weather', () => {
    const trouble = (more: Partial<OutingToCome>) => needsOf(outing(more)).reduce((sum, n) => sum + n.likelihood * n.loss, 0);
    for (const a of GROUND_IDS)
      for (const b of GROUND_IDS) {
        expect(trouble({ grounds: [a, b] })).toBeGreaterThanOrEqual(trouble({ grounds: [a] }) - 1e-9);
        expect(kitFor(outing({ grounds: [a, b] }), { massG: 400 }).expectedMin).toBeGreaterThanOrEqual(
          kitFor(outing({ grounds: [a] }), { massG: 400 }).expectedMin - 1e-9,
        );
      }
    for (const ground of GROUND_IDS) {
      let before = 0;
      for (const days of [1, 2, 5, 20]) {
        const now = trouble({ grounds: [ground], days });
        expect(now).toBeGreaterThanOrEqual(before);
        before = now;
      }
      for (const w of WEATHERS) expect(trouble({ grounds: [ground], weather: [w] })).toBeGreaterThanOrEqual(trouble({ grounds: [ground] }));
    }
  });

  it('leaves no more the more may be carried, and stays within it', () => {
    for (const grounds of [['shore'], ['snow'], ['night-sky', 'mountain']] as const) {
      let before = Infinity;
      for (let massG = 0; massG <= 1500; massG += 150) {
        const kit = kitFor(outing({ grounds, weather: ['wind', 'cold'], days: 3 }), { massG });
        expect(kit.massG).toBeLessThanOrEqual(massG);
        expect(kit.expectedMin).toBeLessThanOrEqual(before + 1e-9);
        before = kit.expectedMin;
      }
    }
  });

  it('has nothing in it that costs nothing to leave out, and says what each is for', () => {
    for (const ground of GROUND_IDS)
      for (const { leftOutCostsMin, isFor } of kitFor(outing({ grounds: [ground], weather: WEATHERS, days: 4 }), {}).things) {
        expect(leftOutCostsMin).toBeGreaterThan(0);
        expect(isFor.length).toBeGreaterThan(0);
      }
  });

  // The kit of the field by place, care knowledge section 9 (common practice).
  it('holds what the trade takes there', () => {
    expect(idsOf({ grounds: ['town'] })).toEqual(expect.arrayContaining(['blower', 'spare-caps', 'rubber-bands', 'keys', 'spare-cell']));
    expect(idsOf({ grounds: ['desert'], weather: ['wind'] })).toEqual(expect.arrayContaining(['sand-brush', 'seam-tape', 'spare-filter']));
    expect(idsOf({ grounds: ['boat'] })).toEqual(expect.arrayContaining(['fresh-water', 'towel', 'sachets']));
    expect(idsOf({ grounds: ['night-sky'], weather: ['damp-night'] })).toEqual(expect.arrayContaining(['dew-strap', 'red-light']));
    expect(idsOf({ grounds: ['snow'], weather: ['cold'] })).toEqual(expect.arrayContaining(['large-bag', 'sachets', 'spare-cell']));
    expect(idsOf({ grounds: ['forest'], weather: ['rain'] })).toEqual(expect.arrayContaining(['rain-cover', 'sachets', 'zip-bags']));
    expect(idsOf({ grounds: ['studio'] })).not.toEqual(expect.arrayContaining(['rain-cover']));
  });

  it('flies without anything flammable, goes by post without cells as well, and says what stayed for it', () => {
    const hazards = (more: Partial<OutingToCome>) =>
      idsOf({ grounds: ['shore', 'night-sky'], weather: WEATHERS, ...more }).map((id) => carriedFacts(id).hazard);
    expect(hazards({ travel: 'flight' })).not.toContain('flammable');
    expect(hazards({ travel: 'flight' })).toContain('cells');
    expect(hazards({ travel: 'post' }).filter((h) => h !== undefined)).toEqual([]);
    expect(kitFor(outing({ travel: 'flight' }), {}).stays).toEqual(['wet-wipes']);
    expect(kitFor(outing({ travel: 'post' }), {}).stays).toContain('spare-cell');
    expect(kitFor(outing(), {}).stays).toEqual([]);
    expect(idsOf({ travel: 'flight', grounds: ['shore'] })).toContain('plain-wipes');
  });

  it('costs nothing more for what one has', () => {
    const bought = kitFor(outing({ grounds: ['shore'] }), { price: 20 });
    const owned = kitFor(outing({ grounds: ['shore'] }), { price: 20 }, CARRIED_IDS);
    expect(bought.price).toBeLessThanOrEqual(20);
    expect(owned.price).toBe(0);
    expect(owned.expectedMin).toBeLessThan(bought.expectedMin);
  });

  it('says what nothing in it meets', () => {
    expect(kitFor(outing({ grounds: ['night-sky'] }), { massG: 0 }).unmet).toContain('dark');
    expect(kitFor(outing({ grounds: ['night-sky'] }), {}).unmet).toEqual([]);
  });
});
