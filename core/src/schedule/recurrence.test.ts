import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { addDays, addMonths, occurrences, plainEvery, recurAfter, RecurrenceError, rruleOf } from './index.js';
import { checkRecurrence } from './recurrence.js';

/** "1997-09: 2 3 4" as days. */
const days = (text: string): string[] =>
  text
    .trim()
    .split(/\s*;\s*/)
    .flatMap((part) => {
      const [month, list] = part.split(':') as [string, string];
      return list
        .trim()
        .split(/[ ,]+/)
        .map((d) => `${month.trim()}-${d.padStart(2, '0')}`);
    });

/**
 * Source: RFC 5545, section 3.8.5.3, every example that recurs by days (those by the hour or minute are refused
 * below). Times of day are left out: care falls on days. Open-ended ones are compared as far as the standard lists
 * them; where it says "…" the list here is its own beginning.
 */
const RFC: [title: string, start: string, rule: string, expected: string][] = [
  ['daily for 10 occurrences', '1997-09-02', 'FREQ=DAILY;COUNT=10', '1997-09: 2 3 4 5 6 7 8 9 10 11'],
  ['every other day', '1997-09-02', 'FREQ=DAILY;INTERVAL=2', '1997-09: 2 4 6 8 10 12 14 16 18 20 22 24 26 28 30; 1997-10: 2 4 6'],
  ['every 10 days, 5 occurrences', '1997-09-02', 'FREQ=DAILY;INTERVAL=10;COUNT=5', '1997-09: 2 12 22; 1997-10: 2 12'],
  [
    'every day in January',
    '1998-01-01',
    'FREQ=YEARLY;UNTIL=20000131T140000Z;BYMONTH=1;BYDAY=SU,MO,TU,WE,TH,FR,SA',
    '1998-01: 1 2 3 4 5 6 7 8 9 10 11 12 13 14 15 16 17 18 19 20 21 22 23 24 25 26 27 28 29 30 31; 1999-01: 1',
  ],
  [
    'every day in January, daily',
    '1998-01-01',
    'FREQ=DAILY;UNTIL=20000131T140000Z;BYMONTH=1',
    '1998-01: 1 2 3 4 5 6 7 8 9 10 11 12 13 14 15 16 17 18 19 20 21 22 23 24 25 26 27 28 29 30 31; 1999-01: 1',
  ],
  ['weekly for 10 occurrences', '1997-09-02', 'FREQ=WEEKLY;COUNT=10', '1997-09: 2 9 16 23 30; 1997-10: 7 14 21 28; 1997-11: 4'],
  [
    'weekly until 24 December',
    '1997-09-02',
    'FREQ=WEEKLY;UNTIL=19971224T000000Z',
    '1997-09: 2 9 16 23 30; 1997-10: 7 14 21 28; 1997-11: 4 11 18 25; 1997-12: 2 9 16 23',
  ],
  [
    'every other week',
    '1997-09-02',
    'FREQ=WEEKLY;INTERVAL=2;WKST=SU',
    '1997-09: 2 16 30; 1997-10: 14 28; 1997-11: 11 25; 1997-12: 9 23; 1998-01: 6 20; 1998-02: 3 17',
  ],
  [
    'weekly on Tuesday and Thursday',
    '1997-09-02',
    'FREQ=WEEKLY;COUNT=10;WKST=SU;BYDAY=TU,TH',
    '1997-09: 2 4 9 11 16 18 23 25 30; 1997-10: 2',
  ],
  [
    'every other week on Monday, Wednesday and Friday',
    '1997-09-01',
    'FREQ=WEEKLY;INTERVAL=2;UNTIL=19971224T000000Z;WKST=SU;BYDAY=MO,WE,FR',
    '1997-09: 1 3 5 15 17 19 29; 1997-10: 1 3 13 15 17 27 29 31; 1997-11: 10 12 14 24 26 28; 1997-12: 8 10 12 22',
  ],
  [
    'every other week on Tuesday and Thursday',
    '1997-09-02',
    'FREQ=WEEKLY;INTERVAL=2;COUNT=8;WKST=SU;BYDAY=TU,TH',
    '1997-09: 2 4 16 18 30; 1997-10: 2 14 16',
  ],
  [
    'monthly on the first Friday',
    '1997-09-05',
    'FREQ=MONTHLY;COUNT=10;BYDAY=1FR',
    '1997-09: 5; 1997-10: 3; 1997-11: 7; 1997-12: 5; 1998-01: 2; 1998-02: 6; 1998-03: 6; 1998-04: 3; 1998-05: 1; 1998-06: 5',
  ],
  [
    'every other month on the first and last Sunday',
    '1997-09-07',
    'FREQ=MONTHLY;INTERVAL=2;COUNT=10;BYDAY=1SU,-1SU',
    '1997-09: 7 28; 1997-11: 2 30; 1998-01: 4 25; 1998-03: 1 29; 1998-05: 3 31',
  ],
  [
    'monthly on the second-to-last Monday',
    '1997-09-22',
    'FREQ=MONTHLY;COUNT=6;BYDAY=-2MO',
    '1997-09: 22; 1997-10: 20; 1997-11: 17; 1997-12: 22; 1998-01: 19; 1998-02: 16',
  ],
  [
    'monthly on the third-to-the-last day',
    '1997-09-28',
    'FREQ=MONTHLY;BYMONTHDAY=-3',
    '1997-09: 28; 1997-10: 29; 1997-11: 28; 1997-12: 29; 1998-01: 29; 1998-02: 26',
  ],
  [
    'monthly on the 2nd and 15th',
    '1997-09-02',
    'FREQ=MONTHLY;COUNT=10;BYMONTHDAY=2,15',
    '1997-09: 2 15; 1997-10: 2 15; 1997-11: 2 15; 1997-12: 2 15; 1998-01: 2 15',
  ],
  [
    'monthly on the first and last day',
    '1997-09-30',
    'FREQ=MONTHLY;COUNT=10;BYMONTHDAY=1,-1',
    '1997-09: 30; 1997-10: 1 31; 1997-11: 1 30; 1997-12: 1 31; 1998-01: 1 31; 1998-02: 1',
  ],
  [
    'every 18 months on the 10th to 15th',
    '1997-09-10',
    'FREQ=MONTHLY;INTERVAL=18;COUNT=10;BYMONTHDAY=10,11,12,13,14,15',
    '1997-09: 10 11 12 13 14 15; 1999-03: 10 11 12 13',
  ],
  [
    'every Tuesday, every other month',
    '1997-09-02',
    'FREQ=MONTHLY;INTERVAL=2;BYDAY=TU',
    '1997-09: 2 9 16 23 30; 1997-11: 4 11 18 25; 1998-01: 6 13 20 27; 1998-03: 3 10 17 24 31',
  ],
  [
    'yearly in June and July',
    '1997-06-10',
    'FREQ=YEARLY;COUNT=10;BYMONTH=6,7',
    '1997-06: 10; 1997-07: 10; 1998-06: 10; 1998-07: 10; 1999-06: 10; 1999-07: 10; 2000-06: 10; 2000-07: 10; 2001-06: 10; 2001-07: 10',
  ],
  [
    'every other year in January, February and March',
    '1997-03-10',
    'FREQ=YEARLY;INTERVAL=2;COUNT=10;BYMONTH=1,2,3',
    '1997-03: 10; 1999-01: 10; 1999-02: 10; 1999-03: 10; 2001-01: 10; 2001-02: 10; 2001-03: 10; 2003-01: 10; 2003-02: 10; 2003-03: 10',
  ],
  [
    'every third year on the 1st, 100th and 200th day',
    '1997-01-01',
    'FREQ=YEARLY;INTERVAL=3;COUNT=10;BYYEARDAY=1,100,200',
    '1997-01: 1; 1997-04: 10; 1997-07: 19; 2000-01: 1; 2000-04: 9; 2000-07: 18; 2003-01: 1; 2003-04: 10; 2003-07: 19; 2006-01: 1',
  ],
  ['every 20th Monday of the year', '1997-05-19', 'FREQ=YEARLY;BYDAY=20MO', '1997-05: 19; 1998-05: 18; 1999-05: 17'],
  ['Monday of week 20', '1997-05-12', 'FREQ=YEARLY;BYWEEKNO=20;BYDAY=MO', '1997-05: 12; 1998-05: 11; 1999-05: 17'],
  [
    'every Thursday in March',
    '1997-03-13',
    'FREQ=YEARLY;BYMONTH=3;BYDAY=TH',
    '1997-03: 13 20 27; 1998-03: 5 12 19 26; 1999-03: 4 11 18 25',
  ],
  [
    'every Thursday of June, July and August',
    '1997-06-05',
    'FREQ=YEARLY;BYDAY=TH;BYMONTH=6,7,8',
    '1997-06: 5 12 19 26; 1997-07: 3 10 17 24 31; 1997-08: 7 14 21 28; 1998-06: 4 11 18 25',
  ],
  // The standard excludes its own start here; the rule by itself begins with the first Friday the 13th.
  [
    'every Friday the 13th',
    '1997-09-02',
    'FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13',
    '1998-02: 13; 1998-03: 13; 1998-11: 13; 1999-08: 13; 2000-10: 13',
  ],
  [
    'the Saturday after the first Sunday',
    '1997-09-13',
    'FREQ=MONTHLY;BYDAY=SA;BYMONTHDAY=7,8,9,10,11,12,13',
    '1997-09: 13; 1997-10: 11; 1997-11: 8; 1997-12: 13; 1998-01: 10; 1998-02: 7; 1998-03: 7; 1998-04: 11; 1998-05: 9; 1998-06: 13',
  ],
  [
    'election day: the Tuesday after a Monday in November, every 4 years',
    '1996-11-05',
    'FREQ=YEARLY;INTERVAL=4;BYMONTH=11;BYDAY=TU;BYMONTHDAY=2,3,4,5,6,7,8',
    '1996-11: 5; 2000-11: 7; 2004-11: 2',
  ],
  [
    'the third of Tuesday, Wednesday or Thursday',
    '1997-09-04',
    'FREQ=MONTHLY;COUNT=3;BYDAY=TU,WE,TH;BYSETPOS=3',
    '1997-09: 4; 1997-10: 7; 1997-11: 6',
  ],
  [
    'the second-to-last weekday',
    '1997-09-29',
    'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-2',
    '1997-09: 29; 1997-10: 30; 1997-11: 27; 1997-12: 30; 1998-01: 29; 1998-02: 26; 1998-03: 30',
  ],
  ['where WKST matters: weeks from Monday', '1997-08-05', 'FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=MO', '1997-08: 5 10 19 24'],
  ['where WKST matters: weeks from Sunday', '1997-08-05', 'FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=SU', '1997-08: 5 17 19 31'],
  [
    'a day that months lack is left out',
    '2007-01-15',
    'FREQ=MONTHLY;BYMONTHDAY=15,30;COUNT=5',
    '2007-01: 15 30; 2007-02: 15; 2007-03: 15 30',
  ],
];

