import { describe, expect, it } from 'vitest';
import { surfacesOf } from '../care/kinds/index.js';
import type { Surface } from '../care/knowledge/index.js';
import { checkDuty } from './duties/checkDuty.js';
import { cleaned, cupboard, entry, house, NOW, outing, riskyCupboard, saw, thing, TODAY, whole, WORLDS } from './testing/worlds.js';
import { addDays, agendaFrom, DUTY_CODES, dutyFacts, expectedOf, firstTurns, isAtHand, notedOutdoors } from './index.js';
import type { DutyCode, Entry, Facts, ThingFacts } from './index.js';

/*
 * What settles a duty: by surface, light and deed. Sections “What settles a duty” and 10 of the care knowledge: common
 * practice throughout.
 */
const at = (code: DutyCode, journal: Entry[], facts: Facts = house(), now = NOW) =>
  agendaFrom(facts, journal, [], { now }).duties.find((d) => d.code === code && d.ahead === 0);

describe('the torch look of a neighbour', () => {
  const isolated = entry('2026-05-31', { kind: 'neighbour-isolated', name: 'Sick' });
  it.each<[string, Entry[], boolean]>([
    ['nothing', [], false],
    ['a wipe of the front in the field', [cleaned(TODAY, { 'front-glass': 'clean-enough' }, 'field')], false],
    ['a look at the front alone', [saw(TODAY, 'front-glass', 'rear-glass')], false],
    ['a torch through it', [saw(TODAY, 'inner-glass')], true],
    ['a torch through it the week before', [saw('2026-05-20', 'inner-glass')], false],
    ['a clean that left the inner glass', [cleaned(TODAY, { 'inner-glass': 'left' })], false],
  ])('after %s is settled: %s', (_, journal, settled) => {
    const duty = at('neighbour-look', [isolated, ...journal]);
    expect(duty === undefined).toBe(settled);
  });

  it('of a thing without an inside asks for its glass', () => {
    const filters = house([thing({ kind: 'filter' })]);
    expect(at('neighbour-look', [isolated, saw(TODAY, 'filter-front')], filters)!.facts).toMatchObject({
      sight: { asked: ['filter-front', 'filter-back'], seen: ['filter-front'] },
    });
    expect(at('neighbour-look', [isolated, saw(TODAY, 'filter-front', 'filter-back')], filters)).toBeUndefined();
  });
});

describe('the look after salt', () => {
  const spray = entry('2026-05-31', { kind: 'outdoors', happening: 'spray' });
  const outer: Surface[] = ['front-glass', 'hood-outside', 'barrel', 'focus-ring'];

  it('asks for every outer surface that was out, and tells how many were seen', () => {
    const half = at('home-care', [spray, saw(TODAY, 'front-glass', 'barrel')])!;
    expect(half.facts).toMatchObject({ sight: { seen: ['front-glass', 'barrel'] } });
    expect([...(half.facts as { sight: { asked: Surface[] } }).sight.asked].sort()).toEqual([...outer].sort());
    expect(at('home-care', [spray, saw(TODAY, ...outer)])).toBeUndefined();
  });
  it.each<[string, Entry]>([
    ['a wipe of the front out there', cleaned(TODAY, { 'front-glass': 'clean-enough' }, 'field')],
    ['a clean at home of the front alone', cleaned(TODAY, { 'front-glass': 'clean-enough' })],
    ['a torch through it', saw(TODAY, 'inner-glass')],
  ])('is not settled by %s', (_, e) => expect(at('home-care', [spray, e])).toBeDefined());
  it('is put together from a clean of some and a look at the rest', () => {
    const clean = cleaned(TODAY, { 'front-glass': 'clean-enough', barrel: 'clean-enough' });
    expect(at('home-care', [spray, clean, saw(TODAY, 'hood-outside', 'focus-ring')])).toBeUndefined();
  });
  it('comes back with what happens after the look', () => {
    expect(at('home-care', [spray, saw('2026-05-31', ...outer), entry(TODAY, { kind: 'outdoors', happening: 'sand' })])).toBeDefined();
  });
  it('what was put off in the field is settled where it was put off, and nowhere else', () => {
    const left = entry('2026-05-30', { kind: 'left-for-home', surfaces: ['rear-glass'] });
    expect(at('home-care', [left, saw(TODAY, 'front-glass')])).toBeDefined();
    expect(at('home-care', [left, saw(TODAY, 'rear-glass')])).toBeUndefined();
  });
});

