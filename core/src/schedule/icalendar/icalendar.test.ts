import nodeIcal from 'node-ical';
import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { addDays, instantAt, localMinute, readBusy, toICalendar, type CalendarEntry } from '../index.js';

/** Length in UTF-8. */
const octets = (text: string): number => encodeURIComponent(text).replaceAll(/%../g, 'x').length;
const NOW = '2026-03-10T09:30:00Z';
const options = { timeZone: 'Europe/Lisbon', now: NOW, name: 'Care' };
type Parsed = {
  uid: string;
  summary: string;
  description: string;
  start: Date & { dateOnly?: boolean; tz?: string };
  end: Date;
  status: string;
  sequence: string;
  categories: string[];
  url: string;
  datetype: string;
};
const parsed = (text: string) =>
  Object.values(nodeIcal.sync.parseICS(text)).filter((c) => (c as { type: string }).type === 'VEVENT') as unknown as Parsed[];

const awkward: CalendarEntry = {
  uid: 'light-test/thing/0190/3@bright-keeper',
  summary: 'Look through it; with a torch, “Corvane 35/2” – naïve ünïcode 🔦, and a line\nbreak \\ backslash',
  description: 'x'.repeat(300),
  day: '2026-03-28',
  categories: ['thing', 'routine'],
  url: 'http://localhost:4870/gear/0190',
  sequence: 7,
  at: '2026-03-01T12:00:00Z',
  alarmMinutesBefore: -540,
};

/** Reference parser: node-ical, which shares no line with the writer. */
describe('a calendar that is written', () => {
  it('comes back from an independent parser without loss', () => {
    const [event] = parsed(toICalendar([awkward], options));
    expect(event).toMatchObject({
      uid: awkward.uid,
      summary: awkward.summary,
      description: awkward.description,
      datetype: 'date',
      status: 'CONFIRMED',
      url: awkward.url,
    });
    expect(Number(event!.sequence)).toBe(7);
    expect(event!.categories).toEqual(['thing', 'routine']);
  });

  it('is the same bytes for the same input', () => expect(toICalendar([awkward], options)).toBe(toICalendar([awkward], options)));

  it('folds its lines at 75 octets and ends them as RFC 5545 section 3.1 has it', () => {
    const text = toICalendar([awkward], options);
    expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
    for (const line of text.split('\r\n')) expect(octets(line)).toBeLessThanOrEqual(75);
  });

  it('keeps a cancelled one as CANCELLED, without its alarm, and a guess as TENTATIVE', () => {
    const text = toICalendar(
      [
        { ...awkward, cancelled: true },
        { uid: 'g', summary: 'guess', day: '2026-05-01', tentative: true },
      ],
      options,
    );
    expect(parsed(text).map((e) => e.status)).toEqual(['CANCELLED', 'TENTATIVE']);
    expect(text).not.toContain('VALARM');
  });

  it('takes due windows and bench days as they are', () => {
    const window = { ruleId: 'light-test', subjectId: 'a', earliest: '2026-03-01', due: '2026-03-15', latest: '2026-03-29', minutes: 8 };
    const day = { day: '2026-03-21', tasks: [window], minutes: 12, setUps: [], because: { because: 'most-together', tasks: 1 } } as const;
    const events = parsed(toICalendar([window, { ...day, tasks: [...day.tasks], setUps: [] }], options));
    expect(events.map((e) => e.uid)).toEqual(['light-test/a/2026-03-15@bright-keeper', 'bench/2026-03-21@bright-keeper']);
  });
});

/**
 * Changes of the clocks, from memory of the rules in force since: Lisbon and Berlin on the last Sundays of March and
 * October (EU directive 2000/84/EC), New York on the second Sunday of March and the first of November (US Energy
 * Policy Act 2005), Auckland on the last Sunday of September and the first of April (NZ Daylight Time Order 2007).
 */
describe('clock times in four zones, the day before, the day of and the day after the clocks change', () => {
  it.each([
    ['Europe/Lisbon', '2026-03-29', ['2026-03-28T17:00:00Z', '2026-03-29T16:00:00Z', '2026-03-30T16:00:00Z']],
    ['Europe/Berlin', '2026-10-25', ['2026-10-24T15:00:00Z', '2026-10-25T16:00:00Z', '2026-10-26T16:00:00Z']],
    ['America/New_York', '2026-11-01', ['2026-10-31T21:00:00Z', '2026-11-01T22:00:00Z', '2026-11-02T22:00:00Z']],
    ['Pacific/Auckland', '2026-04-05', ['2026-04-04T04:00:00Z', '2026-04-05T05:00:00Z', '2026-04-06T05:00:00Z']],
  ])('%s', (timeZone, changes, expected) => {
    const days = [addDays(changes, -1), changes, addDays(changes, 1)];
    const entries = days.map((day, i): CalendarEntry => ({ uid: `${i}`, summary: 'bench', day, time: '17:00', minutes: 60 }));
    const text = toICalendar(entries, { ...options, timeZone });
    // The zone in the file by itself, not one the reader happens to know.
    const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
    const zone = new ICAL.Timezone(calendar.getFirstSubcomponent('vtimezone')!);
    const starts = calendar.getAllSubcomponents('vevent').map((e) => {
      const start = e.getFirstPropertyValue('dtstart') as ICAL.Time;
      start.zone = zone;
      return new Date(start.toUnixTime() * 1000).toISOString().replace('.000', '');
    });
    expect(starts).toEqual(expected);
    expect(parsed(text).map((e) => e.start.toISOString().replace('.000', ''))).toEqual(expected);
    expect(days.map((day) => instantAt(day, '17:00', timeZone))).toEqual(expected);
    expect(expected.map((at) => localMinute(at, timeZone))).toEqual(days.map((day) => ({ day, minute: 17 * 60 })));
  });
});

