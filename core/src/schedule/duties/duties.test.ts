import { describe, expect, it } from 'vitest';
import type { Verdict } from '../../care/index.js';
import type { Severity, Soil, Surface } from '../../care/knowledge/index.js';
import { agendaFrom, type Duty, type Entry, type JournalData, type OutingFacts, type ThingFacts } from '../index.js';
import { Journal } from '../journal.js';
import type { Rhythm } from '../rhythms.js';
import { entry, house, NOW, outing, saw, thing, TODAY } from '../testing/worlds.js';
import { dueBackDue } from './dueBack.js';
import type { Context } from './duty.js';
import { awayOf, openFor, around, recurring, recurringLook, recurringMark } from './recurring.js';

type Found = ThingFacts['surfaces'][number];
const found = (surface: Surface, verdict: Verdict, soils: Partial<Record<Soil, Severity>>, more: Partial<Found> = {}): Found => ({
  surface,
  verdict,
  findings: Object.entries(soils).map(([soil, severity]) => ({ soil: soil as Soil, severity })),
  because: { reason: 'no-gentle-way' },
  ...more,
});
const NEEDS = ['isolate', 'hand-over', 'weigh', 'replace', 'wait', 'clean'];
const needsOf = (facts: Partial<ThingFacts>, journal: Entry[] = []): Duty[] =>
  agendaFrom(house([thing(facts)]), journal, [], { now: NOW }).duties.filter((d) => NEEDS.includes(d.code));
const codesOf = (facts: Partial<ThingFacts>, journal: Entry[] = []) => needsOf(facts, journal).map((d) => d.code);
const surfacesOf = ([duty]: Duty[]): string[] => (duty?.facts.says === 'need' ? duty.facts.surfaces.map((s) => s.surface) : []);