describe('looks that recur', () => {
  it('a light test asks for the inside by a torch; a wiped front is none', () => {
    expect(at('light-test', [whole('2026-03-01'), cleaned('2026-05-30', { 'front-glass': 'clean-enough' })])!.window.due).toBe(
      '2026-06-01',
    );
    expect(at('light-test', [whole('2026-03-01'), saw('2026-05-30', 'inner-glass')])!.window.due).toBe('2026-08-30');
  });
  it('both faces of a filter, not one', () => {
    const facts = house([thing({ kind: 'filter' })]);
    const half = at('filter-look', [saw('2026-05-30', 'filter-front')], facts)!;
    expect(half.facts).toMatchObject({ because: [{ because: 'half-looked-at' }], sight: { seen: ['filter-front'] } });
    expect(at('filter-look', [saw('2026-05-30', 'filter-front', 'filter-back')], facts)!.window.due).toBe('2026-11-30');
  });
  it('a port’s faces and its ring', () => {
    const facts = house([thing({ kind: 'port' })]);
    expect(at('filter-look', [saw('2026-05-30', 'port-outside', 'port-inside')], facts)!.facts).toMatchObject({
      because: [{ because: 'half-looked-at' }],
    });
    expect(at('filter-look', [saw('2026-05-30', 'port-outside', 'port-inside', 'o-ring')], facts)!.window.due).toBe('2026-11-30');
  });
  it('glances a month apart are one look, and further apart are none', () => {
    const facts = house([thing({ kind: 'filter' })]);
    const faces = (first: string) => at('filter-look', [saw(first, 'filter-front'), saw('2026-05-30', 'filter-back')], facts)!.facts;
    expect(faces('2026-05-01')).toMatchObject({ because: [{ because: 'last-look' }] });
    expect(faces('2026-03-01')).toMatchObject({ because: [{ because: 'half-looked-at' }] });
  });
  it('a sensor is settled by a test frame or a look at it, and by no look elsewhere', () => {
    const facts = house([thing({ kind: 'mirrorless-body' })]);
    const frame = entry('2026-05-30', { kind: 'frame', frameId: 'f', fNumber: 16, specks: 0 });
    expect(at('sensor-frame', [saw('2026-05-30', 'body-shell', 'screen')], facts)!.facts).toMatchObject({
      because: [{ because: 'never-looked-at' }],
    });
    expect(at('sensor-frame', [frame], facts)!.window.due).toBe('2026-08-30');
    expect(at('sensor-frame', [saw('2026-05-30', 'sensor-cover')], facts)!.window.due).toBe('2026-08-30');
  });
  it('battery contacts are seen in the bay, or ticked off', () => {
    const facts = house([thing({ kind: 'compact' })]);
    const due = (journal: Entry[]) => at('battery-contacts', journal, facts)!.window.due;
    expect(due([saw('2026-05-30', 'battery-bay', 'battery-contacts')])).toBe('2026-11-30');
    expect(due([saw('2026-05-30', 'battery-bay')])).toBe(due([]));
  });
  it('a look of an earlier version, which did not keep what it saw, counts for all', () => {
    const old = entry('2026-05-30', { kind: 'look', lookId: 'l', looked: 2, notes: [], verdicts: [] });
    expect(at('light-test', [old])!.window.due).toBe('2026-08-30');
  });
  it('what comes back from a workshop is looked at all over', () => {
    const back = entry('2026-05-30', { kind: 'back' });
    expect(at('return-look', [back, saw('2026-05-31', 'front-glass')])!.facts).toMatchObject({ sight: { seen: ['front-glass'] } });
    expect(at('return-look', [back, whole('2026-05-31')])).toBeUndefined();
  });
  it('what a clean left undone is looked at where it was left', () => {
    const clean = cleaned('2026-05-20', { 'front-glass': 'clean-enough', barrel: 'left', 'rear-glass': 'did-not-come-off' });
    expect(at('follow-up-look', [clean])!.facts).toMatchObject({ sight: { asked: ['barrel', 'rear-glass'] } });
    expect(at('follow-up-look', [clean, saw('2026-05-30', 'front-glass')])).toBeDefined();
    expect(at('follow-up-look', [clean, saw('2026-05-30', 'barrel', 'rear-glass')])).toBeUndefined();
  });
  it('quarantine: where growth was found and through it', () => {
    const sick = thing({
      status: 'quarantined',
      surfaces: [
        {
          surface: 'front-glass',
          verdict: 'isolate',
          findings: [{ soil: 'fungus-outside', severity: 2 }],
          because: { reason: 'growth', soil: 'fungus-outside' },
        },
      ],
    });
    const shut = entry('2026-05-01', { kind: 'quarantined' });
    const due = (journal: Entry[]) => at('quarantine-look', [shut, ...journal], house([sick]))!.window.due;
    expect(due([saw('2026-05-29', 'inner-glass')])).toBe('2026-05-29');
    expect(due([saw('2026-05-29', 'inner-glass', 'front-glass')])).toBe('2026-06-26');
  });
});

