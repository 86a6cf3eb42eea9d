import fc from 'fast-check';
import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { readBusy } from '../index.js';
import { timesOf, wallMs } from './expand.js';

const rule = (text: string) => ICAL.Recur.fromString(text);
const time = (text: string) => ICAL.Time.fromString(text, null);
const WHOLE = { fromMs: Date.UTC(1990, 0, 1), toMs: Date.UTC(2010, 0, 1) };
const days = (text: string, start: string, wall = WHOLE): string[] =>
  timesOf(rule(text), time(start), wall).times.map((ms) => new Date(ms).toISOString().slice(0, 10));

describe('a recurrence rule', () => {
  // RFC 5545, section 3.8.5.3, worked examples.
  it.each([
    ['FREQ=DAILY;COUNT=4', '1997-09-02T09:00:00', ['1997-09-02', '1997-09-03', '1997-09-04', '1997-09-05']],
    ['FREQ=DAILY;INTERVAL=10;COUNT=5', '1997-09-02T09:00:00', ['1997-09-02', '1997-09-12', '1997-09-22', '1997-10-02', '1997-10-12']],
    [
      'FREQ=WEEKLY;COUNT=10;WKST=SU;BYDAY=TU,TH',
      '1997-09-02T09:00:00',
      ['02', '04', '09', '11', '16', '18', '23', '25', '30'].map((d) => `1997-09-${d}`).concat('1997-10-02'),
    ],
    ['FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=MO', '1997-08-05T09:00:00', ['1997-08-05', '1997-08-10', '1997-08-19', '1997-08-24']],
    ['FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=SU', '1997-08-05T09:00:00', ['1997-08-05', '1997-08-17', '1997-08-19', '1997-08-31']],
    [
      'FREQ=MONTHLY;COUNT=10;BYDAY=1FR',
      '1997-09-05T09:00:00',
      '1997-09-05 1997-10-03 1997-11-07 1997-12-05 1998-01-02 1998-02-06 1998-03-06 1998-04-03 1998-05-01 1998-06-05'.split(' '),
    ],
    // An invalid date is ignored and not counted.
    ['FREQ=MONTHLY;BYMONTHDAY=15,30;COUNT=5', '2007-01-15T09:00:00', '2007-01-15 2007-01-30 2007-02-15 2007-03-15 2007-03-30'.split(' ')],
    [
      'FREQ=YEARLY;INTERVAL=4;BYMONTH=11;BYDAY=TU;BYMONTHDAY=2,3,4,5,6,7,8',
      '1996-11-05T09:00:00',
      ['1996-11-05', '2000-11-07', '2004-11-02', '2008-11-04'],
    ],
  ])('%s', (text, start, expected) => expect(days(text, start)).toEqual(expected));

  it('that names a day no month has never comes, and moves to no other', () => {
    for (const [month, day] of [
      [2, 30],
      [2, 31],
      [4, 31],
      [11, 31],
      [2, -30],
    ] as const)
      expect(days(`FREQ=YEARLY;BYMONTH=${month};BYMONTHDAY=${day}`, '2000-02-01')).toEqual([]);
    expect(days('FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29', '1996-02-29')).toEqual(['1996-02-29', '2000-02-29', '2004-02-29', '2008-02-29']);
    // Contradictions that no list of months shows end as well.
    expect(days('FREQ=YEARLY;INTERVAL=2;BYMONTH=2;BYMONTHDAY=29', '1997-02-01')).toEqual([]);
    expect(days('FREQ=MONTHLY;BYMONTHDAY=31;BYMONTH=2,4,6', '1997-02-01')).toEqual([]);
  });

  it.each(['FREQ=DAILY;INTERVAL=0', 'FREQ=WEEKLY;INTERVAL=-1'])('%s is refused or comes never, and ends', (text) => {
    const told = ((): unknown => {
      try {
        return days(text, '2000-01-01');
      } catch (error) {
        return error;
      }
    })();
    expect(told).toSatisfy((t) => t instanceof Error || (Array.isArray(t) && t.length <= 5000));
  });

  const anyRule = fc
    .record({
      freq: fc.constantFrom('YEARLY', 'MONTHLY', 'WEEKLY', 'DAILY', 'HOURLY'),
      interval: fc.integer({ min: 1, max: 9 }),
      byDay: fc.option(fc.subarray(['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'], { minLength: 1, maxLength: 3 }), { nil: null }),
      byMonthDay: fc.option(fc.subarray([1, 2, 5, 13, 28, 29, 30, 31, -1], { minLength: 1, maxLength: 3 }), { nil: null }),
      byMonth: fc.option(fc.subarray([1, 2, 6, 9, 12], { minLength: 1, maxLength: 3 }), { nil: null }),
      weekStart: fc.constantFrom('MO', 'SU'),
      count: fc.option(fc.integer({ min: 1, max: 300 }), { nil: null }),
    })
    .map(({ freq, interval, byDay, byMonthDay, byMonth, weekStart, count }) =>
      [
        `FREQ=${freq};INTERVAL=${interval};WKST=${weekStart}`,
        byDay ? `BYDAY=${byDay.join(',')}` : '',
        byMonthDay && freq !== 'WEEKLY' ? `BYMONTHDAY=${byMonthDay.join(',')}` : '',
        byMonth ? `BYMONTH=${byMonth.join(',')}` : '',
        count ? `COUNT=${count}` : '',
      ]
        .filter(Boolean)
        .join(';'),
    );
  const anyStart = fc
    .integer({ min: 0, max: 5 * 365 })
    .map((n) => new Date(Date.UTC(2000, 0, 1, 9) + n * 86_400_000).toISOString().slice(0, 19));

  it('begun at the stretch that is asked for gives what it gives begun at its beginning, over 800 seeded rules', () => {
    fc.assert(
      fc.property(anyRule, anyStart, fc.integer({ min: 0, max: 400 }), (text, start, weeks) => {
        const fromMs = wallMs(time(start)) + weeks * 7 * 86_400_000;
        const toMs = fromMs + 120 * 86_400_000;
        const all = timesOf(rule(text), time(start), { fromMs: 0, toMs });
        const asked = timesOf(rule(text), time(start), { fromMs, toMs });
        if (all.cut || asked.cut) return;
        expect(asked.times).toEqual(all.times.filter((ms) => ms >= fromMs));
      }),
      { seed: 24, numRuns: 800 },
    );
  });

  // Reference: the iterator of ical.js, which shares no line with the library that follows rules here.
  it('gives what an independent library gives, over 500 seeded rules of days every month has', () => {
    // That one loses months that only limit a rule, and runs for ever where days limit one: it is asked for neither.
    const plain = anyRule.filter((text) => !(/WEEKLY/.test(text) ? /BYMONTH|COUNT/ : /BY|HOURLY|COUNT/).test(text));
    const early = anyStart.filter((start) => Number(start.slice(8, 10)) <= 28);
    fc.assert(
      fc.property(plain, early, (text, start) => {
        const toMs = wallMs(time(start)) + 500 * 86_400_000;
        const iterator = rule(text).iterator(time(start));
        const expected: number[] = [];
        for (let next = iterator.next(), n = 0; next && wallMs(next) <= toMs && n < 2000; next = iterator.next(), n++)
          expected.push(wallMs(next));
        // It tells the beginning, too, where the rule itself does not name it.
        const { times } = timesOf(rule(text), time(start), { fromMs: 0, toMs });
        expect(times).toEqual(expected.filter((ms) => ms !== wallMs(time(start)) || times[0] === ms));
      }),
      { seed: 5545, numRuns: 500 },
    );
  });
});

