import { care, schedule } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import {
  benchDayWords,
  dayBecauseWords,
  dutyWords,
  gravityWords,
  lateWords,
  proofWords,
  recurrenceWords,
  remedyWords,
  rhythmTroubleWords,
  rhythmWords,
  subjectWords,
  triggerWords,
} from '../index.js';
import { saidTwice, sentenceFault } from '../testing/sentenceLaws.js';

const lens: schedule.NamedSubject = { kind: 'thing', id: 'a', name: 'Old one', itemKind: 'lens' };
const duty = (code: schedule.DutyCode, facts: schedule.DutyFacts): schedule.Duty => ({
  id: code,
  code,
  subject: lens,
  window: { earliest: '2026-03-01', due: '2026-03-10', latest: '2026-03-20' },
  minutes: 8,
  gravity: 'routine',
  setUp: 'torch-and-loupe',
  urgency: 'due',
  facts,
  ahead: 0,
  estimate: null,
  snoozedUntil: null,
  plannedOn: null,
});

describe('a duty in words', () => {
  it.each<[schedule.DutyCode, schedule.DutyFacts, RegExp, RegExp, string]>([
    [
      'light-test',
      { says: 'rhythm', because: [{ because: 'last-look' }, { because: 'fungus-risk' }] },
      /^Look through it/,
      /^Counted from the last look\. Looked at more often/,
      'Look',
    ],
    ['exercise', { says: 'rhythm', because: [{ because: 'not-used' }] }, /^Exercise it$/, /grease settles/, 'Done'],
    ['sensor-frame', { says: 'rhythm', because: [{ because: 'used', of: 'outings', count: 1 }] }, /./, /^1 outing since/, 'See the frames'],
    ['go-on', { says: 'open-work', work: 'cleaning', id: 'c', startedAt: '' }, /^Finish/, /^A cleaning was begun/, 'Go on'],
    ['air-out', { says: 'air', cause: 'too-closed', itemId: 'a', placeId: 'p', since: null }, /^It wants air$/, /sticky/, 'Take it out'],
    [
      'silent',
      { says: 'air', cause: 'silent', deviceId: 'd', placeId: null, since: null },
      /^It is silent$/,
      /battery/,
      'See the hygrometer',
    ],
    ['salt-test', { says: 'salt-test', lastAt: null }, /^Salt test$/, /never tested/, 'Salt test'],
    ['cell-change', { says: 'battery', pct: 9 }, /^Change its cell$/, /low \(9 %\)/, 'Done'],
    ['cell-change', { says: 'battery', pct: null }, /./, /battery is low:/, 'Done'],
    ['cloth-wash', { says: 'cloth', uses: 1, washedOn: null, dirty: false }, /^Wash it$/, /^1 use since/, 'Washed'],
    ['cloth-wash', { says: 'cloth', uses: 1, washedOn: null, dirty: true }, /./, /nothing dirty goes near glass/, 'Washed'],
    ['restock', { says: 'stock', thing: 'lens-fluid', stock: 6 }, /^Running out$/, /^Only 3 cleans left\.$/, 'Open the drawer'],
    ['restock', { says: 'stock', thing: 'lens-tissue', stock: 0 }, /./, /^It is used up/, 'Open the drawer'],
    ['cap-missing', { says: 'caps', missing: ['front-cap'] }, /^Find or replace the front cap$/, /^It is missing/, 'It has one again'],
    [
      'cap-missing',
      { says: 'caps', missing: ['front-cap', 'rear-cap'] },
      /the front cap and the rear cap$/,
      /^They are missing/,
      'It has them again',
    ],
    [
      'due-back',
      { says: 'away', why: 'loan', until: '2026-03-01', agreed: true },
      /due back/,
      /^It is on loan, and 1 March was agreed\.$/,
      'It is back',
    ],
    [
      'due-back',
      { says: 'away', why: 'loan', until: '2026-03-01', agreed: false, to: 'Mara' },
      /due back/,
      /^It is on loan to Mara, and no day was agreed: it is asked for after three months\.$/,
      'It is back',
    ],
    [
      'due-back',
      { says: 'away', why: 'service', until: '2026-03-01', agreed: true, to: 'Brass & Son' },
      /due back/,
      /^It is at a workshop \(Brass & Son\), and 1 March was agreed\.$/,
      'It is back',
    ],
    [
      'look-before-outing',
      { says: 'outing', when: 'before', from: '2026-03-02', things: [{ id: 'a', name: 'Old one' }] },
      /packed/,
      /^Old one: look/,
      'Done',
    ],
    [
      'look-before-outing',
      {
        says: 'outing',
        when: 'before',
        from: '2026-03-02',
        things: Array.from({ length: 200 }, (_, i) => ({ id: `${i}`, name: `Thing ${i}` })),
      },
      /packed/,
      /^Thing 0, Thing 1, Thing 2, Thing 3, Thing 4, Thing 5 and 194 more: look/,
      'Done',
    ],
    [
      'evening-minute',
      { says: 'outing', when: 'tonight', from: '2026-03-02', things: [{ id: 'a', name: 'Old one' }] },
      /^A minute for each thing tonight$/,
      /^Old one: glass by a lamp held flat/,
      'Done',
    ],
    [
      'comes-in-cold',
      { says: 'outing', when: 'coming-in', from: '2026-03-02', things: [{ id: 'a', name: 'Old one' }] },
      /^Close the bag before you go in$/,
      /^Old one: shut in the bag out there/,
      'Begin the wait',
    ],
    [
      'dew-tonight',
      { says: 'dew', by: 'Roof', fromHour: 21 },
      /^The strap on before the dew$/,
      /from about 21:00 on, by the forecast of “Roof”/,
      'Done',
    ],
  ])('%s says what, why and what to do', (code, facts, title, why, action) => {
    const words = dutyWords(duty(code, facts));
    expect(words.title).toMatch(title);
    expect(words.why).toMatch(why);
    expect(words.action).toBe(action);
  });

  it('a need names the gravest surface, what lies there and why it matters, and how many more there are', () => {
    const surface = (name: 'inner-glass' | 'barrel', verdict: 'isolate' | 'clean') => ({
      surface: name,
      verdict,
      findings: [{ soil: 'fungus' as const, severity: 2 as const }],
      because: { reason: 'growth' as const, soil: 'fungus' as const, surface: 'inner-glass' as const },
    });
    const facts: schedule.DutyFacts = {
      says: 'need',
      verdict: 'isolate',
      surfaces: [surface('inner-glass', 'isolate'), surface('barrel', 'clean')],
    };
    expect(dutyWords(duty('isolate', facts)).why).toMatch(/^Inner glass: fungus inside \(light\)\. Fungus grows.* 1 more surface\.$/);
  });

  it('stands in its name and in what doing it means, whatever falls due', () => {
    for (const code of schedule.DUTY_CODES) {
      const { name, what, done } = schedule.dutyFacts(code);
      const said = [name, what, ...(done ? [done] : [])];
      for (const text of said) expect(sentenceFault(text), code).toBeNull();
      expect(saidTwice(said), code).toBeNull();
    }
  });

  it('stands for every need of every surface, one and two of them', () => {
    for (const kind of care.ITEM_KINDS) {
      const context = care.contextOf({ item: { kind, traits: {} }, place: 'home' });
      const surfaces = care.surfacesOf(kind, {});
      for (const [i, surface] of surfaces.entries())
        for (const soil of care.soilsOn(surface))
          for (const severity of [1, 3] as const) {
            const { verdict, because } = care.triage({ surface, soil, severity }, context);
            if (verdict === 'leave') continue;
            const first = { surface, verdict, because, findings: [{ soil, severity }] };
            const second = { ...first, surface: surfaces[(i + 1) % surfaces.length]! };
            for (const all of [[first], [first, second]]) {
              const { title, why } = dutyWords(duty('clean', { says: 'need', verdict, surfaces: all }));
              expect(sentenceFault(`${title}. ${why}`), `${kind} ${surface} ${soil} ${severity}: ${why}`).toBeNull();
              expect(saidTwice([why]), `${kind} ${surface} ${soil}`).toBeNull();
            }
          }
    }
  });

  it.each(schedule.GRAVITIES)('waiting has a word: %s', (gravity) => expect(gravityWords(gravity)).toMatch(/^[A-Z]/));
  it.each(schedule.SUBJECT_KINDS)('every subject has one: %s', (kind) => expect(subjectWords(kind)).toMatch(/^[A-Z]/));
});