/** Section “What settles a duty” of the care knowledge; what it leaves open is our choice. */
describe('what the last look asks for', () => {
  it('is one duty for a thing: the gravest of its surfaces, which come gravest first and of those the worst', () => {
    const surfaces = [
      found('barrel', 'clean', { dust: 2 }),
      found('front-glass', 'clean', { fingerprint: 4 }),
      found('contacts', 'clean', { 'skin-oil': 3, dust: 1 }),
      found('inner-glass', 'hand-over', { haze: 1 }),
      found('rear-glass', 'leave', { dust: 1 }),
    ];
    expect(codesOf({ surfaces })).toEqual(['hand-over']);
    expect(surfacesOf(needsOf({ surfaces }))).toEqual(['inner-glass', 'front-glass', 'contacts', 'barrel']);
    expect(surfacesOf(needsOf({ surfaces: [...surfaces].reverse() }))).toEqual(['inner-glass', 'front-glass', 'contacts', 'barrel']);
    expect(codesOf({ surfaces: surfaces.filter((s) => s.verdict === 'leave') })).toEqual([]);
  });

  it.each([
    ['growth a cloth reaches', 'front-glass', { 'fungus-outside': 3 }, 'clean'],
    ['growth nobody reaches', 'inner-glass', { fungus: 3 }, 'hand-over'],
    ['growth that was there, and dust', 'inner-glass', { fungus: 0, dust: 2 }, 'hand-over'],
  ] as const)('of what lies apart with %s asks for more than that', (_, surface, soils, code) => {
    const surfaces = [found(surface, 'isolate', soils)];
    expect(codesOf({ surfaces, status: 'in-use' })).toEqual(['isolate']);
    expect(codesOf({ surfaces, status: 'quarantined' })).toEqual([code]);
  });

  it('weighs growth behind one ring that its owner may undo, once it lies apart', () => {
    const surfaces = [found('inner-glass', 'isolate', { fungus: 3 })];
    const codes = (['lens', 'eyepiece', 'binocular'] as const).map((kind) => codesOf({ kind, surfaces, status: 'quarantined' }));
    for (const [code] of codes) expect(['weigh', 'hand-over']).toContain(code);
  });

  it('bars nothing any more once a stuck filter is off; another wait stays one', () => {
    const behind = [found('front-glass', 'wait', { fingerprint: 3 }, { because: { reason: 'behind-stuck-filter' } })];
    expect(codesOf({ surfaces: behind, traits: { filterFitted: true, filterStuck: true } })).toEqual(['wait']);
    expect(codesOf({ surfaces: behind, traits: { filterFitted: false } })).toEqual(['clean']);
    const wet = [
      found(
        'front-glass',
        'wait',
        { fingerprint: 3 },
        { because: { reason: 'no-water-may-stay', soil: 'fresh-water', surface: 'front-glass' } },
      ),
    ];
    expect(codesOf({ surfaces: wet, traits: { filterFitted: false } })).toEqual(['wait']);
  });

  const chosen = (task: 'hand-over' | 'weigh' | 'clean' | 'isolate', reason: 'lived-with' | 'no-time'): JournalData => ({
    kind: 'skipped',
    task,
    reason,
    note: '',
  });
  const lookAt = (day: string, soils: Partial<Record<Soil, Severity>>, verdict: Verdict = 'hand-over'): Entry =>
    entry(day, {
      kind: 'look',
      lookId: 'l',
      looked: 1,
      notes: [],
      verdicts: [{ surface: 'inner-glass', verdict, findings: found('inner-glass', verdict, soils).findings }],
      seen: ['inner-glass'],
    });
  const hazy = (severity: Severity, verdict: Verdict = 'hand-over') => [
    found('inner-glass', verdict, { haze: severity, 'internal-dust': 1 }),
  ];
  const seen = lookAt('2026-04-01', { haze: 2, 'internal-dust': 1 });

  it.each([
    ['rests when one chose to live with it', [seen, entry('2026-04-02', chosen('hand-over', 'lived-with'))], 2, []],
    ['goes on when one only had no time', [seen, entry('2026-04-02', chosen('hand-over', 'no-time'))], 2, ['hand-over']],
    ['goes on when one lives with the dirt', [seen, entry('2026-04-02', chosen('clean', 'lived-with'))], 2, ['hand-over']],
    ['goes on when it changed', [seen, entry('2026-04-02', chosen('hand-over', 'lived-with'))], 3, ['hand-over']],
    ['goes on when it was chosen before it was seen', [entry('2026-03-02', chosen('hand-over', 'lived-with')), seen], 2, ['hand-over']],
    [
      'rests still when a later look found the same',
      [seen, entry('2026-04-02', chosen('hand-over', 'lived-with')), lookAt('2026-05-01', { haze: 2, 'internal-dust': 1 })],
      2,
      [],
    ],
    [
      'rests in whatever order it was told, with what was looked for and not found',
      [lookAt('2026-04-01', { 'internal-dust': 1, haze: 2, fungus: 0 }), entry('2026-04-02', chosen('weigh', 'lived-with'))],
      2,
      [],
    ],
  ] as [string, Entry[], Severity, string[]][])('%s', (_, journal, severity, codes) => {
    expect(codesOf({ surfaces: hazy(severity) }, journal)).toEqual(codes);
  });

  it('cannot be lived with where it grows or has to be cleaned', () => {
    const journal = [
      lookAt('2026-04-01', { haze: 2, 'internal-dust': 1 }, 'clean'),
      entry('2026-04-02', chosen('hand-over', 'lived-with')),
    ];
    expect(codesOf({ surfaces: hazy(2, 'clean') }, journal)).toEqual(['clean']);
    expect(codesOf({ surfaces: hazy(2, 'isolate') }, journal)).toEqual(['isolate']);
  });

  it.each([
    ['salt', { salt: 2 }, 'clean', 2, 'harms'],
    ['grit among dust', { dust: 2, grit: 1 }, 'clean', 2, 'harms'],
    ['a print', { fingerprint: 3 }, 'clean', 28, 'spoils'],
    ['salt that was not found', { salt: 0, fingerprint: 3 }, 'clean', 28, 'spoils'],
    ['salt nobody should touch', { salt: 3 }, 'hand-over', 14, 'harms'],
  ] as const)('gives %s its time', (_, soils, verdict, days, gravity) => {
    const surfaces = [found('barrel', verdict, soils, { knownSince: '2026-05-20T10:00:00Z' })];
    const [duty] = needsOf({ surfaces });
    expect(duty).toMatchObject({ window: openFor('2026-05-20', days), gravity });
  });

  it('hurries for one restless surface among others that are not, and counts from the first of what was seen', () => {
    const surfaces = [
      found('front-glass', 'clean', { fingerprint: 3 }, { knownSince: '2026-05-02T10:00:00Z' }),
      found('barrel', 'clean', { salt: 3 }, { knownSince: '2026-05-20T10:00:00Z' }),
    ];
    expect(needsOf({ surfaces })[0]!.window).toEqual(openFor('2026-05-02', 2));
    const unknown = surfaces.map(({ knownSince: _, ...rest }) => rest);
    expect(needsOf({ surfaces: unknown }, [saw('2026-05-10', 'barrel')])[0]!.window).toEqual(openFor('2026-05-10', 2));
    expect(needsOf({ surfaces: unknown })[0]!.window).toEqual(openFor('2026-01-01', 2));
  });

  it('is not begun a second time where a clean lies open, though where a look does', () => {
    const surfaces = [found('barrel', 'clean', { dust: 3 })];
    const open = (work: 'look' | 'cleaning') => ({ surfaces, open: [{ work, id: 'o', startedAt: NOW }] });
    expect(codesOf(open('look'))).toEqual(['clean']);
    expect(codesOf(open('cleaning'))).toEqual([]);
    expect(codesOf({ surfaces, open: [...open('cleaning').open, ...open('look').open] })).toEqual([]);
  });

  it('takes as long as its plan, where there is one', () => {
    const surfaces = (verdict: Verdict) => [found('barrel', verdict, { dust: 3 })];
    expect(needsOf({ surfaces: surfaces('clean'), cleanMinutes: 6.5 })[0]!.minutes).toBe(7);
    expect(needsOf({ surfaces: surfaces('clean') })[0]!.minutes).toBe(15);
    expect(needsOf({ surfaces: surfaces('hand-over'), cleanMinutes: 6.5 })[0]!.minutes).toBe(10);
  });
});