describe('recurrence rules', () => {
  it.each(RFC)('RFC 5545: %s', (_title, start, rule, expected) => {
    const list = days(expected);
    expect(occurrences(rule, start, { from: start, to: list.at(-1)! })).toEqual(list);
  });

  it.each(['FREQ=HOURLY;INTERVAL=3', 'FREQ=MINUTELY;INTERVAL=15;COUNT=6', 'FREQ=DAILY;BYHOUR=9,10,11;BYMINUTE=0,20,40', 'FREQ=SECONDLY'])(
    'RFC 5545’s rules within a day are refused, with the remedy: %s',
    (rule) => expect(() => occurrences(rule, '1997-09-02', { from: '1997-09-02', to: '1997-09-03' })).toThrow(/write FREQ=DAILY/),
  );

  /** Reference library: ical.js, whose recurrences share no line with those the days rest on. */
  it('agree with an independent library over 300 seeded random rules', () => {
    let seed = 20_260_310;
    const random = (n: number) => (seed = (seed * 1_103_515_245 + 12_345) % 2 ** 31) % n;
    const pick = <T>(list: readonly T[]): T => list[random(list.length)]!;
    for (let k = 0; k < 300; k++) {
      const freq = pick(['DAILY', 'WEEKLY', 'MONTHLY', 'YEARLY'] as const);
      const parts = [`FREQ=${freq}`, `INTERVAL=${1 + random(4)}`];
      if (freq === 'WEEKLY') parts.push(`BYDAY=${pick(['MO', 'TU,FR', 'SA,SU', 'WE'])}`, 'WKST=MO');
      if (freq === 'MONTHLY')
        parts.push(pick(['BYDAY=1SA', 'BYDAY=-1SU', 'BYDAY=2WE', 'BYMONTHDAY=5,20', 'BYMONTHDAY=-1', 'BYMONTHDAY=31']));
      if (freq === 'YEARLY') parts.push(pick(['BYMONTH=11;BYMONTHDAY=1', 'BYMONTH=2;BYMONTHDAY=28', 'BYMONTH=3,9;BYMONTHDAY=10']));
      const rule = parts.join(';');
      const start = addDays('2026-01-01', random(700));
      const to = addMonths(start, 30);
      const iterator = ICAL.Recur.fromString(rule).iterator(ICAL.Time.fromDateString(start));
      const expected: string[] = [];
      for (let next = iterator.next(); next && next.toString().slice(0, 10) <= to; next = iterator.next())
        expected.push(next.toString().slice(0, 10));
      expect(occurrences(rule, start, { from: start, to }), `seeded case ${k}: ${rule} from ${start}`).toEqual(expected);
    }
  });
});

