import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addDays,
  agendaFrom,
  DUTIES,
  DUTY_CODES,
  dutyFacts,
  GRAVITIES,
  gravityRank,
  isAtHand,
  lateOnReturn,
  NO_FACTS,
  oneLookEach,
  RHYTHM_CODES,
  rhythmTroubles,
} from './index.js';
import { NOW, riskyCupboard, thing as lens, TODAY } from './testing/worlds.js';
import type { DutyCode, Entry, Facts, JournalData, OutingFacts, RhythmChange, ThingFacts } from './index.js';

const house = (more: Partial<Facts> = {}): Facts => ({ ...NO_FACTS, timeZone: 'UTC', things: [lens()], ...more });
let n = 0;
const entry = (day: string, data: JournalData, more: Partial<Entry> = {}): Entry => ({
  id: `e${String(n++).padStart(4, '0')}`,
  at: `${day}T12:00:00Z`,
  subject: { kind: 'thing', id: 'a' },
  data,
  ...more,
});
const look = (day: string, findings: { surface: 'front-glass' | 'grip-rubber'; soil: 'dust' | 'sticky-coating' }[] = []): Entry =>
  entry(day, {
    kind: 'look',
    lookId: 'l',
    looked: 1,
    notes: [],
    verdicts: findings.map(({ surface, soil }) => ({ surface, verdict: 'leave', findings: [{ soil, severity: 2 }] })),
  });
const cleaned = (day: string, more: Partial<Extract<JournalData, { kind: 'clean' }>> = {}): Entry =>
  entry(day, { kind: 'clean', cleaningId: 'c', place: 'home', outcomes: {}, contacts: {}, methods: [], minutes: 5, ...more });
const outing = (day: string, more: Partial<OutingFacts> = {}): OutingFacts => ({
  id: `o${day}`,
  name: 'Out',
  from: day,
  to: day,
  notedAt: `${day}T06:00:00Z`,
  itemIds: ['a'],
  met: [],
  counts: {},
  ...more,
});

type Setting = { facts?: Facts; changes?: RhythmChange[]; now?: string; until?: string };
const duties = (journal: Entry[], { facts = house(), changes = [], now = NOW, until }: Setting = {}) =>
  agendaFrom(facts, journal, changes, { now, ...(until ? { until } : {}) }).duties;
const first = (code: DutyCode, journal: Entry[], setting?: Setting) =>
  duties(journal, setting).find((d) => d.code === code && d.ahead === 0);

describe('a clock that ran ahead', () => {
  const told: JournalData[] = [
    { kind: 'look', lookId: 'l', looked: 1, notes: [], verdicts: [] },
    { kind: 'clean', cleaningId: 'c', place: 'home', outcomes: {}, contacts: {}, methods: [], minutes: 5 },
    { kind: 'away', why: 'loan', until: null },
    { kind: 'quarantined' },
    { kind: 'neighbour-isolated', name: 'Another' },
    { kind: 'outdoors', happening: 'spray' },
    ...DUTY_CODES.flatMap((task): JournalData[] => [
      { kind: 'care', task },
      { kind: 'skipped', task, reason: 'not-needed', note: '' },
      { kind: 'snoozed', task, until: '2028-01-01' },
      { kind: 'planned', task, day: '2027-07-01' },
    ]),
  ];

  it.each(told)('settles, puts off and asks for nothing by what it dated: $kind $task', (data) => {
    const before = [look('2026-01-20'), cleaned('2026-02-01')];
    const ahead = entry('2027-06-02', data);
    expect(agendaFrom(house(), [...before, ahead], [], { now: NOW })).toEqual(agendaFrom(house(), before, [], { now: NOW }));
  });

  it('takes back what it took back, whenever that was', () => {
    const tick = entry('2026-05-01', { kind: 'care', task: 'light-test' });
    const undone = entry('2027-06-02', { kind: 'undone', entryId: tick.id });
    expect(agendaFrom(house(), [tick, undone], [], { now: NOW })).toEqual(agendaFrom(house(), [], [], { now: NOW }));
  });
});

