import { describe, expect, it } from 'vitest';
import { ASK_IDS, askFacts, asksOf, dirtOf, GROUND_IDS, type GroundId, PHASES, type Weather, WEATHERS } from './index.js';

const everything = (going: { grounds: GroundId[]; weather: Weather[] }) => PHASES.flatMap((phase) => asksOf(going, phase));

describe('what grounds ask for', () => {
  // Common practice, by ground: what is asked before one leaves, out there, and at home again.
  it.each<[GroundId, Weather[], string[]]>([
    ['shore', ['wind'], ['water-along', 'seams-taped', 'back-to-the-wind', 'salt-same-evening', 'grains-first', 'salt-off']],
    ['boat', [], ['water-along', 'cover-on-top', 'salt-same-evening', 'salt-off', 'dried-open']],
    ['desert', [], ['seams-taped', 'fewest-changes', 'bag-closed', 'grains-first', 'bag-emptied']],
    ['rain-forest', [], ['zip-bags', 'air-every-evening', 'closed-before-warm', 'dried-open', 'second-look']],
    ['snow', [], ['zip-bags', 'cells-warm', 'no-breath', 'closed-before-warm']],
    ['night-sky', [], ['night-kit', 'strap-before-dew', 'closed-before-warm']],
    ['under-water', [], ['o-rings-looked-at', 'water-along', 'rinse-before-opening', 'salt-off']],
    ['studio', [], ['off-the-floor']],
    ['mountain', ['rain'], ['cover-on-top', 'dried-open', 'second-look']],
    ['town', ['cold'], ['cells-warm', 'closed-before-warm']],
    ['forest', [], ['bag-closed', 'dried-open']],
    ['other', ['damp-night'], ['night-kit', 'strap-before-dew']],
  ])('%s, %j: what nobody should forget', (ground, weather, wanted) => {
    const asked = everything({ grounds: [ground], weather });
    expect(wanted.filter((ask) => !asked.includes(ask as never))).toEqual([]);
    // Wherever one goes: cells, caps, the look on arrival, and the airing at home.
    for (const always of ['cells-charged', 'caps-there', 'arrival-look', 'aired-then-stored'] as const) expect(asked).toContain(always);
  });

  it('asks in a studio for nothing of the weather', () => {
    expect(everything({ grounds: ['studio'], weather: [...WEATHERS] })).toEqual(everything({ grounds: ['studio'], weather: [] }));
  });

  it('asks for no less on more ground or in more weather, for each thing once, and in its phase', () => {
    for (const a of GROUND_IDS)
      for (const b of GROUND_IDS)
        for (const weather of WEATHERS) {
          const less = everything({ grounds: [a], weather: [] });
          const more = everything({ grounds: [a, b], weather: [weather] });
          expect(less.filter((ask) => !more.includes(ask))).toEqual([]);
          expect(new Set(more).size).toBe(more.length);
        }
    for (const phase of PHASES)
      for (const ask of asksOf({ grounds: GROUND_IDS, weather: WEATHERS }, phase)) expect(askFacts(ask).phase).toBe(phase);
  });

  it('asks for everything somewhere', () => {
    expect(everything({ grounds: [...GROUND_IDS], weather: [...WEATHERS] }).sort()).toEqual([...ASK_IDS].sort());
  });

  it('writes what is done as a sentence, and why', () => {
    for (const id of ASK_IDS) {
      const { says, why } = askFacts(id);
      for (const words of [says, why]) expect(words).toMatch(/^[A-Z].*\.$/);
    }
  });
});

describe('what may dirty gear out there', () => {
  it('is likelier on more days, on more ground and in more weather, and never surer than sure', () => {
    const chance = (grounds: GroundId[], weather: Weather[], days: number) =>
      new Map(dirtOf({ grounds, weather }, days).map(({ soil, likelihood }) => [soil, likelihood]));
    for (const ground of GROUND_IDS)
      for (const more of GROUND_IDS)
        for (const weather of WEATHERS) {
          const [less, days, ground2, both] = [
            chance([ground], [], 1),
            chance([ground], [], 5),
            chance([ground, more], [], 1),
            chance([ground], [weather], 1),
          ];
          for (const [soil, likelihood] of less) {
            expect(likelihood > 0 && likelihood <= 1).toBe(true);
            for (const other of [days, ground2, both]) expect(other.get(soil)!).toBeGreaterThanOrEqual(likelihood);
          }
        }
  });

  it('is reckoned from the day anew: sand on a windy shore, 1 − 0.6 · 0.5 on one day', () => {
    const of = (days: number) => dirtOf({ grounds: ['shore'], weather: ['wind'] }, days).find(({ soil }) => soil === 'grit')!.likelihood;
    expect(of(1)).toBeCloseTo(1 - 0.6 * 0.5, 12);
    expect(of(3)).toBeCloseTo(1 - (0.6 * 0.5) ** 3, 12);
  });
});