describe('a rhythm in words', () => {
  it.each([
    ['FREQ=MONTHLY;INTERVAL=3', 'every 3 months'],
    ['FREQ=MONTHLY', 'every month'],
    ['FREQ=WEEKLY;INTERVAL=2', 'every 2 weeks'],
    ['FREQ=DAILY;INTERVAL=28', 'every 4 weeks'],
    ['FREQ=DAILY;INTERVAL=10', 'every 10 days'],
    ['FREQ=YEARLY', 'every year'],
    ['FREQ=MONTHLY;INTERVAL=24', 'every 2 years'],
    ['FREQ=MONTHLY;BYDAY=1SA', 'on the first Saturday of each month'],
    ['FREQ=MONTHLY;INTERVAL=3;BYDAY=-1SU', 'on the last Sunday of every 3 months'],
    ['FREQ=YEARLY;BYMONTH=11;BYMONTHDAY=1', 'each year on 1 November'],
    ['FREQ=YEARLY;BYMONTH=11', 'each November'],
    ['FREQ=WEEKLY;BYDAY=TU,SA', 'every week on Tuesday and Saturday'],
    ['FREQ=MONTHLY;BYSETPOS=-1;BYDAY=MO,TU', 'by the rule FREQ=MONTHLY;BYSETPOS=-1;BYDAY=MO,TU'],
  ])('%s reads “%s”', (rule, words) => expect(recurrenceWords(rule)).toBe(words));

  it.each<[schedule.Trigger, string]>([
    [{ on: 'use', of: 'outings', count: 10 }, 'after 10 outings'],
    [{ on: 'use', of: 'lens-changes', count: 1 }, 'after 1 lens change'],
    [{ on: 'exposure', to: ['sand', 'salt'], withinHours: 24 }, 'within 24 hours of sand, salt'],
    [{ on: 'climate', sign: 'gel', daysAhead: 14 }, '14 days before the gel is spent'],
    [{ on: 'idleness', after: { months: 3 } }, 'after 3 months without use'],
    [{ on: 'calendar', rrule: 'FREQ=MONTHLY', from: '2026-01-31' }, 'every month, from 2026-01-31'],
  ])('%j reads “%s”', (trigger, words) => expect(triggerWords(trigger)).toBe(words));

  it('tells what comes first and how far it may slip', () => {
    const { rhythm } = schedule.dutyFacts('sensor-frame');
    expect(rhythmWords(rhythm!)).toBe('every 3 months or after 10 outings, whichever comes first; up to 14 days early or late');
    expect(rhythmWords({ ...rhythm!, earlyDays: 0, lateDays: 2 })).toMatch(/; up to 2 days late$/);
    expect(rhythmWords({ ...rhythm!, earlyDays: 0, lateDays: 0 })).toMatch(/whichever comes first$/);
  });

  it.each<[schedule.RhythmTrouble, RegExp]>([
    [{ trouble: 'no-trigger' }, /add at least one/],
    [{ trouble: 'unreadable', trigger: 0, detail: '', nearest: null }, /FREQ=MONTHLY/],
    [{ trouble: 'too-often', trigger: 0, detail: '', nearest: 'FREQ=DAILY;INTERVAL=1' }, /The nearest: every day\./],
    [{ trouble: 'never', trigger: 0, detail: '', nearest: 'FREQ=YEARLY' }, /The nearest: every year\./],
    [{ trouble: 'ends', trigger: 0, detail: '', nearest: 'FREQ=MONTHLY' }, /Without one: every month\./],
    [{ trouble: 'no-day', trigger: 0 }, /YYYY-MM-DD/],
    [{ trouble: 'not-positive', trigger: 0, nearest: 1 }, /At least 1\./],
    [{ trouble: 'window-overlaps', everyDays: 7, nearest: 3 }, /At most 3 days/],
  ])('what is wrong says the remedy: %j', (trouble, words) => expect(rhythmTroubleWords(trouble)).toMatch(words));
});