/** Rhythms of section 10 of the care knowledge: common practice. */
describe('the rhythms of the trade', () => {
  it.each<[DutyCode, string, ThingFacts['kind'], Entry[], string, string, string]>([
    ['light-test', 'every 3 months, give or take 2 weeks', 'lens', [look('2026-05-31')], '2026-08-17', '2026-08-31', '2026-09-14'],
    [
      'sensor-frame',
      'every 3 months, give or take 2 weeks',
      'mirrorless-body',
      [look('2026-05-01')],
      '2026-07-18',
      '2026-08-01',
      '2026-08-15',
    ],
    [
      'exercise',
      'after 3 months without use, give or take 2 weeks',
      'lens',
      [entry('2026-05-01', { kind: 'care', task: 'exercise' })],
      '2026-07-18',
      '2026-08-01',
      '2026-08-15',
    ],
    [
      'shell-and-contacts',
      'every 6 months, give or take a month',
      'mirrorless-body',
      [cleaned('2026-05-01', { contacts: { contacts: 1 } })],
      '2026-10-02',
      '2026-11-01',
      '2026-12-01',
    ],
    [
      'battery-contacts',
      'every 6 months, give or take a month',
      'compact',
      [entry('2026-05-01', { kind: 'care', task: 'battery-contacts' })],
      '2026-10-02',
      '2026-11-01',
      '2026-12-01',
    ],
    ['filter-look', 'every 6 months, give or take a month', 'filter', [look('2026-05-01')], '2026-10-02', '2026-11-01', '2026-12-01'],
  ])('%s: %s', (code, _words, kind, journal, earliest, due, latest) => {
    expect(first(code, journal, { facts: house({ things: [lens({ kind })] }) })!.window).toEqual({ earliest, due, latest });
  });

  it('a sensor frame that was read counts as the frame: the next is counted from it', () => {
    const things = [lens({ kind: 'mirrorless-body' })];
    const read = entry('2026-05-20', { kind: 'frame', frameId: 'f', fNumber: 16, specks: 3 });
    expect(first('sensor-frame', [look('2026-05-01'), read], { facts: house({ things }) })!.window.due).toBe('2026-08-20');
  });

  it('a sensor frame is due after 10 outings, before its 3 months are over', () => {
    const things = [lens({ kind: 'mirrorless-body' })];
    const outings = Array.from({ length: 10 }, (_, i) => outing(addDays('2026-05-10', i)));
    expect(first('sensor-frame', [look('2026-05-01')], { facts: house({ things, outings }) })).toMatchObject({
      window: { due: '2026-05-19' },
      facts: { because: [{ because: 'used', of: 'outings', count: 10 }] },
    });
  });

  it('using a thing is exercise: it is asked for 3 months after the last outing', () => {
    expect(first('exercise', [], { facts: house({ outings: [outing('2026-05-20')] }) })!.window.due).toBe('2026-08-20');
  });

  it('a light test comes monthly while the air where it lies raises the fungus risk', () => {
    const facts = house({
      things: [lens({ stay: { placeId: 'p', name: 'Cupboard', forTravel: false, since: NOW } })],
      places: [riskyCupboard],
    });
    expect(first('light-test', [look('2026-05-20')], { facts })).toMatchObject({
      window: { due: '2026-06-20' },
      facts: { because: [{ because: 'last-look' }, { because: 'fungus-risk' }] },
    });
  });

  it('a quarantined thing is looked at every 4 weeks, give or take 4 days, and asked for nothing ordinary', () => {
    const facts = house({ things: [lens({ status: 'quarantined' })] });
    const all = duties([entry('2026-05-01', { kind: 'quarantined' })], { facts });
    expect(all.map((d) => d.code).filter((c, i, list) => list.indexOf(c) === i)).toEqual(['quarantine-look']);
    expect(all[0]!.window).toEqual({ earliest: '2026-05-25', due: '2026-05-29', latest: '2026-06-02' });
  });

  it('what shared a place with it is looked through now, after 4 and after 12 weeks; a look answers what its time had come for', () => {
    const isolated = entry('2026-05-20', { kind: 'neighbour-isolated', name: 'Sick' });
    const left = (journal: Entry[], now = NOW) =>
      duties(journal, { now })
        .filter((d) => d.code.startsWith('neighbour'))
        .map((d) => d.window.due);
    expect(left([isolated])).toEqual(['2026-05-20', '2026-06-17', '2026-08-12']);
    expect(left([isolated, look('2026-05-21')])).toEqual(['2026-06-17', '2026-08-12']);
    expect(left([isolated, look('2026-06-14')], '2026-06-15T10:00:00Z')).toEqual(['2026-08-12']);
  });

  it('cloths are washed after 10 uses or a month, and one nobody used stays clean', () => {
    const cloth = (usesSinceWash: number, state: 'clean' | 'dirty' = 'clean') =>
      house({
        things: [],
        supplies: [
          {
            id: 's',
            thing: 'glass-cloth',
            role: 'glass',
            state,
            usesSinceWash,
            stock: null,
            packPrice: null,
            packSize: null,
            addedAt: '2026-05-20T10:00:00Z',
          },
        ],
      });
    expect(first('cloth-wash', [], { facts: cloth(0) })).toBeUndefined();
    expect(first('cloth-wash', [], { facts: cloth(3) })!.window.due).toBe('2026-06-20');
    expect(first('cloth-wash', [], { facts: cloth(10) })).toMatchObject({ window: { due: TODAY }, gravity: 'spoils' });
    expect(first('cloth-wash', [], { facts: cloth(1, 'dirty') })!.window.due).toBe(TODAY);
  });

  it('a hygrometer is tested with salt once a year, give or take a month, and a station outdoors never', () => {
    const device = {
      id: 'h',
      name: 'Dial',
      outdoor: false,
      placeName: null,
      addedAt: '2025-01-01T10:00:00Z',
      silent: false,
      lastHeardAt: null,
    };
    const tested = entry('2025-09-10', { kind: 'salt-test' }, { subject: { kind: 'hygrometer', id: 'h' } });
    expect(first('salt-test', [tested], { facts: house({ hygrometers: [device] }) })!.window).toEqual({
      earliest: '2026-08-11',
      due: '2026-09-10',
      latest: '2026-10-10',
    });
    expect(first('salt-test', [], { facts: house({ hygrometers: [{ ...device, outdoor: true }] }) })).toBeUndefined();
  });

  it('a hygrometer gets a new cell once a year, counted from the last one (common practice), and a station outdoors never', () => {
    const device = {
      id: 'h',
      name: 'Dial',
      outdoor: false,
      placeName: null,
      addedAt: '2025-01-01T10:00:00Z',
      silent: false,
      lastHeardAt: null,
    };
    const changed = entry('2025-09-10', { kind: 'care', task: 'cell-change' }, { subject: { kind: 'hygrometer', id: 'h' } });
    expect(first('cell-change', [changed], { facts: house({ hygrometers: [device] }) })!.window).toEqual({
      earliest: '2026-08-11',
      due: '2026-09-10',
      latest: '2026-11-09',
    });
    expect(first('cell-change', [], { facts: house({ hygrometers: [{ ...device, outdoor: true }] }) })).toBeUndefined();
  });

  it('a cell is changed sooner where the device says so, outdoors too, until it was and the device has not said it since', () => {
    const device = {
      id: 'h',
      name: 'Probe',
      outdoor: true,
      placeName: null,
      addedAt: '2025-01-01T10:00:00Z',
      silent: false,
      lastHeardAt: null,
      batteryLow: { since: '2026-05-28T10:00:00Z', at: '2026-06-01T08:00:00Z', pct: 12 },
    };
    const change = (day: string) => entry(day, { kind: 'care', task: 'cell-change' }, { subject: { kind: 'hygrometer', id: 'h' } });
    const duty = (entries: Entry[], outdoor = true) =>
      first('cell-change', entries, { facts: house({ hygrometers: [{ ...device, outdoor }] }) });
    expect(duty([])).toMatchObject({
      window: { due: '2026-05-28', latest: '2026-06-04' },
      gravity: 'worsens',
      facts: { says: 'battery', pct: 12 },
    });
    // It was changed, and the device still says so the next morning.
    expect(duty([change('2026-05-31')])).toMatchObject({ window: { due: '2026-05-31' } });
    expect(duty([change('2026-06-01')])).toBeUndefined();
    expect(duty([change('2026-06-01')], false)).toMatchObject({ window: { due: '2027-06-01' }, facts: { says: 'rhythm' } });
  });

  it('a lost cap is asked for until it is ticked off; both ends are one errand, and a body has no front cap', () => {
    const lost = (day: string, surface: 'front-cap' | 'rear-cap') => entry(day, { kind: 'cap-missing', surface });
    const duty = (entries: Entry[], thing = lens()) => first('cap-missing', entries, { facts: house({ things: [thing] }) });
    expect(duty([])).toBeUndefined();
    const [front, rear] = [lost('2026-05-20', 'front-cap'), lost('2026-05-25', 'rear-cap')];
    expect(duty([front, rear])).toMatchObject({
      window: { due: '2026-05-20', latest: '2026-05-27' },
      facts: { missing: ['front-cap', 'rear-cap'] },
      gravity: 'worsens',
    });
    expect(duty([front, entry('2026-05-22', { kind: 'care', task: 'cap-missing' })])).toBeUndefined();
    expect(duty([front, entry('2026-05-22', { kind: 'care', task: 'cap-missing' }), rear])!.facts).toEqual({
      says: 'caps',
      missing: ['rear-cap'],
    });
    expect(duty([front], lens({ kind: 'mirrorless-body' }))).toBeUndefined();
  });

  it('what is nearly used up is asked for, all packs of it together; what nobody counted never is', () => {
    const packs = (...stocks: (number | null)[]) =>
      house({
        things: [],
        supplies: stocks.map((stock, i) => ({
          id: `s${i}`,
          thing: 'lens-tissue' as const,
          role: 'any' as const,
          state: 'clean' as const,
          usesSinceWash: 0,
          stock,
          packPrice: null,
          packSize: null,
          addedAt: '2026-05-20T10:00:00Z',
        })),
      });
    expect(first('restock', [], { facts: packs(3) })).toMatchObject({ window: { due: TODAY }, facts: { stock: 3 } });
    expect(first('restock', [], { facts: packs(3, 30) })).toBeUndefined();
    expect(first('restock', [], { facts: packs(3, null) })).toBeUndefined();
    expect(first('restock', [], { facts: packs(0, 2) })).toMatchObject({ facts: { stock: 2 } });
  });

  it('gel is spent in as many days as the calendar has until then, at whatever hour', () => {
    const daysLeft = (spentOn: string) => {
      const gel = { kind: 'silica-gel', massG: 50, left: 0.1, spentOn, knownFrom: 'reckoned' } as const;
      const place = { id: 'p', name: 'Box', highPct: 50, assessment: null, gel, indicatorSince: null };
      const places = [{ ...place, dampSince: null, drySince: null, dampSpells: [], apart: null, leaves: null }];
      return first('gel-spent', [], { facts: house({ places }) })!.facts;
    };
    for (const hour of ['00:30', '09:00', '23:30']) expect(daysLeft(`${addDays(TODAY, 11)}T${hour}:00Z`)).toMatchObject({ daysLeft: 11 });
    expect(daysLeft(`${TODAY}T23:30:00Z`)).toMatchObject({ daysLeft: 0 });
  });

  it('indicator gel is read every 2 weeks, give or take 4 days', () => {
    const gel = { kind: 'silica-gel', massG: 50, left: 0.5, spentOn: null, knownFrom: 'indicator' } as const;
    const places = [
      {
        id: 'p',
        name: 'Box',
        highPct: 50,
        assessment: null,
        gel,
        indicatorSince: '2026-05-01T10:00:00Z',
        dampSince: null,
        drySince: null,
        dampSpells: [],
        apart: null,
        leaves: null,
      },
    ];
    const read = entry('2026-05-25', { kind: 'gel', act: 'indicator' }, { subject: { kind: 'place', id: 'p' } });
    expect(first('gel-read', [read], { facts: house({ places }) })!.window).toEqual({
      earliest: '2026-06-04',
      due: '2026-06-08',
      latest: '2026-06-12',
    });
  });

  it.each([
    [[], '2026-06-02'],
    [['sand'], '2026-05-31'],
    [['salt'], '2026-05-31'],
    [['rain'], '2026-05-31'],
    [['dust'], '2026-06-02'],
  ] as const)('after an outing that met %j it is looked at by %s', (met, latest) => {
    const facts = house({ outings: [outing('2026-05-31', { met: [...met] })] });
    expect(first('look-after-outing', [look('2026-05-20')], { facts })!.window).toMatchObject({ due: '2026-05-31', latest });
    expect(first('look-after-outing', [look('2026-06-01')], { facts })).toBeUndefined();
  });

  it('what an outing met is not covered by a look of the same day that came before it was noted', () => {
    const pier = (notedAt: string) => house({ outings: [outing('2026-05-31', { met: ['salt'], notedAt })] });
    const noon = look('2026-05-31');
    expect(first('look-after-outing', [noon], { facts: pier('2026-05-31T18:00:00Z') })!.window).toMatchObject({ latest: '2026-05-31' });
    expect(first('look-after-outing', [noon], { facts: pier('2026-05-31T11:00:00Z') })).toBeUndefined();
    // Noted a day late, a look on coming home stays one.
    expect(first('look-after-outing', [look('2026-06-01')], { facts: pier('2026-06-01T18:00:00Z') })).toBeUndefined();
  });

  it.each<[string, Partial<OutingFacts>, string[] | undefined]>([
    ['under way, with nothing met', {}, ['Old one', 'Other']],
    ['that begins today', { from: '2026-06-01' }, ['Old one', 'Other']],
    ['whose last day this is: it is looked at when it is home', { to: '2026-06-01' }, undefined],
    ['that is still to come', { from: '2026-06-02' }, undefined],
    ['on which one of two things went', { itemIds: ['b'] }, ['Other']],
    ['that met salt: that asks for more', { met: ['salt'] }, undefined],
    ['on which nothing of the shelf went', { itemIds: ['z'] }, undefined],
  ])('an outing %s asks for its minute tonight', (_, more, asked) => {
    const facts = house({
      things: [lens({ name: 'Old one' }), lens({ id: 'b', name: 'Other' })],
      outings: [outing('2026-05-31', { from: '2026-05-30', to: '2026-06-03', itemIds: ['a', 'b'], ...more })],
    });
    const tonight = first('evening-minute', [], { facts });
    expect(tonight?.facts.says === 'outing' ? tonight.facts.things.map((t) => t.name) : undefined).toEqual(asked);
    if (tonight) expect(tonight.window).toEqual({ earliest: '2026-06-01', due: '2026-06-01', latest: '2026-06-01' });
  });

  it.each<[string, Partial<OutingFacts>, string | undefined]>([
    ['on the day it comes home', { to: '2026-06-01' }, '2026-06-01'],
    ['ahead, on the day it will', { to: '2026-06-03' }, '2026-06-03'],
    ['no more once that is over', { to: '2026-05-31' }, undefined],
    ['not where it was mild', { to: '2026-06-01', isCold: false }, undefined],
    ['not of nothing', { to: '2026-06-01', itemIds: ['z'] }, undefined],
  ])('what was out in the cold is shut in before the door: %s', (_, more, due) => {
    const facts = house({ outings: [outing('2026-05-31', { from: '2026-05-30', isCold: true, ...more })] });
    expect(first('comes-in-cold', [], { facts })?.window.due).toBe(due);
    const ticked = entry('2026-06-01', { kind: 'care', task: 'comes-in-cold' }, { subject: { kind: 'outing', id: facts.outings[0]!.id } });
    expect(first('comes-in-cold', [ticked], { facts })).toBeUndefined();
  });

  it('the strap goes on before tonight’s dew, where one is out under the sky and a station foretells it', () => {
    const roof = (more: object) => ({
      ...{ id: 'h', name: 'Roof', outdoor: true, placeName: null, addedAt: NOW, silent: false, lastHeardAt: null },
      ...more,
    });
    const world = (out: Partial<OutingFacts>, station: object) =>
      house({
        outings: [outing('2026-06-03', { from: '2026-05-30', isUnderSky: true, ...out })],
        hygrometers: [roof(station)],
      });
    const foretold = { dewFrom: '2026-06-01T20:00:00Z' };
    const tonight = first('dew-tonight', [], { facts: world({}, foretold) });
    expect(tonight?.facts).toEqual({ says: 'dew', by: 'Roof', fromHour: 20 });
    expect(tonight?.window.due).toBe('2026-06-01');
    expect(first('dew-tonight', [], { facts: world({}, { dewFrom: null }) })).toBeUndefined();
    expect(first('dew-tonight', [], { facts: world({ isUnderSky: false }, foretold) })).toBeUndefined();
    expect(first('dew-tonight', [], { facts: world({ from: '2026-06-02' }, foretold) })).toBeUndefined();
    expect(first('dew-tonight', [], { facts: world({}, { ...foretold, outdoor: false }) })).toBeUndefined();
  });

  it('what is packed is looked at the day before, as far as it was not looked at', () => {
    const facts = house({ things: [lens(), lens({ id: 'b', name: 'Other' })], outings: [outing('2026-06-02', { itemIds: ['a', 'b'] })] });
    expect(first('look-before-outing', [look('2026-06-01')], { facts })).toMatchObject({
      window: { earliest: '2026-05-30', due: '2026-06-01', latest: '2026-06-02' },
      facts: { things: [{ id: 'b', name: 'Other' }] },
    });
  });
});