const calendar = (...lines: string[]) => ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//x//y//EN', ...lines, 'END:VCALENDAR'].join('\r\n');
const span = { from: '2026-03-01', to: '2026-04-30', timeZone: 'Europe/Lisbon' };

describe('busy time of another calendar', () => {
  it('is read from events in UTC, in a zone, floating and whole days; nothing but the times is kept', () => {
    const { busy, problems, events } = readBusy(
      calendar(
        'BEGIN:VEVENT',
        'UID:1',
        'DTSTAMP:20260301T000000Z',
        'DTSTART:20260310T180000Z',
        'DTEND:20260310T190000Z',
        'SUMMARY:secret',
        'END:VEVENT',
        'BEGIN:VEVENT',
        'UID:2',
        'DTSTAMP:20260301T000000Z',
        'DTSTART:20260401T180000',
        'DURATION:PT1H',
        'END:VEVENT',
        'BEGIN:VEVENT',
        'UID:3',
        'DTSTAMP:20260301T000000Z',
        'DTSTART;VALUE=DATE:20260404',
        'DTEND;VALUE=DATE:20260405',
        'END:VEVENT',
      ),
      span,
    );
    expect(problems).toEqual([]);
    expect(events).toBe(3);
    // 1 and 4 April are in summer time: an hour east of UTC.
    expect(busy).toEqual([
      { from: '2026-03-10T18:00:00.000Z', to: '2026-03-10T19:00:00.000Z' },
      { from: '2026-04-01T17:00:00Z', to: '2026-04-01T18:00:00Z' },
      { from: '2026-04-03T23:00:00Z', to: '2026-04-04T23:00:00Z' },
    ]);
    expect(JSON.stringify(busy)).not.toContain('secret');
  });

  it('follows recurrences with their exceptions and moved ones, and leaves out what is free or cancelled', () => {
    const { busy } = readBusy(
      calendar(
        'BEGIN:VEVENT',
        'UID:w',
        'DTSTART:20260302T180000Z',
        'DTEND:20260302T190000Z',
        'RRULE:FREQ=WEEKLY;COUNT=4',
        'EXDATE:20260309T180000Z',
        'END:VEVENT',
        'BEGIN:VEVENT',
        'UID:w',
        'RECURRENCE-ID:20260316T180000Z',
        'DTSTART:20260317T080000Z',
        'DTEND:20260317T090000Z',
        'END:VEVENT',
        'BEGIN:VEVENT',
        'UID:free',
        'DTSTART:20260305T180000Z',
        'DTEND:20260305T190000Z',
        'TRANSP:TRANSPARENT',
        'END:VEVENT',
        'BEGIN:VEVENT',
        'UID:off',
        'DTSTART:20260306T180000Z',
        'DTEND:20260306T190000Z',
        'STATUS:CANCELLED',
        'END:VEVENT',
      ),
      span,
    );
    expect(busy.map((b) => b.from)).toEqual(['2026-03-02T18:00:00.000Z', '2026-03-17T08:00:00.000Z', '2026-03-23T18:00:00.000Z']);
  });

  it('reads free/busy, and joins what overlaps', () => {
    const { busy } = readBusy(
      calendar(
        'BEGIN:VFREEBUSY',
        'UID:f',
        'DTSTAMP:20260301T000000Z',
        'FREEBUSY:20260310T100000Z/20260310T120000Z,20260310T110000Z/PT2H',
        'FREEBUSY;FBTYPE=FREE:20260311T100000Z/PT1H',
        'END:VFREEBUSY',
      ),
      span,
    );
    expect(busy).toEqual([{ from: '2026-03-10T10:00:00.000Z', to: '2026-03-10T13:00:00.000Z' }]);
  });

  it('of a broken calendar keeps the good events and names line and property of the bad', () => {
    const { busy, problems } = readBusy(
      calendar(
        'BEGIN:VEVENT',
        'UID:bad',
        'DTSTART:20261399T990000Z',
        'END:VEVENT',
        'BEGIN:VEVENT',
        'UID:none',
        'SUMMARY:no time',
        'END:VEVENT',
        'BEGIN:VEVENT',
        'UID:torn',
        'DTSTART:20260310T100000Z',
        'this is no property',
        'END:VEVENT',
        'BEGIN:VEVENT',
        'UID:good',
        'DTSTART:20260312T100000Z',
        'DTEND:20260312T110000Z',
        'END:VEVENT',
      ),
      span,
    );
    expect(busy.map((b) => b.from)).toEqual(['2026-03-12T10:00:00.000Z']);
    expect(problems.map((p) => [p.line, p.property])).toEqual([
      [6, 'DTSTART'],
      [8, 'BEGIN'],
      [15, 'THIS IS NO PROPERTY'],
    ]);
  });

  it('says what is no calendar at all', () => {
    expect(readBusy('<html>', span).problems[0]).toMatchObject({ line: 1, detail: expect.stringContaining('BEGIN:VCALENDAR') });
  });

  it('follows a flood only so far, and says so', () => {
    const reading = readBusy(
      calendar('BEGIN:VEVENT', 'UID:flood', 'DTSTART:20260301T000000Z', 'DTEND:20260301T000030Z', 'RRULE:FREQ=MINUTELY', 'END:VEVENT'),
      span,
    );
    expect(reading.cut).toBe(true);
  });
});