describe('an outing of many days', () => {
  const shore = outing('2026-05-30', '2026-06-12', { met: ['salt'], notedAt: '2026-05-31T17:00:00Z' });
  const facts = house([thing()], { outings: [shore] });
  it('asks the same evening, and not only at its end', () => {
    expect(at('evening-look', [], facts)).toMatchObject({ window: { due: '2026-05-31', latest: '2026-05-31' }, gravity: 'harms' });
    expect(at('look-after-outing', [], facts)).toBeUndefined();
  });
  it('is settled by the outer surfaces seen after it was noted', () => {
    const outer: Surface[] = ['front-glass', 'hood-outside', 'barrel', 'focus-ring'];
    expect(at('evening-look', [saw('2026-05-30', ...outer)], facts)).toBeDefined();
    expect(at('evening-look', [saw(TODAY, 'front-glass')], facts)!.facts).toMatchObject({ sight: { seen: ['front-glass'] } });
    expect(at('evening-look', [saw(TODAY, ...outer)], facts)).toBeUndefined();
  });
  it('asks of nothing that met nothing, and of nothing that stayed at home', () => {
    expect(at('evening-look', [], house([thing()], { outings: [{ ...shore, met: ['dust'] }] }))).toBeUndefined();
    expect(at('evening-look', [], house([thing()], { outings: [{ ...shore, itemIds: [] }] }))).toBeUndefined();
  });
});

describe('a first shelf is no emergency', () => {
  const came = (n: number, traits: ThingFacts['traits'] = {}, on = '2026-06-01') =>
    Array.from({ length: n }, (_, i) => ({
      id: `${on}-${traits.yearMade ?? 'new'}-${String(i).padStart(4, '0')}`,
      traits,
      addedAt: `${on}T09:00:00Z`,
    }));
  const daysOf = (things: ReturnType<typeof came>) => {
    const turns = firstTurns(things, 'UTC', '2026-06-01');
    return things.map((t) => addDays(t.addedAt.slice(0, 10), turns.get(t.id) ?? 0));
  };
  it('a few things are looked at when they come', () => expect(firstTurns(came(4), 'UTC', '2026-06-01').size).toBe(0));
  it('of many the old come first, four a week', () => {
    const days = daysOf([...came(6), ...came(2, { yearMade: 1958 })]);
    expect(days.slice(6)).toEqual(['2026-06-01', '2026-06-01']);
    expect(days.slice(0, 6).sort()).toEqual(['2026-06-01', '2026-06-01', ...Array(4).fill('2026-06-08')]);
  });
  it('what lies damp comes first like the old', () => {
    const many = came(6).map((thing, i) => ({ ...thing, isDamp: i > 3 }));
    const of = (today: string) => {
      const turns = firstTurns(many, 'UTC', today);
      return many.map(({ id }) => turns.get(id) ?? 0);
    };
    expect(of('2026-06-01')).toEqual([0, 0, 7, 7, 0, 0]);
    // Known only on the third day: due then, and overdue no earlier than it would have been.
    expect(of('2026-06-04')).toEqual([0, 0, 7, 7, 3, 3]);
    expect(of('2026-07-01')).toEqual([0, 0, 7, 7, 7, 7]);
  });
  it('one that comes later waits only behind what still waits', () => {
    expect(daysOf([...came(6), ...came(1, {}, '2026-06-09'), ...came(1, {}, '2026-09-01')]).slice(6)).toEqual(['2026-06-09', '2026-09-01']);
  });
  it('a large shelf is through within a quarter, at no more a week than that takes', () => {
    for (const n of [5, 48, 49, 200, 5000]) {
      const days = daysOf(came(n)).sort();
      expect(days.at(-1)! <= '2026-08-24', `${n}`).toBe(true);
      const most = Math.max(4, Math.ceil(n / 12));
      for (const day of new Set(days)) expect(days.filter((d) => d >= day && d < addDays(day, 7)).length, `${n}`).toBeLessThanOrEqual(most);
    }
  });
  it('its turn is the day it is asked for; in damp air it does not wait', () => {
    const ask = (more: Partial<ThingFacts>, places: Facts['places'] = []) =>
      at('light-test', [], house([thing({ addedAt: '2026-05-31T10:00:00Z', turn: 21, ...more })], { places }));
    expect(ask({})).toMatchObject({ urgency: 'later', window: { earliest: '2026-06-21', due: '2026-06-21' } });
    const stay = { placeId: 'p', name: 'Cellar', forTravel: false, since: '2026-05-31T10:00:00Z' };
    expect(ask({ stay }, [riskyCupboard])!.window.due).toBe('2026-05-31');
  });
});