const contextWith = (journal: Entry[], more: Partial<Context> = {}): Context => {
  const facts = house();
  return {
    facts,
    journal: new Journal(journal, 'UTC', NOW),
    changes: [],
    now: NOW,
    today: TODAY,
    until: '2026-12-31',
    usesOf: () => [],
    foretold: () => [],
    fungusRisk: () => false,
    ...more,
  };
};
const monthly: Rhythm = { triggers: [{ on: 'calendar', rrule: 'FREQ=MONTHLY', from: 'last-done' }], earlyDays: 3, lateDays: 7, minutes: 4 };
const rhythm = (...triggers: Rhythm['triggers']): Rhythm => ({ ...monthly, triggers });
const of = (standard: Rhythm, context: Context, counted = { on: '2026-05-01', at: '2026-05-01T12:00:00Z', done: true }) =>
  recurring(
    { code: 'light-test', standard, subject: thing(), thing: thing(), counted: { ...counted, because: { because: 'last-done' } } },
    context,
  );
const because = ({ facts }: { facts: { says: string; because?: unknown } }) => facts.because;

describe('what recurs', () => {
  const use = (day: string, counts: OutingFacts['counts'] = {}, met: OutingFacts['met'] = []) => ({
    day,
    counts: { outings: 1, ...counts },
    met,
  });

  it('says why it is due: by time, by a fixed day, by closer looks in damp air', () => {
    expect(because(of(monthly, contextWith([]))[0]!)).toEqual([{ because: 'last-done' }]);
    const fixed = rhythm({ on: 'calendar', rrule: 'FREQ=YEARLY', from: '2020-06-10' });
    expect(because(of(fixed, contextWith([]))[0]!)).toEqual([{ because: 'last-done' }, { because: 'fixed-day' }]);
    const closer = rhythm(...monthly.triggers, { on: 'calendar', rrule: 'FREQ=WEEKLY', from: 'last-done', while: 'fungus-risk' });
    expect(because(of(closer, contextWith([], { fungusRisk: () => true }))[0]!)).toEqual([
      { because: 'last-done' },
      { because: 'fungus-risk' },
    ]);
    expect(because(of(closer, contextWith([]))[0]!)).toEqual([{ because: 'last-done' }]);
    expect(because(of(monthly, contextWith([], { fungusRisk: () => true }))[0]!)).toEqual([{ because: 'last-done' }]);
  });

  it('by use that was counted, and by use that is only foretold', () => {
    const often = rhythm({ on: 'use', of: 'outings', count: 2 });
    const uses = [use('2026-05-05'), use('2026-05-20')];
    expect(of(often, contextWith([], { usesOf: () => uses }))[0]).toMatchObject({
      window: { due: '2026-05-20' },
      facts: { because: [{ because: 'used', of: 'outings', count: 2 }] },
    });
    const [guess] = of(rhythm({ on: 'use', of: 'outings', count: 4 }), contextWith([], { usesOf: () => uses }));
    expect(guess!.estimate).toBeDefined();
    expect(because(guess!)).toEqual([{ because: 'used', of: 'outings', count: 2 }, { because: 'last-done' }]);
  });

  it('by what it met, by what the air foretells, and by lying idle', () => {
    const met = of(
      rhythm({ on: 'exposure', to: ['salt'], withinHours: 24 }),
      contextWith([], { usesOf: () => [use('2026-05-20', {}, ['salt'])] }),
    );
    expect(because(met[0]!)).toEqual([{ because: 'met-outdoors', met: 'salt' }]);
    const stay = { placeId: 'p', name: 'Box', forTravel: false, since: NOW };
    const [air] = recurring(
      {
        code: 'light-test',
        standard: rhythm({ on: 'climate', sign: 'gel', daysAhead: 3 }),
        subject: thing(),
        thing: thing({ stay }),
        counted: { on: '2026-05-01', at: null, because: { because: 'last-done' }, done: false },
      },
      contextWith([], { foretold: (p) => (p === 'p' ? [{ sign: 'gel', day: '2026-06-20', from: '2026-06-15', to: '2026-06-25' }] : []) }),
    );
    expect(air).toMatchObject({ window: { due: '2026-06-17' }, facts: { because: [{ because: 'air-foretells' }] } });
    expect(because(of(rhythm({ on: 'idleness', after: { months: 6 } }), contextWith([]))[0]!)).toEqual([{ because: 'not-used' }]);
  });

  it('follows as if each were done on its day, to the end that is asked for and no further', () => {
    const all = of(monthly, contextWith([], { until: '2026-09-01' }));
    expect(all.map((f) => [f.window.due, because(f)])).toEqual(
      ['2026-06-01', '2026-07-01', '2026-08-01', '2026-09-01'].map((due) => [due, [{ because: 'last-done' }]]),
    );
    expect(of(monthly, contextWith([], { until: '2026-08-31' }))).toHaveLength(3);
  });

  it('counts an early one where it was done before, and not where it never was', () => {
    const fixed = rhythm({ on: 'calendar', rrule: 'FREQ=MONTHLY', from: '2020-01-03' });
    const due = (on: string, done: boolean) => of(fixed, contextWith([]), { on, at: `${on}T12:00:00Z`, done })[0]!.window.due;
    // Three days early is early enough for the rhythm's own slack.
    expect(due('2026-05-31', true)).toBe('2026-07-03');
    expect(due('2026-05-31', false)).toBe('2026-06-03');
    const often = rhythm({ on: 'use', of: 'outings', count: 1 });
    const sameDay = [{ ...use('2026-05-20'), notedAt: '2026-05-20T08:00:00Z' }];
    const byUse = (done: boolean) =>
      of(often, contextWith([], { usesOf: () => sameDay }), { on: '2026-05-20', at: '2026-05-20T12:00:00Z', done })[0];
    expect(byUse(true)?.estimate).toBeDefined();
  });

  it('opens when it is back, where it fell due while it was away', () => {
    const away = [entry('2026-04-20', { kind: 'away', why: 'loan', until: null }), entry('2026-05-30', { kind: 'back' })];
    const counted = { on: '2026-04-01', at: '2026-04-01T12:00:00Z', done: true };
    const [late] = of(monthly, contextWith(away), counted);
    expect(late!.window).toEqual({ earliest: '2026-05-30', due: '2026-05-30', latest: '2026-06-06' });
    expect(because(late!)).toEqual([{ because: 'last-done' }, { because: 'came-back' }]);
    const [notLate] = of(monthly, contextWith(away), { ...counted, on: '2026-05-10' });
    expect([notLate!.window.due, because(notLate!)]).toEqual(['2026-06-10', [{ because: 'last-done' }]]);
    // On its last day it is not late yet.
    const [onTheDay] = of(monthly, contextWith([entry('2026-05-08', { kind: 'back' })]), counted);
    expect(onTheDay!.window.due).toBe('2026-05-01');
  });

  it('is away from the last time it was sent until it came back', () => {
    const sent = entry('2026-04-20', { kind: 'away', why: 'loan', until: null });
    expect(awayOf(thing(), contextWith([sent]))).toMatchObject({ why: 'loan', since: '2026-04-20' });
    expect(awayOf(thing(), contextWith([sent, entry('2026-05-01', { kind: 'back' })]))).toBeNull();
    expect(awayOf(thing(), contextWith([]))).toBeNull();
  });
});