const calendar = (...lines: string[]) => ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//x//y//EN', ...lines, 'END:VCALENDAR'].join('\r\n');
const event = (uid: string, ...lines: string[]) => ['BEGIN:VEVENT', `UID:${uid}`, ...lines, 'END:VEVENT'];
const span = { from: '2026-03-01', to: '2026-03-31', timeZone: 'Europe/Lisbon' };

describe('a calendar that repeats itself', () => {
  it('of a hundred daily events begun in 2015 is read as far as it is asked for', () => {
    const events = Array.from({ length: 100 }, (_, i) =>
      event(`d${i}`, `DTSTART:20150101T${String(i % 24).padStart(2, '0')}0000Z`, 'DURATION:PT30M', 'RRULE:FREQ=DAILY'),
    );
    const { busy, cut, problems } = readBusy(calendar(...events.flat()), span);
    expect([cut, problems]).toEqual([false, []]);
    // A day of margin before, two after.
    expect(busy.filter((b) => b.from.startsWith('2026-03-10')).length).toBe(24);
  });

  it('on a day that no month has is busy on none: 30 February is not 2 March', () => {
    const { busy, problems } = readBusy(
      calendar(...event('x', 'DTSTART;VALUE=DATE:20150101', 'RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30,31')),
      { ...span, from: '2026-02-01' },
    );
    expect([busy, problems]).toEqual([[], []]);
  });

  it('until an instant in UTC ends by it, also where its events are of a zone', () => {
    const zone = [
      'BEGIN:VTIMEZONE',
      'TZID:Fixed',
      'BEGIN:STANDARD',
      'DTSTART:19700101T000000',
      'TZOFFSETFROM:-0500',
      'TZOFFSETTO:-0500',
      'END:STANDARD',
      'END:VTIMEZONE',
    ];
    const daily = event('z', 'DTSTART;TZID=Fixed:20260302T220000', 'DURATION:PT1H', 'RRULE:FREQ=DAILY;UNTIL=20260305T030000Z');
    // 22:00 at five hours west is 03:00 UTC of the next day.
    expect(readBusy(calendar(...zone, ...daily), span).busy.map((b) => b.from)).toEqual([
      '2026-03-03T03:00:00.000Z',
      '2026-03-04T03:00:00.000Z',
      '2026-03-05T03:00:00.000Z',
    ]);
  });

  it('follows exceptions that are days, dates of its own, and one that moves all that follow', () => {
    const weekly = event(
      'w',
      'DTSTART:20260302T180000Z',
      'DURATION:PT1H',
      'RRULE:FREQ=WEEKLY',
      'RDATE:20260304T120000Z',
      'RDATE;VALUE=PERIOD:20260305T120000Z/PT3H',
      'EXDATE;VALUE=DATE:20260309',
    );
    const moved = event('w', 'RECURRENCE-ID;RANGE=THISANDFUTURE:20260323T180000Z', 'DTSTART:20260323T200000Z', 'DURATION:PT2H');
    const { busy } = readBusy(calendar(...weekly, ...moved), { ...span, to: '2026-03-30' });
    expect(busy.map((b) => `${b.from.slice(5, 16)}/${b.to.slice(11, 16)}`)).toEqual([
      '03-02T18:00/19:00',
      '03-04T12:00/13:00',
      '03-05T12:00/15:00',
      '03-16T18:00/19:00',
      '03-23T20:00/22:00',
      '03-30T20:00/22:00',
    ]);
  });

  it('finds one that was moved into what is asked for from far outside of it, and one whose event was not told', () => {
    const yearly = event('y', 'DTSTART:20200801T100000Z', 'DURATION:PT1H', 'RRULE:FREQ=YEARLY');
    const moved = event('y', 'RECURRENCE-ID:20250801T100000Z', 'DTSTART:20260310T100000Z', 'DURATION:PT1H');
    const alone = event('alone', 'RECURRENCE-ID:20260312T100000Z', 'DTSTART:20260312T110000Z', 'DURATION:PT1H');
    expect(readBusy(calendar(...yearly, ...moved, ...alone), span).busy.map((b) => b.from)).toEqual([
      '2026-03-10T10:00:00.000Z',
      '2026-03-12T11:00:00.000Z',
    ]);
  });

  it('tells each event that is cut by its line', () => {
    const { cut, problems, busy } = readBusy(
      calendar(
        ...event('m', 'DTSTART:20260301T000000Z', 'DTEND:20260301T000030Z', 'RRULE:FREQ=MINUTELY'),
        ...event('c', 'DTSTART:20000101T000000Z', 'DURATION:PT1S', 'RRULE:FREQ=SECONDLY;COUNT=900000000'),
      ),
      span,
    );
    expect(cut).toBe(true);
    expect(problems.map((p) => [p.line, p.property])).toEqual([
      [4, 'BEGIN'],
      [10, 'BEGIN'],
    ]);
    expect(busy.length).toBeLessThanOrEqual(5000);
  });
});