describe('bench days in words', () => {
  const light = duty('light-test', { says: 'rhythm', because: [{ because: 'last-look' }] });
  const task = { id: 'light-test', ruleId: 'light-test', subjectId: 'a', ...light.window, minutes: 8, duty: light };
  const day = { day: '2026-03-14', tasks: [task], minutes: 12, setUps: ['torch-and-loupe' as const] };
  it('say why it is that day', () => {
    expect(dayBecauseWords({ ...day, because: { because: 'window-closes', taskId: 'light-test' } })).toBe(
      'It is the last of your days for Old one: look through it with a torch.',
    );
    expect(dayBecauseWords({ ...day, because: { because: 'pinned', taskId: 'light-test' } })).toBe('You put Old one on this day.');
    expect(dayBecauseWords({ ...day, because: { because: 'most-together', tasks: 3 } })).toBe('3 tasks fall together that day.');
  });
  it('say whether fewer are possible', () => {
    const plan = (days: number, fewest: number, proven: boolean) =>
      proofWords({ days: Array.from({ length: days }) as never, late: [], fewest, proven });
    expect(plan(0, 0, true)).toBe('Nothing needs a bench day.');
    expect(plan(5, 5, true)).toBe('5 days; fewer is impossible.');
    expect(plan(5, 4, false)).toBe('5 days; at least 4 are needed, one less may be possible.');
    expect(plan(5, 1, false)).toBe('5 days; at least 1 is needed, 4 less may be possible.');
  });
  it('say what slips and the smallest change that helps', () => {
    for (const reason of schedule.LATE_REASONS) expect(lateWords(reason)).toMatch(/\.$/);
    expect(remedyWords({ change: 'minutes', minutesPerDay: 80, more: 20 })).toBe('With 20 minutes more a day all of it fits.');
    expect(remedyWords({ change: 'weekday', weekday: 3 })).toBe('With Wednesdays as well all of it fits.');
  });
  it('become an event with its tasks', () => {
    expect(benchDayWords({ ...day, because: { because: 'most-together', tasks: 1 } })).toEqual({
      summary: 'Bench: 1 task, 12 min',
      description: 'Old one: Look through it with a torch (8 min)',
    });
  });
});
