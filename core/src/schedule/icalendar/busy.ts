import ICAL from 'ical.js';
import { addDays, isDay, type Day } from '../day.js';
import type { Wall } from './expand.js';
import { occurrencesOf } from './occurrences.js';
import { instantAt } from './timeZone.js';
import { MS_PER_MINUTE } from '../../units.js';

/** A span of time somebody is not free, as instants; nothing else of the other calendar is kept. */
export type Busy = { from: string; to: string };
/** What of a calendar could not be read: the line it begins on, and which property. */
export type CalendarProblem = { line: number; property: string; detail: string };
export type BusyReading = {
  busy: Busy[];
  events: number;
  problems: CalendarProblem[];
  /** More than this was not followed. */ cut: boolean;
};

/** A day's meeting every minute is a flood: so many spans are followed, and not more (our choice). */
const MOST_BUSY = 5_000;

type Line = { text: string; line: number };

/** Content lines with the number of the line each begins on; folded ones are joined (RFC 5545 section 3.1). */
function contentLines(text: string): Line[] {
  const lines: Line[] = [];
  text.split(/\r\n|\n|\r/).forEach((raw, i) => {
    if (/^[ \t]/.test(raw) && lines.length > 0) lines.at(-1)!.text += raw.slice(1);
    else if (raw !== '') lines.push({ text: raw, line: i + 1 });
  });
  return lines;
}

const nameOf = (text: string): string => (/^[^:;]*/.exec(text)?.[0] ?? '').toUpperCase().slice(0, 40);

/** The outermost blocks of a kind, each as its lines. */
function blocks(lines: readonly Line[], kind: string): Line[][] {
  const found: Line[][] = [];
  let open: Line[] | null = null;
  for (const line of lines) {
    if (line.text.toUpperCase() === `BEGIN:${kind}`) open = [];
    open?.push(line);
    if (open && line.text.toUpperCase() === `END:${kind}`) {
      found.push(open);
      open = null;
    }
  }
  return found;
}

const CLOCK = /^([01]\d|2[0-3]):[0-5]\d:([0-5]\d|60)Z?$/;
/** Month 13 or hour 99 would be carried over in silence: a time that is no time is an error. */
function isTimeReal(property: ICAL.Property): boolean {
  const [, , type, value] = property.toJSON() as [string, object, string, unknown];
  if ((type !== 'date' && type !== 'date-time') || typeof value !== 'string') return true;
  const [day, clock] = value.split('T') as [string, string | undefined];
  return isDay(day) && (clock === undefined || CLOCK.test(clock));
}

/** The first line of a block that cannot be read by itself. */
function badLine(block: readonly Line[]): Line {
  const bad = block.find(({ text }) => {
    if (/^(BEGIN|END):/i.test(text)) return false;
    try {
      return !isTimeReal(ICAL.Property.fromString(text));
    } catch {
      return true;
    }
  });
  return bad ?? block[0]!;
}

/** @throws Error when a line of it cannot be read. */
function componentOf(block: readonly Line[]): ICAL.Component {
  const component = new ICAL.Component(ICAL.parse(block.map((l) => l.text).join('\r\n')) as unknown[]);
  const unreal = component.getAllProperties().find((p) => !isTimeReal(p));
  if (unreal) throw new Error(`${unreal.name.toUpperCase()} is no time there is`);
  return component;
}

type Span = { from: Day; to: Day; timeZone: string };

/** A time as an instant: floating ones are of the household's zone, and a whole day begins there. */
function instantOf(time: ICAL.Time, timeZone: string): string {
  if (time.isDate) return instantAt(time.toString(), '00:00:00', timeZone);
  if (time.zone === ICAL.Timezone.utcTimezone) return time.toJSDate().toISOString();
  if (time.zone && time.zone !== ICAL.Timezone.localTimezone && time.zone.tzid !== 'floating')
    return new Date(time.toUnixTime() * 1000).toISOString();
  const [day, clock] = time.toString().split('T') as [string, string];
  return instantAt(day, clock.replace('Z', ''), timeZone);
}

const isFree = (component: ICAL.Component): boolean =>
  component.getFirstPropertyValue('transp') === 'TRANSPARENT' || component.getFirstPropertyValue('status') === 'CANCELLED';

/** A day on either side: zones are up to fourteen hours apart, and a wall clock knows none. */
const wallOf = ({ from, to }: Span): Wall => ({
  fromMs: Date.parse(`${addDays(from, -1)}T00:00:00Z`),
  toMs: Date.parse(`${addDays(to, 2)}T00:00:00Z`),
});

function* freeBusySpans(component: ICAL.Component, { timeZone }: Span): Generator<Busy> {
  for (const property of component.getAllProperties('freebusy')) {
    if (property.getFirstParameter('fbtype') === 'FREE') continue;
    for (const period of property.getValues() as ICAL.Period[])
      yield { from: instantOf(period.start, timeZone), to: instantOf(period.getEnd(), timeZone) };
  }
}

/** Spans that touch or overlap become one. */
export function merged(busy: readonly Busy[]): Busy[] {
  const all: Busy[] = [];
  for (const next of [...busy].sort((a, b) => a.from.localeCompare(b.from))) {
    const last = all.at(-1);
    if (last && next.from <= last.to) last.to = next.to > last.to ? next.to : last.to;
    else all.push({ ...next });
  }
  return all;
}

/** What is read of a calendar, as it goes: the events by UID, what could not be read, and the busy times so far. */
class Reading {
  readonly busy: Busy[] = [];
  readonly problems: CalendarProblem[] = [];
  read = 0;
  cut = false;

  private readonly wall: Wall;

  constructor(private readonly span: Span) {
    this.wall = wallOf(span);
  }