describe('the next time', () => {
  it.each([
    ['three months after the end of November, on the last of February', 'FREQ=MONTHLY;INTERVAL=3', '2026-11-30', '2027-02-28'],
    ['a year after a leap day, on the 28th', 'FREQ=YEARLY', '2028-02-29', '2029-02-28'],
    ['two weeks on, across the change of the clocks', 'FREQ=WEEKLY;INTERVAL=2', '2026-03-20', '2026-04-03'],
    ['the first Saturday of the month after next quarter', 'FREQ=MONTHLY;INTERVAL=3;BYDAY=1SA', '2026-01-20', '2026-04-04'],
    ['each November', 'FREQ=YEARLY;BYMONTH=11;BYMONTHDAY=1', '2026-11-05', '2027-11-01'],
  ])('counts %s', (_title, rule, from, next) => expect(recurAfter(rule, from, from)).toBe(next));

  it('of a plain interval is read back from its rule', () => {
    expect(plainEvery(rruleOf({ months: 3 }))).toEqual({ months: 3 });
    expect(plainEvery(rruleOf({ days: 28 }))).toEqual({ days: 28 });
    expect(plainEvery('FREQ=YEARLY;INTERVAL=2')).toEqual({ months: 24 });
    expect(plainEvery('FREQ=MONTHLY;BYDAY=1SA')).toBeNull();
  });
});

describe('a rule nobody could follow', () => {
  it.each([
    ['never', 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=31'],
    ['never', 'FREQ=YEARLY;INTERVAL=99'],
    ['too-often', 'FREQ=MINUTELY'],
    ['too-often', 'FREQ=DAILY;INTERVAL=0'],
    ['ends', 'FREQ=MONTHLY;COUNT=3'],
    ['unreadable', 'every now and then'],
    ['unreadable', 'FREQ=SOMETIMES'],
    ['unreadable', 'FREQ=DAILY\nDTSTART:20260101'],
  ])('is refused as %s: %s', (trouble, rule) => {
    let caught: unknown;
    try {
      checkRecurrence(rule, '2026-03-10');
    } catch (error) {
      caught = error;
    }
    expect(caught).toBeInstanceOf(RecurrenceError);
    expect((caught as RecurrenceError).trouble).toBe(trouble);
  });
});