describe('what is away and to come back', () => {
  const dueOf = (sent: Extract<JournalData, { kind: 'away' }>) =>
    dueBackDue.dueFrom(thing(), contextWith([entry('2026-02-01', sent)]), 'due-back').map((f) => ({ due: f.window.due, facts: f.facts }));

  it.each<[string, Extract<JournalData, { kind: 'away' }>, { due: string; agreed: boolean } | null]>([
    [
      'a loan on the day that was agreed',
      { kind: 'away', why: 'loan', until: '2026-03-01', to: 'Mara' },
      { due: '2026-03-01', agreed: true },
    ],
    [
      'a loan without a day after three months',
      { kind: 'away', why: 'loan', until: null, to: 'Mara' },
      { due: '2026-05-02', agreed: false },
    ],
    ['a repair without a day likewise', { kind: 'away', why: 'service', until: null }, { due: '2026-05-02', agreed: false }],
    ['a trip without a day never', { kind: 'away', why: 'trip', until: null }, null],
  ])('is asked for: %s', (_, sent, wanted) => {
    expect(dueOf(sent)).toEqual(
      wanted
        ? [
            {
              due: wanted.due,
              facts: { says: 'away', why: sent.why, until: wanted.due, agreed: wanted.agreed, ...(sent.to ? { to: 'Mara' } : {}) },
            },
          ]
        : [],
    );
  });
});

