import ICAL from 'ical.js';
import type { BenchDay } from '../benchDays/index.js';
import { addDays, earlier, later, type Day } from '../day.js';
import type { DueWindow } from '../dueWindows.js';
import { vtimezone } from './timeZone.js';

/** Something to put in a calendar: a whole day, or from a clock time for so many minutes. */
export type CalendarEntry = {
  /** The same entry keeps it for ever. */
  uid: string;
  summary: string;
  description?: string;
  day: Day;
  /** Local clock time, "17:00"; a whole day where it is left out. */
  time?: string;
  minutes?: number;
  categories?: readonly string[];
  /** Where in the application it leads. */
  url?: string;
  /** Counts up whenever the entry changes; `at` is when it last did. */
  sequence?: number;
  at?: string;
  cancelled?: boolean;
  /** A guess: a calendar shows it as tentative. */
  tentative?: boolean;
  /** Rings so many minutes before it begins; negative after it, as on the morning of a whole day. */
  alarmMinutesBefore?: number;
};

export type CalendarOptions = {
  /** IANA name; clock times are of this zone. */
  timeZone: string;
  /** When this is written, an instant: a calendar without it could not be the same twice. */
  now: string;
  name?: string;
};

type Writable = CalendarEntry | DueWindow | BenchDay;

const HOUSE = 'bright-keeper';
/** 75 octets a line, the space that begins a folded one included (RFC 5545 section 3.1). */
const FOLD_AT = 74;

/** A window is a whole day on which it is due, a bench day a whole day with its tasks; words come from whoever writes entries. */
function entryOf(what: Writable): CalendarEntry {
  if ('uid' in what) return what;
  if ('tasks' in what)
    return {
      uid: `bench/${what.day}@${HOUSE}`,
      summary: `${what.tasks.length} × ${what.minutes} min`,
      day: what.day,
      minutes: what.minutes,
    };
  return {
    uid: `${what.ruleId}/${what.subjectId}/${what.due}@${HOUSE}`,
    summary: what.ruleId,
    day: what.due,
    tentative: what.estimate !== undefined,
  };
}

const dateValue = (day: Day): ICAL.Time => ICAL.Time.fromDateString(day);
const utcValue = (instant: string): ICAL.Time => ICAL.Time.fromJSDate(new Date(Math.floor(Date.parse(instant) / 1000) * 1000), true);

function timing(event: ICAL.Component, { day, time, minutes = 0 }: CalendarEntry, timeZone: string): void {
  if (!time) {
    event.addPropertyWithValue('dtstart', dateValue(day));
    event.addPropertyWithValue('dtend', dateValue(addDays(day, 1)));
    event.addPropertyWithValue('transp', 'TRANSPARENT');
    return;
  }
  const start = new ICAL.Property('dtstart');
  start.setParameter('tzid', timeZone);
  start.setValue(ICAL.Time.fromDateTimeString(`${day}T${time}:00`));
  event.addProperty(start);
  event.addPropertyWithValue('duration', ICAL.Duration.fromSeconds(minutes * 60));
  event.addPropertyWithValue('transp', 'OPAQUE');
}

function alarm(summary: string, minutesBefore: number): ICAL.Component {
  const component = new ICAL.Component('valarm');
  component.addPropertyWithValue('action', 'DISPLAY');
  component.addPropertyWithValue('description', summary);
  component.addPropertyWithValue('trigger', ICAL.Duration.fromSeconds(-minutesBefore * 60));
  return component;
}

function eventOf(entry: CalendarEntry, { timeZone, now }: CalendarOptions): ICAL.Component {
  const { uid, summary, description, categories = [], url, sequence = 0, at = now, cancelled, tentative, alarmMinutesBefore } = entry;
  const event = new ICAL.Component('vevent');
  event.addPropertyWithValue('uid', uid);
  event.addPropertyWithValue('dtstamp', utcValue(at));
  event.addPropertyWithValue('last-modified', utcValue(at));
  event.addPropertyWithValue('sequence', sequence);
  timing(event, entry, timeZone);
  event.addPropertyWithValue('summary', summary);
  if (description) event.addPropertyWithValue('description', description);
  if (url) event.addPropertyWithValue('url', url);
  if (categories.length > 0) {
    const property = new ICAL.Property('categories');
    property.setValues([...categories]);
    event.addProperty(property);
  }
  event.addPropertyWithValue('status', cancelled ? 'CANCELLED' : tentative ? 'TENTATIVE' : 'CONFIRMED');
  if (alarmMinutesBefore !== undefined && !cancelled) event.addSubcomponent(alarm(summary, alarmMinutesBefore));
  return event;
}

const END = 'END:VCALENDAR';

/** The same, entry by entry: whoever has others waiting may let them in at each step. */
export function* iCalendarInSteps(entries: readonly Writable[], options: CalendarOptions): Generator<void, string> {
  ICAL.foldLength = FOLD_AT;
  const all = entries.map(entryOf);
  const calendar = new ICAL.Component('vcalendar');
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', '-//Bright Keeper//Calendar//EN');
  calendar.addPropertyWithValue('calscale', 'GREGORIAN');
  calendar.addPropertyWithValue('method', 'PUBLISH');
  if (options.name) calendar.addPropertyWithValue('x-wr-calname', options.name);
  const timed = all.filter((e) => e.time).map((e) => e.day);
  if (timed.length > 0) calendar.addSubcomponent(vtimezone(options.timeZone, timed.reduce(earlier), timed.reduce(later)));
  const head = calendar.toString();
  const parts = [head.slice(0, head.lastIndexOf(END)).trimEnd()];
  for (const entry of all) {
    parts.push(eventOf(entry, options).toString());
    yield;
  }
  return [...parts, END, ''].join('\r\n');
}

/**
 * A calendar as RFC 5545 text: entries as they are, due windows as whole days on which they are due, bench days
 * likewise. The same input gives the same bytes.
 *
 * @throws RangeError when the zone is none.
 */
export function toICalendar(entries: readonly Writable[], options: CalendarOptions): string {
  const steps = iCalendarInSteps(entries, options);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}
