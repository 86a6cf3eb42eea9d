import ICAL from 'ical.js';
import { Temporal } from 'temporal-polyfill';
import type { Day } from '../day.js';

const MINUTES = 60;

/** "+0100", as RFC 5545 writes an offset. */
function offsetText(ns: number): string {
  const minutes = Math.round(ns / 6e10);
  const size = Math.abs(minutes);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${minutes < 0 ? '-' : '+'}${two(Math.floor(size / MINUTES))}${two(size % MINUTES)}`;
}

const basic = (at: Temporal.PlainDateTime): string => at.toString({ smallestUnit: 'second' }).replaceAll(/[-:]/g, '');

/** One change of the clocks as STANDARD or DAYLIGHT: `from` and `to` are offsets in ns, `local` the clock before it. */
function observance(component: ICAL.Component, local: Temporal.PlainDateTime, from: number, to: number): void {
  // Which of the two is summer time the data does not tell; the one further east is.
  const part = new ICAL.Component(to > from ? 'daylight' : 'standard');
  part.addProperty(ICAL.Property.fromString(`DTSTART:${basic(local)}`));
  part.addProperty(ICAL.Property.fromString(`TZOFFSETFROM:${offsetText(from)}`));
  part.addProperty(ICAL.Property.fromString(`TZOFFSETTO:${offsetText(to)}`));
  component.addSubcomponent(part);
}

/**
 * A VTIMEZONE (RFC 5545 section 3.6.5) that holds between two local days, from this machine's own time zone data: one
 * observance for each change of the clocks.
 *
 * @throws RangeError when there is no such zone.
 */
export function vtimezone(timeZone: string, from: Day, to: Day): ICAL.Component {
  const component = new ICAL.Component('vtimezone');
  component.addPropertyWithValue('tzid', timeZone);
  let at = Temporal.PlainDate.from(from).toZonedDateTime({ timeZone });
  const end = Temporal.PlainDate.from(to).add({ days: 1 }).toZonedDateTime({ timeZone });
  observance(component, at.toPlainDateTime(), at.offsetNanoseconds, at.offsetNanoseconds);
  for (
    let next = at.getTimeZoneTransition('next');
    next && Temporal.ZonedDateTime.compare(next, end) < 0;
    next = at.getTimeZoneTransition('next')
  ) {
    const before = next.subtract({ nanoseconds: 1 });
    observance(
      component,
      next.toInstant().toZonedDateTimeISO(zoneOf(before.offset)).toPlainDateTime(),
      before.offsetNanoseconds,
      next.offsetNanoseconds,
    );
    at = next;
  }
  return component;
}
/** An offset is a time zone by itself: the clock as it stood before the change. */
const zoneOf = (offset: string): string => offset;

/** The instant a local clock shows a time on a day; in the hour that is skipped, the one after it. */
export const instantAt = (day: Day, time: string, timeZone: string): string =>
  Temporal.PlainDateTime.from(`${day}T${time}`).toZonedDateTime(timeZone, { disambiguation: 'compatible' }).toInstant().toString();

/** The local day and the minute of it. */
export function localMinute(instant: string, timeZone: string): { day: Day; minute: number } {
  const at = Temporal.Instant.from(instant).toZonedDateTimeISO(timeZone);
  return { day: at.toPlainDate().toString(), minute: at.hour * MINUTES + at.minute };
}