describe('what is ticked off, or looked at', () => {
  const ticked = (day: string): Entry => entry(day, { kind: 'care', task: 'light-test' });
  const isBack = (data: JournalData): boolean => data.kind === 'back';
  const mark = (journal: Entry[], also?: (data: JournalData) => boolean) =>
    recurringMark(thing(), 'light-test', monthly, contextWith(journal), also)[0]!;

  it('counts from the later of a tick and of what else does it, whichever there is', () => {
    const back = (day: string) => entry(day, { kind: 'back' });
    expect(mark([ticked('2026-05-05'), back('2026-05-10')], isBack).window.due).toBe('2026-06-10');
    expect(mark([ticked('2026-05-12'), back('2026-05-10')], isBack).window.due).toBe('2026-06-12');
    expect(mark([ticked('2026-05-12')], isBack).window.due).toBe('2026-06-12');
    expect(mark([back('2026-05-25')], isBack).window.due).toBe('2026-06-25');
    expect(because(mark([ticked('2026-05-12')]))).toEqual([{ because: 'last-done' }]);
  });

  it('counts from the day it came, and says so, until it was done once', () => {
    const first = mark([]);
    expect([first.window.due, because(first)]).toEqual(['2026-02-01', [{ because: 'since-on-the-shelf' }]]);
    const inTurn = (fungusRisk: boolean) =>
      recurringMark(thing({ turn: 20 }), 'light-test', monthly, contextWith([], { fungusRisk: () => fungusRisk }))[0]!.window.due;
    expect([inTurn(false), inTurn(true)]).toEqual(['2026-02-21', '2026-02-01']);
  });

  const look = (journal: Entry[], asked: Surface[] = ['front-glass', 'rear-glass']) =>
    recurringLook(thing(), 'light-test', monthly, asked, contextWith(journal, { until: '2026-08-15' }));
  const sights = (all: ReturnType<typeof look>) => all.map(({ facts }) => (facts.says === 'rhythm' ? facts.sight : null));

  it('is due at once where it was never looked at, and half done where half was seen', () => {
    const never = look([]);
    expect([never[0]!.window, because(never[0]!)]).toEqual([
      { earliest: '2026-01-01', due: '2026-01-01', latest: '2026-01-08' },
      [{ because: 'never-looked-at' }],
    ]);
    const half = look([saw('2026-05-01', 'front-glass')]);
    expect(because(half[0]!)).toEqual([{ because: 'half-looked-at' }]);
    expect(sights(half)[0]).toEqual({ asked: ['front-glass', 'rear-glass'], seen: ['front-glass'] });
    expect(
      sights(half)
        .slice(1)
        .every((sight) => sight!.seen.length === 0),
    ).toBe(true);
  });

  it('counts from the look that saw the last of it', () => {
    const all = look([saw('2026-05-01', 'front-glass'), saw('2026-05-09', 'rear-glass')]);
    expect([all[0]!.window.due, because(all[0]!)]).toEqual(['2026-06-09', [{ because: 'last-look' }]]);
    expect(sights(all)[0]).toEqual({ asked: ['front-glass', 'rear-glass'], seen: [] });
  });
});

describe('windows', () => {
  it('open on a day for so long, or lie around a day', () => {
    expect(openFor('2026-02-27', 3)).toEqual({ earliest: '2026-02-27', due: '2026-02-27', latest: '2026-03-02' });
    expect(around('2026-01-01', 28, 7)).toEqual({ earliest: '2026-01-22', due: '2026-01-29', latest: '2026-02-05' });
    expect(around('2026-01-01', 3, 7)).toEqual({ earliest: '2026-01-01', due: '2026-01-04', latest: '2026-01-11' });
  });

  it('of an outing that is over are asked for by the day it ended', () => {
    const { duties } = agendaFrom(house([thing()], { outings: [outing('2026-05-20', '2026-05-22', { met: ['salt'] })] }), [], [], {
      now: NOW,
    });
    expect(duties.some((d) => d.code === 'look-after-outing' || d.code === 'shell-and-contacts')).toBe(true);
  });
});