describe('growth takes weeks', () => {
  const tropics = house([thing()], { outings: [outing('2026-04-20', '2026-05-03', { met: ['damp'] })] });
  it('home from the damp the second look falls two to six weeks later, also when the first was clean', () => {
    expect(at('second-look', [whole('2026-05-04')], tropics)!.window).toEqual({
      earliest: '2026-05-17',
      due: '2026-05-31',
      latest: '2026-06-14',
    });
    expect(at('second-look', [saw('2026-05-30', 'front-glass')], tropics)).toBeDefined();
    expect(at('second-look', [saw('2026-05-30', 'inner-glass')], tropics)).toBeUndefined();
  });
  it('out of a damp cupboard, too, counted from the day it left or the air dried', () => {
    const stayed = { placeId: 'p', name: 'Cellar', since: '2026-03-01T10:00:00Z', until: '2026-05-10T10:00:00Z' };
    const cellar = (...dampSpells: { from: string; until: string }[]) =>
      house([thing({ stayed: [stayed] })], {
        places: [cupboard({ name: 'Cellar', dampSpells })],
      });
    const due = (...spells: { from: string; until: string }[]) => at('second-look', [whole('2026-03-25')], cellar(...spells));
    const spell = (from: string, until: string) => ({ from: `${from}T10:00:00Z`, until: `${until}T10:00:00Z` });
    expect(due(spell('2026-02-01', '2026-05-30'))).toMatchObject({
      window: { earliest: '2026-05-24', due: '2026-06-07', latest: '2026-06-21' },
      facts: { because: [{ because: 'lay-in-the-damp', name: 'Cellar' }] },
    });
    // The air dried while it still lay there.
    expect(due(spell('2026-02-01', '2026-04-30'))!.window.due).toBe('2026-05-28');
    // A week in all, in parts; less is no damp cupboard, nor is damp before it came or after it left.
    expect(due(spell('2026-03-01', '2026-03-05'), spell('2026-03-20', '2026-03-23'))!.window.due).toBe('2026-04-20');
    expect(due(spell('2026-03-01', '2026-03-07'))).toBeUndefined();
    expect(due(spell('2026-01-01', '2026-02-20'), spell('2026-05-11', '2026-05-30'))).toBeUndefined();
  });
  it('out of the water, too', () => {
    const wet = entry('2026-05-10', {
      kind: 'look',
      lookId: 'l',
      looked: 1,
      notes: [],
      seen: ['inner-glass'],
      verdicts: [{ surface: 'inner-glass', verdict: 'wait', findings: [{ soil: 'fresh-water', severity: 2 }] }],
    });
    expect(at('second-look', [wet])!.window.due).toBe('2026-06-07');
  });
});