  complain(block: readonly Line[], error: unknown): void {
    const bad = badLine(block);
    this.problems.push({ line: bad.line, property: nameOf(bad.text), detail: error instanceof Error ? error.message : String(error) });
  }

  private tellCut({ line, text }: Line, detail: string): void {
    this.cut = true;
    this.problems.push({ line, property: nameOf(text), detail });
  }

  /** Reads a block, and complains of it where that cannot be done. */
  try(block: readonly Line[], work: () => void): void {
    try {
      work();
    } catch (error) {
      this.complain(block, error);
    }
  }

  event(block: readonly Line[], component: ICAL.Component, overrides: readonly ICAL.Component[]): void {
    if (!component.hasProperty('dtstart')) throw new Error('an event without DTSTART');
    const { found, cut } = occurrencesOf(component, overrides, this.wall);
    if (cut) this.tellCut(block[0]!, 'it comes more often than is followed; the later times are left out');
    this.keep(
      block[0]!,
      found
        .filter(({ component: at }) => !isFree(at))
        .map(({ start, end }) => ({ from: instantOf(start, this.span.timeZone), to: instantOf(end, this.span.timeZone) })),
    );
  }

  freeBusy(block: readonly Line[], component: ICAL.Component): void {
    this.keep(block[0]!, [...freeBusySpans(component, this.span)]);
  }

  /** Keeps those that last and lie within the span, as many as are followed. */
  private keep(at: Line, spans: readonly Busy[]): void {
    const { fromMs, toMs } = this.wall;
    for (const one of spans) {
      if (!(one.from < one.to) || Date.parse(one.to) <= fromMs || Date.parse(one.from) >= toMs) continue;
      if (this.busy.length >= MOST_BUSY) return this.tellCut(at, 'there are more busy times than are kept; from here on they are left out');
      this.busy.push(one);
    }
    this.read += 1;
  }
}

/** What stands for one time of another event, by its UID. */
function overridesByUid(events: readonly { component: ICAL.Component }[]): ReadonlyMap<unknown, ICAL.Component[]> {
  const of = new Map<unknown, ICAL.Component[]>();
  for (const { component } of events) {
    if (!component.hasProperty('recurrence-id') || !component.hasProperty('dtstart')) continue;
    const uid = component.getFirstPropertyValue('uid');
    const same = of.get(uid);
    if (same) same.push(component);
    else of.set(uid, [component]);
  }
  return of;
}

/**
 * When somebody is busy, read from an iCalendar text: events with their recurrences and exceptions, and free/busy.
 * Of a broken calendar the good events are kept, and each bad one is told by its line and property; what is cut off
 * because there is too much of it is told likewise.
 *
 * @param at is told the line of each block before it is read: whoever ends the reading knows where it stood.
 */
export function readBusy(text: string, span: Span, at: (line: number) => void = () => {}): BusyReading {
  const lines = contentLines(text);
  if (!lines.some((l) => l.text.toUpperCase() === 'BEGIN:VCALENDAR'))
    return {
      busy: [],
      events: 0,
      cut: false,
      problems: [{ line: 1, property: nameOf(lines[0]?.text ?? ''), detail: 'this is no iCalendar file: it has no BEGIN:VCALENDAR' }],
    };
  const reading = new Reading(span);
  for (const block of blocks(lines, 'VTIMEZONE')) reading.try(block, () => ICAL.TimezoneService.register(componentOf(block)));
  const events: { block: Line[]; component: ICAL.Component }[] = [];
  for (const block of blocks(lines, 'VEVENT')) reading.try(block, () => events.push({ block, component: componentOf(block) }));
  const overrides = overridesByUid(events);
  const isOverride = ({ component }: { component: ICAL.Component }) => component.hasProperty('recurrence-id');
  const whole = new Set(events.filter((e) => !isOverride(e)).map(({ component }) => component.getFirstPropertyValue('uid')));
  for (const event of events) {
    const { block, component } = event;
    const uid = component.getFirstPropertyValue('uid');
    // One of an event that was not told with it is an event by itself.
    if (isFree(component) || (isOverride(event) && whole.has(uid))) continue;
    at(block[0]!.line);
    reading.try(block, () => reading.event(block, component, isOverride(event) ? [] : (overrides.get(uid) ?? [])));
  }
  for (const block of blocks(lines, 'VFREEBUSY')) {
    at(block[0]!.line);
    reading.try(block, () => reading.freeBusy(block, componentOf(block)));
  }
  reading.problems.sort((a, b) => a.line - b.line);
  return { busy: merged(reading.busy), events: reading.read, problems: reading.problems, cut: reading.cut };
}

type BenchHours = { from: Day; to: Day; timeZone: string; startsAt: string; minutes: number };

/**
 * The minutes that are left of a bench day on days where somebody is busy: the longest free stretch between its
 * beginning and so many minutes later. Days that are wholly free are left out.
 */
export function freeMinutes(busy: readonly Busy[], { from, to, timeZone, startsAt, minutes }: BenchHours): Record<Day, number> {
  const left: Record<Day, number> = {};
  if (busy.length === 0) return left;
  for (let day = from; day <= to; day = addDays(day, 1)) {
    const begins = Date.parse(instantAt(day, startsAt, timeZone));
    const ends = begins + minutes * MS_PER_MINUTE;
    let free = 0;
    let at = begins;
    for (const { from: a, to: b } of busy) {
      const [start, end] = [Date.parse(a), Date.parse(b)];
      if (end <= begins || start >= ends) continue;
      free = Math.max(free, start - at);
      at = Math.max(at, end);
    }
    if (at === begins && free === 0) continue;
    left[day] = Math.floor(Math.max(free, ends - at, 0) / MS_PER_MINUTE);
  }
  return left;
}