describe('rhythms the keeper sets', () => {
  const monthly = {
    triggers: [{ on: 'calendar', rrule: 'FREQ=MONTHLY', from: 'last-done' }],
    earlyDays: 3,
    lateDays: 3,
    minutes: 4,
  } as const;
  const due = (changes: RhythmChange[]) => first('light-test', [look('2026-05-20')], { changes })?.window.due;
  it('move the dates at once, the narrowest deciding, and null switches off', () => {
    expect(due([])).toBe('2026-08-20');
    expect(due([{ code: 'light-test', scope: { for: 'all' }, rhythm: monthly }])).toBe('2026-06-20');
    const narrow: RhythmChange = { code: 'light-test', scope: { for: 'subject', id: 'a' }, rhythm: null };
    expect(due([{ code: 'light-test', scope: { for: 'kind', kind: 'lens' }, rhythm: monthly }, narrow])).toBeUndefined();
    expect(due([{ code: 'light-test', scope: { for: 'kind', kind: 'filter' }, rhythm: monthly }])).toBe('2026-08-20');
  });

  it('by what the air foretells come so many days before it: growth and gel with their spread, damp at once', () => {
    const gel = { kind: 'silica-gel', massG: 50, left: 0.5, spentOn: '2026-07-01T10:00:00Z', knownFrom: 'reckoned' } as const;
    const assessment = {
      level: 'safe',
      best: { level: 'safe' },
      now: { index: 0, dose: 0.2, daysPast: 0 },
      reasons: [],
      since: null,
      daysToGrowth: { byIndex: null, byDose: 40 },
    };
    const place = {
      id: 'p',
      name: 'Box',
      highPct: 50,
      assessment: assessment as never,
      gel,
      indicatorSince: null,
      dampSince: null,
      drySince: null,
      dampSpells: [],
      apart: null,
      leaves: null,
    };
    const facts = (more: object = {}) =>
      house({ things: [lens({ stay: { placeId: 'p', name: 'Box', forTravel: false, since: NOW } })], places: [{ ...place, ...more }] });
    const by = (sign: 'early-warning' | 'gel' | 'damp', more: object = {}) =>
      first('light-test', [look('2026-05-20')], {
        facts: facts(more),
        changes: [
          {
            code: 'light-test',
            scope: { for: 'all' },
            rhythm: { triggers: [{ on: 'climate', sign, daysAhead: 10 }], earlyDays: 0, lateDays: 0, minutes: 8 },
          },
        ],
      });
    expect(by('early-warning')).toMatchObject({
      window: { due: '2026-07-01', latest: '2026-07-11' },
      estimate: { from: '2026-06-23', to: '2026-07-09' },
    });
    expect(by('gel')!.window).toEqual({ earliest: '2026-06-21', due: '2026-06-21', latest: '2026-07-01' });
    expect(by('damp')).toBeUndefined();
    expect(by('damp', { dampSince: '2026-05-30T10:00:00Z' })!.window.due).toBe(TODAY);
    // The gel's own duty is asked for two weeks before, by the same forecast.
    expect(first('gel-spent', [], { facts: facts() })!.window).toEqual({ earliest: '2026-06-17', due: '2026-06-17', latest: '2026-07-01' });
  });

  it.each([
    ['no trigger at all', { triggers: [] }, 'no-trigger'],
    ['a flood', { triggers: [{ on: 'calendar', rrule: 'FREQ=MINUTELY', from: 'last-done' }] }, 'too-often'],
    [
      'a day that never comes',
      { triggers: [{ on: 'calendar', rrule: 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30', from: 'last-done' }] },
      'never',
    ],
    ['a fixed day that is none', { triggers: [{ on: 'calendar', rrule: 'FREQ=MONTHLY', from: '2026-02-30' }] }, 'no-day'],
    ['no outing', { triggers: [{ on: 'use', of: 'outings', count: 0 }] }, 'not-positive'],
    [
      'windows that overlap',
      { triggers: [{ on: 'calendar', rrule: 'FREQ=WEEKLY', from: 'last-done' }], earlyDays: 5, lateDays: 5 },
      'window-overlaps',
    ],
  ] as const)('are refused for %s', (_words, rhythm, trouble) => {
    expect(rhythmTroubles({ earlyDays: 0, lateDays: 0, ...rhythm }, TODAY)[0]).toMatchObject({ trouble });
  });
  it.each(RHYTHM_CODES)('the usual one of %s can be kept', (code) => expect(rhythmTroubles(dutyFacts(code).rhythm!, TODAY)).toEqual([]));
});

describe('what the keeper says of a duty', () => {
  const tested = [look('2026-02-20')];
  it('skipping counts from the day it was passed over; putting off hides it until then', () => {
    expect(
      first('light-test', [...tested, entry('2026-05-30', { kind: 'skipped', task: 'light-test', reason: 'no-time', note: '' })]),
    ).toMatchObject({
      window: { due: '2026-08-30' },
      facts: { because: [{ because: 'skipped', reason: 'no-time' }] },
    });
    const snoozed = first('light-test', [...tested, entry('2026-05-30', { kind: 'snoozed', task: 'light-test', until: '2026-06-10' })])!;
    expect(snoozed).toMatchObject({ snoozedUntil: '2026-06-10', window: { earliest: '2026-06-10', latest: '2026-06-10' } });
    expect(isAtHand(snoozed)).toBe(false);
  });
  it('an undo is an entry: as if the other had never been written', () => {
    const done = entry('2026-05-30', { kind: 'care', task: 'exercise' });
    const undone = entry('2026-05-31', { kind: 'undone', entryId: done.id });
    const due = (journal: Entry[]) => first('exercise', journal)!.window.due;
    expect(due([done])).toBe('2026-08-30');
    expect(due([done, undone])).toBe(due([]));
  });
  it('a planned day is kept until it has gone by, or it is done: the next one is not on it', () => {
    const planned = entry('2026-05-30', { kind: 'planned', task: 'light-test', day: '2026-06-03' });
    expect(first('light-test', [...tested, planned])!.plannedOn).toBe('2026-06-03');
    expect(first('light-test', [...tested, planned], { now: '2026-06-04T10:00:00Z' })!.plannedOn).toBeNull();
    expect(first('light-test', [...tested, planned, look('2026-06-01')], { now: '2026-06-01T20:00:00Z' })!.plannedOn).toBeNull();
  });
  it('nothing is asked of what is away but its return; what fell due meanwhile waits for it, and it is looked at', () => {
    const away = entry('2026-03-01', { kind: 'away', why: 'loan', until: '2026-05-20' });
    expect(duties([...tested, away]).map((d) => d.code)).toEqual(['due-back']);
    const back = [...tested, away, entry('2026-05-31', { kind: 'back' })];
    expect(first('return-look', back)).toMatchObject({ window: { due: '2026-05-31', latest: '2026-06-02' } });
    expect(first('exercise', [...back])!.window.due >= '2026-05-31').toBe(true);
  });
});

describe('the agenda', () => {
  it('has one overdue window for whatever was missed while the program was off, and the next from now', () => {
    const list = duties([look('2024-01-01')]).filter((d) => d.code === 'light-test');
    expect(list.slice(0, 2).map((d) => [d.ahead, d.urgency, d.window.due])).toEqual([
      [0, 'overdue', '2024-04-01'],
      [1, 'later', '2026-09-01'],
    ]);
  });

  it('numbers what recurs by how often it was done, so that each keeps its name when its day moves', () => {
    const ids = (journal: Entry[]) =>
      duties(journal)
        .filter((d) => d.code === 'light-test')
        .map((d) => d.id);
    const before = ids([look('2026-02-20')]);
    expect(before[0]).toBe('light-test/thing/a/1');
    expect(ids([look('2026-02-20'), look('2026-05-30')])[0]).toBe(before[1]);
  });

  it('counts days in the household’s zone: late in the evening of one is the next elsewhere', () => {
    const at = (timeZone: string) =>
      first('light-test', [look('2026-02-20')], { facts: house({ timeZone }), now: '2026-05-20T23:30:00Z' })!.urgency;
    expect(at('UTC')).toBe('due');
    const lateLook = entry('2026-02-20', { kind: 'look', lookId: 'l', looked: 1, notes: [], verdicts: [] }, { at: '2026-02-20T23:30:00Z' });
    const due = (timeZone: string) => first('light-test', [lateLook], { facts: house({ timeZone }) })!.window.due;
    expect([due('UTC'), due('Pacific/Auckland')]).toEqual(['2026-05-20', '2026-05-21']);
  });

  it.each([
    ['in the evening', '2026-06-01T20:05:00Z', 'due'],
    ['over midnight', '2026-06-02T00:40:00Z', 'soon'],
  ] as const)('a thing that warms in its bag is waited for from the minute it came in, %s too', (_, endsAt, urgency) => {
    const startedAt = '2026-06-01T19:00:00Z';
    const timer = { id: 't', itemId: 'a', itemName: 'A lens', size: 'mid-lens', wrapping: 'padded-bag', startedAt, endsAt } as const;
    const waiting = first('warm-up', [], { facts: house({ timers: [timer] }), now: startedAt })!;
    expect([waiting.urgency, isAtHand(waiting)]).toEqual([urgency, true]);
  });

  it('is ranked by consequence, then by what is late, then by what may wait least', () => {
    const ranked = duties([entry('2026-05-31', { kind: 'outdoors', happening: 'spray' }), look('2025-01-01')]);
    const ranks = ranked.map((d) => gravityRank(d.gravity));
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
  });

  it('asks for one look where several duties of a thing are answered by it, by the last day of any of them', () => {
    const all = duties([look('2026-02-20'), entry('2026-05-30', { kind: 'outdoors', happening: 'spray' })]).filter(
      (d) => d.ahead === 0 && dutyFacts(d.code).doneBy === 'look',
    );
    expect(all.length).toBeGreaterThan(1);
    const asked = oneLookEach(all);
    expect(asked.map((d) => d.code)).toEqual(['home-care']);
    expect(asked[0]!.window.latest).toBe('2026-05-30');
  });

  it('says what would be late after a week away, the costliest first', () => {
    const facts = house({ things: [lens(), lens({ id: 'b', name: 'B' })] });
    const spray = entry('2026-06-01', { kind: 'outdoors', happening: 'spray' }, { subject: { kind: 'thing', id: 'b' } });
    const late = lateOnReturn(duties([look('2026-02-20'), spray], { facts }), { today: TODAY, backOn: '2026-06-08' });
    expect(late[0]).toMatchObject({ code: 'home-care', subject: { id: 'b' } });
    expect(late.every((d) => d.window.latest < '2026-06-08')).toBe(true);
  });

  it('nobody has to stay for a timer, nor for what is seen to on the way', () => {
    const facts = house({
      outings: [outing('2026-06-01', { from: '2026-05-30', isCold: true }), outing('2026-06-02')],
      timers: [{ id: 't', itemId: null, itemName: null, size: null, wrapping: 'bare', startedAt: NOW, endsAt: '2026-06-01T12:00:00Z' }],
    });
    const due = duties([], { facts });
    expect(due.map((d) => d.code)).toEqual(expect.arrayContaining(['warm-up', 'comes-in-cold', 'look-before-outing']));
    const late = lateOnReturn(due, { today: TODAY, backOn: '2026-06-08' }).map((d) => d.code);
    expect(late).toContain('look-before-outing');
    expect(late.filter((code) => code === 'warm-up' || code === 'comes-in-cold')).toEqual([]);
  });

  it('keeps every window in order and within its span, for any past whatever', () => {
    const anything = fc.array(
      fc.tuple(fc.integer({ min: 0, max: 500 }), fc.constantFrom('look', 'clean', 'care', 'skip', 'away', 'back', 'spray', 'beside')),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(anything, (past) => {
        const journal = past.map(([ago, what]): Entry => {
          const day = addDays(TODAY, -ago);
          switch (what) {
            case 'look':
              return look(day);
            case 'clean':
              return cleaned(day, { outcomes: { 'front-glass': ago % 2 ? 'clean-enough' : 'not-reached' } });
            case 'care':
              return entry(day, { kind: 'care', task: 'exercise' });
            case 'skip':
              return entry(day, { kind: 'skipped', task: 'light-test', reason: 'other', note: '' });
            case 'away':
              return entry(day, { kind: 'away', why: 'service', until: null });
            case 'back':
              return entry(day, { kind: 'back' });
            case 'spray':
              return entry(day, { kind: 'outdoors', happening: 'spray' });
            default:
              return entry(day, { kind: 'neighbour-isolated', name: null });
          }
        });
        const all = duties(journal);
        expect(new Set(all.map((d) => d.id)).size).toBe(all.length);
        for (const d of all) {
          expect(d.window.earliest <= d.window.due && d.window.due <= d.window.latest).toBe(true);
          expect(GRAVITIES).toContain(d.gravity);
        }
        for (const code of DUTY_CODES) expect(all.filter((d) => d.code === code && d.ahead === 0).length).toBeLessThanOrEqual(1);
      }),
      { seed: 4875 },
    );
  });

  it('has every kind of duty described: what it is, what it means, where that is from', () => {
    for (const code of DUTY_CODES) {
      const { name, what, basis, minutes } = DUTIES[code];
      expect(name.length > 3 && /[.?]$/.test(what) && minutes > 0, code).toBe(true);
      expect(basis.kind).toBeTruthy();
    }
  });
});

describe('a sensor clean', () => {
  const frame = { frameAt: '2026-05-20T12:00:00Z', advice: 'blow', shows: 4, next: null } as const;
  const body = (sensor: ThingFacts['sensor'], more: Partial<ThingFacts> = {}) => ({
    facts: house({ things: [lens({ kind: 'mirrorless-body', ...(sensor ? { sensor } : {}), ...more })] }),
  });
  const dust = {
    surface: 'sensor-cover',
    verdict: 'clean',
    findings: [{ soil: 'dust', severity: 2 }],
    because: { reason: 'clean' },
  } as never;

  it('is asked for by the last frame, and may wait four weeks', () =>
    expect(first('sensor-clean', [], body(frame))).toMatchObject({
      window: { earliest: '2026-05-20', due: '2026-05-20', latest: '2026-06-17' },
      facts: { says: 'sensor', advice: 'blow', shows: 4, frameOn: '2026-05-20' },
    }));
  it('is not asked for without a frame, nor where a look asks for the same', () => {
    expect(first('sensor-clean', [], body(null))).toBeUndefined();
    expect(first('sensor-clean', [], body(frame, { surfaces: [dust] }))).toBeUndefined();
  });
  it('once done asks for the frame that proves it, for two weeks; a clean of something else does not', () => {
    const other = cleaned('2026-05-25', { outcomes: { screen: 'clean-enough' } });
    expect(first('sensor-clean', [other], body(frame))!.facts).not.toHaveProperty('cleanedOn');
    const done = cleaned('2026-05-26', { outcomes: { 'sensor-cover': 'clean-enough' } });
    expect(first('sensor-clean', [done], body(frame))).toMatchObject({
      window: { earliest: '2026-05-26', latest: '2026-06-09' },
      facts: { cleanedOn: '2026-05-26' },
    });
    // The new frame has come, and nothing shows.
    expect(first('sensor-clean', [done], body({ ...frame, frameAt: '2026-05-27T12:00:00Z', advice: 'leave', shows: 0 }))).toBeUndefined();
  });
  it('is not asked for by a frame that could not tell: that asks for another frame, soon', () => {
    const unsure = body({ ...frame, advice: 'look-again', shows: 0 });
    expect(first('sensor-clean', [], unsure)).toBeUndefined();
    expect(first('sensor-frame', [], unsure)).toMatchObject({
      window: { earliest: '2026-05-20', due: '2026-05-20', latest: '2026-06-03' },
      facts: { says: 'sensor', advice: 'look-again' },
    });
  });
  it('is foretold by how fast specks come, with how far that may be off; not for years ahead', () => {
    const next = { likelyDays: 40, earlyDays: 22, lateDays: 90 };
    expect(first('sensor-clean', [], body({ ...frame, advice: 'leave', shows: 1, next }))).toMatchObject({
      window: { due: '2026-06-29' },
      estimate: { from: '2026-06-11', to: '2026-08-18' },
    });
    expect(first('sensor-clean', [], body({ ...frame, advice: 'leave', shows: 1, next: { ...next, likelyDays: 900 } }))).toBeUndefined();
  });
});