describe('conditions end by the state of the world', () => {
  const found = (
    verdict: 'isolate' | 'hand-over' | 'weigh',
    soil: 'fungus' | 'fungus-outside' | 'haze',
    surface: Surface = 'inner-glass',
  ) => [{ surface, verdict, findings: [{ soil, severity: 3 as const }], because: { reason: 'growth' as const, soil } }];
  it('isolate, when it lies apart: then a cloth, or a workshop', () => {
    const sick = found('isolate', 'fungus');
    expect(at('isolate', [], house([thing({ surfaces: sick })]))).toBeDefined();
    const apart = house([thing({ surfaces: sick, status: 'quarantined' })]);
    expect(at('isolate', [], apart)).toBeUndefined();
    expect(at('hand-over', [], apart)).toBeDefined();
    const old = house([thing({ surfaces: sick, status: 'quarantined', traits: { yearMade: 1962 } })]);
    expect(at('weigh', [], old), 'behind a ring of its owner').toBeDefined();
    const reachable = house([thing({ surfaces: found('isolate', 'fungus-outside', 'front-glass'), status: 'quarantined' })]);
    expect(at('clean', [], reachable)).toBeDefined();
  });
  it('hand over, when one chose to live with it, and until the finding changes', () => {
    const looked = (severity: 2 | 3) =>
      entry('2026-05-20', {
        kind: 'look',
        lookId: 'l',
        looked: 1,
        notes: [],
        seen: ['inner-glass'],
        verdicts: [{ surface: 'inner-glass', verdict: 'hand-over', findings: [{ soil: 'haze', severity }] }],
      });
    const hazy = house([thing({ surfaces: found('hand-over', 'haze') })]);
    const accepted = entry('2026-05-21', { kind: 'skipped', task: 'hand-over', reason: 'lived-with', note: '' });
    expect(at('hand-over', [looked(3)], hazy)).toBeDefined();
    expect(at('hand-over', [looked(3), accepted], hazy)).toBeUndefined();
    expect(at('hand-over', [looked(2), accepted], hazy), 'it was less when it was accepted').toBeDefined();
    expect(
      at('isolate', [looked(3), accepted], house([thing({ surfaces: found('isolate', 'fungus') })])),
      'growth is not lived with',
    ).toBeDefined();
  });
  it('behind a stuck filter, when the filter is off', () => {
    const behind = (filterStuck: boolean) =>
      house([
        thing({
          traits: { filterFitted: true, filterStuck },
          surfaces: [
            {
              surface: 'front-glass',
              verdict: 'wait',
              findings: [{ soil: 'fingerprint', severity: 3 }],
              because: { reason: 'behind-stuck-filter' },
            },
          ],
        }),
      ]);
    expect(at('wait', [], behind(true))).toBeDefined();
    expect(at('wait', [], behind(false))).toBeUndefined();
    expect(at('clean', [], behind(false))).toBeDefined();
  });
  it('rubber that is shut in without air is aired every three months, and not where air moves', () => {
    const lies = (aired: boolean) =>
      house([
        thing({
          traits: { rubberisedCoating: true },
          stay: { placeId: 'p', name: 'Box', forTravel: false, aired, since: '2026-02-20T10:00:00Z' },
        }),
      ]);
    expect(at('rubber-airing', [], lies(false))!.window.due).toBe('2026-05-20');
    expect(at('rubber-airing', [entry('2026-05-25', { kind: 'care', task: 'rubber-airing' })], lies(false))!.window.due).toBe('2026-08-25');
    expect(at('rubber-airing', [], lies(true))).toBeUndefined();
  });
});

