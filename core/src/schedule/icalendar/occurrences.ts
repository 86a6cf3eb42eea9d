import ICAL from 'ical.js';
import { timeAt, timesOf, wallMs, type Wall } from './expand.js';

/** One time that an event takes place. */
export type Occurrence = { start: ICAL.Time; end: ICAL.Time; component: ICAL.Component };

/** What an event is moved by, with all that follow it (RFC 5545 section 3.2.13, RANGE=THISANDFUTURE). */
type Shift = { fromMs: number; byMs: number; lengthMs: number; component: ICAL.Component };

const valuesOf = (component: ICAL.Component, name: string): unknown[] =>
  component.getAllProperties(name).flatMap((property) => property.getValues() as unknown[]);

const lengthOf = (component: ICAL.Component): number => {
  const event = new ICAL.Event(component, { strictExceptions: false });
  return Math.max(0, wallMs(event.endDate) - wallMs(event.startDate));
};

const startOf = (component: ICAL.Component): ICAL.Time => component.getFirstPropertyValue('dtstart') as unknown as ICAL.Time;
const idOf = (component: ICAL.Component): ICAL.Time => component.getFirstPropertyValue('recurrence-id') as unknown as ICAL.Time;

/** The instant of a time, and its day: an exception that is a day stands for whatever is on it. */
const keyOf = (time: ICAL.Time): string => (time.isDate ? time.toString() : String(time.toUnixTime()));

function shiftsOf(overrides: readonly ICAL.Component[]): Shift[] {
  return overrides
    .filter((o) => o.getFirstProperty('recurrence-id')!.getFirstParameter('range') === 'THISANDFUTURE')
    .map((component) => {
      const fromMs = wallMs(idOf(component));
      return { fromMs, byMs: wallMs(startOf(component)) - fromMs, lengthMs: lengthOf(component), component };
    })
    .sort((a, b) => a.fromMs - b.fromMs);
}

/**
 * The times at which an event takes place within a stretch of wall clock: by its rules and its own dates, without its
 * exceptions, and as those say that moved one of them.
 *
 * @param overrides the events of the same UID that stand for one of its times.
 */
export function occurrencesOf(
  component: ICAL.Component,
  overrides: readonly ICAL.Component[],
  { fromMs, toMs }: Wall,
): { found: Occurrence[]; cut: boolean } {
  const start = startOf(component);
  const lengthMs = lengthOf(component);
  const shifts = shiftsOf(overrides);
  // What an override moved may come from as far away as it was moved.
  const reach = Math.max(lengthMs, ...shifts.map((s) => Math.abs(s.byMs) + s.lengthMs));
  const wall = { fromMs: fromMs - reach, toMs: toMs + reach };
  let cut = false;
  const times = new Set([wallMs(start)]);
  for (const rule of valuesOf(component, 'rrule') as ICAL.Recur[]) {
    const found = timesOf(rule, start, wall);
    found.times.forEach((ms) => times.add(ms));
    cut ||= found.cut;
  }
  const gone = new Set([...(valuesOf(component, 'exdate') as ICAL.Time[]), ...overrides.map(idOf)].map(keyOf));
  const found: Occurrence[] = [];
  const add = (ms: number, ownLengthMs: number | null): void => {
    const at = timeAt(ms, start);
    if (gone.has(keyOf(at)) || gone.has(at.toString().slice(0, 'YYYY-MM-DD'.length))) return;
    const shift = shifts.findLast((s) => s.fromMs <= ms);
    const begins = ms + (shift?.byMs ?? 0);
    const length = ownLengthMs ?? shift?.lengthMs ?? lengthMs;
    if (begins + length <= fromMs || begins >= toMs) return;
    found.push({ start: timeAt(begins, start), end: timeAt(begins + length, start), component: shift?.component ?? component });
  };
  for (const ms of times) add(ms, null);
  for (const date of valuesOf(component, 'rdate') as (ICAL.Time | ICAL.Period)[]) {
    const [at, own] = date instanceof ICAL.Period ? [date.start, wallMs(date.getEnd()) - wallMs(date.start)] : [date, null];
    if (!times.has(wallMs(at))) add(wallMs(at), own);
  }
  for (const override of overrides) {
    const begins = startOf(override);
    const ends = timeAt(wallMs(begins) + lengthOf(override), begins);
    if (wallMs(ends) > fromMs && wallMs(begins) < toMs) found.push({ start: begins, end: ends, component: override });
  }
  return { found, cut };
}