describe('one clean has one figure, and what eats does not slip', () => {
  const salty = (soil: 'salt' | 'dust', cleanMinutes = 8) =>
    house([
      thing({
        cleanMinutes,
        surfaces: [{ surface: 'barrel', verdict: 'clean', findings: [{ soil, severity: 2 }], because: { reason: 'after-every-outing' } }],
      }),
    ]);
  it('a look elsewhere gives what was found here no more time', () => {
    const surfaces = [
      {
        surface: 'barrel' as const,
        verdict: 'clean' as const,
        findings: [{ soil: 'dust' as const, severity: 2 as const }],
        because: { reason: 'after-every-outing' as const },
        knownSince: '2026-05-01T10:00:00Z',
      },
    ];
    expect(at('clean', [saw('2026-05-31', 'inner-glass')], house([thing({ surfaces })]))!.window).toEqual({
      earliest: '2026-05-01',
      due: '2026-05-01',
      latest: '2026-05-29',
    });
  });
  it('the minutes of its plan', () => expect(at('clean', [], salty('dust', 7.5))!.minutes).toBe(8));
  it('salt waits two days and outranks what only shows', () => {
    expect(at('clean', [saw('2026-05-31', 'barrel')], salty('salt'))).toMatchObject({ gravity: 'harms', window: { latest: '2026-06-02' } });
    expect(at('clean', [saw('2026-05-31', 'barrel')], salty('dust'))).toMatchObject({ gravity: 'spoils' });
  });
});

describe('what was noted outdoors', () => {
  const spray = entry('2026-05-31', { kind: 'outdoors', happening: 'spray' });
  const surfaces = (journal: Entry[]) => notedOutdoors({ kind: 'lens', traits: {} }, journal).map((f) => f.surface);
  it('is expected until somebody looked there', () => {
    expect(surfaces([spray])).toContain('barrel');
    expect(surfaces([spray, saw(TODAY, 'barrel')])).not.toContain('barrel');
    expect(surfaces([spray, saw(TODAY, 'barrel')])).toContain('front-glass');
    expect(surfaces([spray, cleaned(TODAY, { 'front-glass': 'left' })])).toContain('front-glass');
  });
  it('is one answer to a surface, whatever happened to it, under what happened last', () => {
    const sand = entry('2026-06-01', { kind: 'outdoors', happening: 'sand' });
    const noted = notedOutdoors({ kind: 'lens', traits: {} }, [spray, sand]);
    const expected = expectedOf(noted);
    expect(new Set(expected.map((e) => e.surface)).size).toBe(expected.length);
    expect(expected.flatMap((e) => e.findings)).toHaveLength(noted.length);
    const barrel = expected.find((e) => e.surface === 'barrel')!;
    expect(barrel.findings.length).toBeGreaterThan(1);
    expect(barrel.noted).toBe('sand');
  });
});

/** A world for each duty in which it falls due: one that no world makes due would never be heard of. */
describe('every duty', () => {
  it.each(DUTY_CODES)('%s is whole', (code) => expect(checkDuty(code, dutyFacts(code))).toEqual([]));
  it.each([
    ['no kind', { kinds: [] }, /names no kind/],
    ['no words for its end', { settledBy: { state: '' } }, /wants words for the state/],
    ['no time', { minutes: 0 }, /minutes/],
    ['an action that leads elsewhere', { doneBy: 'drawer', settledBy: { seeing: 'inside' } }, /does not lead to a look/],
  ] as const)('that has %s is named as broken', (_, change, fault) =>
    expect(checkDuty('x', { ...dutyFacts('light-test'), ...change }).join()).toMatch(fault),
  );

  const due = new Set(
    WORLDS.flatMap(([facts, journal]) =>
      agendaFrom(facts, journal, [], { now: NOW, until: addDays(TODAY, 365) }).duties.map((d) => d.code),
    ),
  );
  it.each(DUTY_CODES)('%s falls due in some world', (code) => expect(due, 'add a world in which it does').toContain(code));

  it('that is settled by seeing is not at hand on the day all of the thing was seen', () => {
    for (const [facts, journal] of WORLDS)
      for (const { kind } of facts.things) {
        const seen = entry(TODAY, {
          kind: 'look',
          lookId: 'x',
          looked: 9,
          notes: [],
          verdicts: [],
          seen: surfacesOf(kind, facts.things[0]!.traits),
        });
        const left = agendaFrom(facts, [...journal, { ...seen, at: '2026-06-01T09:59:00Z' }], [], { now: NOW }).duties.filter(
          (d) =>
            d.subject.kind === 'thing' &&
            isAtHand(d) &&
            'seeing' in dutyFacts(d.code).settledBy &&
            d.window.earliest <= TODAY &&
            d.window.due < TODAY,
        );
        expect(
          left.map((d) => d.code),
          kind,
        ).toEqual([]);
      }
  });
});
