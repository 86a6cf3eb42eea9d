import { monthWords } from '../day.js';
import { schedule } from '@bright-keeper/core';
import { count } from '../text.js';
import { MET, USES } from './due.js';

const WEEKDAYS: Record<string, string> = {
  MO: 'Monday',
  TU: 'Tuesday',
  WE: 'Wednesday',
  TH: 'Thursday',
  FR: 'Friday',
  SA: 'Saturday',
  SU: 'Sunday',
};
const PLACES: Record<string, string> = { '1': 'first', '2': 'second', '3': 'third', '4': 'fourth', '-1': 'last' };

export const weekdayWords = (weekday: number): string =>
  ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'][weekday]!;

/** "every 3 months", "every 2 weeks". */
export function everyWords(every: schedule.Every): string {
  if ('months' in every) {
    if (every.months % 12 === 0) return every.months === 12 ? 'every year' : `every ${every.months / 12} years`;
    return every.months === 1 ? 'every month' : `every ${every.months} months`;
  }
  if (every.days % 7 === 0) return every.days === 7 ? 'every week' : `every ${every.days / 7} weeks`;
  return every.days === 1 ? 'every day' : `every ${every.days} days`;
}

const spanWords = (every: schedule.Every): string =>
  'months' in every ? count(every.months, 'month', 'months') : count(every.days, 'day', 'days');

const partOf = (rrule: string, part: string): string | null => new RegExp(`(?:^|;)${part}=([^;]*)`).exec(rrule)?.[1] ?? null;

/** A recurrence rule in words; what has none of its own is shown as it is written. */
export function recurrenceWords(rrule: string): string {
  const every = schedule.plainEvery(rrule);
  if (every) return everyWords(every);
  const [freq, byDay, byMonth, byMonthDay] = [
    partOf(rrule, 'FREQ'),
    partOf(rrule, 'BYDAY'),
    partOf(rrule, 'BYMONTH'),
    partOf(rrule, 'BYMONTHDAY'),
  ];
  const interval = Number(partOf(rrule, 'INTERVAL') ?? 1);
  const nth = /^(-?\d)(MO|TU|WE|TH|FR|SA|SU)$/.exec(byDay ?? '');
  if (freq === 'MONTHLY' && nth && PLACES[nth[1]!] && !byMonth)
    return `on the ${PLACES[nth[1]!]!} ${WEEKDAYS[nth[2]!]!} of ${interval === 1 ? 'each month' : `every ${interval} months`}`;
  if (freq === 'YEARLY' && byMonth && /^\d+$/.test(byMonth) && interval === 1)
    return byMonthDay && /^\d+$/.test(byMonthDay)
      ? `each year on ${Number(byMonthDay)} ${monthWords(Number(byMonth))}`
      : `each ${monthWords(Number(byMonth))}`;
  if (freq === 'WEEKLY' && byDay && !/\d/.test(byDay))
    return `${interval === 1 ? 'every week' : `every ${interval} weeks`} on ${byDay
      .split(',')
      .map((d) => WEEKDAYS[d] ?? d)
      .join(' and ')}`;
  return `by the rule ${rrule}`;
}

const SIGNS: Record<schedule.ClimateSign, string> = {
  'early-warning': 'growth is expected',
  gel: 'the gel is spent',
  damp: 'it turns damp',
};

export function triggerWords(trigger: schedule.Trigger): string {
  switch (trigger.on) {
    case 'calendar':
      return `${recurrenceWords(trigger.rrule)}${trigger.from === 'last-done' ? '' : `, from ${trigger.from}`}${trigger.while ? ' while the fungus risk is raised' : ''}`;
    case 'use':
      return `after ${count(trigger.count, USES[trigger.of].one, USES[trigger.of].many)}`;
    case 'exposure':
      return `within ${count(trigger.withinHours, 'hour', 'hours')} of ${trigger.to.map((m) => MET[m]).join(', ')}`;
    case 'climate':
      return `${count(trigger.daysAhead, 'day', 'days')} before ${SIGNS[trigger.sign]}`;
    case 'idleness':
      return `after ${spanWords(trigger.after)} without use`;
    default:
      return trigger satisfies never;
  }
}

/** "every 3 months or after 10 outings, whichever comes first; up to 14 days early or late". */
export function rhythmWords({ triggers, earlyDays, lateDays }: schedule.Rhythm): string {
  const list = triggers.map(triggerWords).join(' or ');
  const first = triggers.length > 1 ? ', whichever comes first' : '';
  const slips = [
    earlyDays > 0 && `${count(earlyDays, 'day', 'days')} early`,
    lateDays > 0 && `${count(lateDays, 'day', 'days')} late`,
  ].filter(Boolean);
  const window = earlyDays === lateDays && lateDays > 0 ? `${count(lateDays, 'day', 'days')} early or late` : slips.join(', ');
  return `${list}${first}${window ? `; up to ${window}` : ''}`;
}

/** What is wrong with a rhythm, and the nearest that would do. */
export function rhythmTroubleWords(trouble: schedule.RhythmTrouble): string {
  switch (trouble.trouble) {
    case 'no-trigger':
      return 'Nothing makes it due: add at least one, or switch the rhythm off.';
    case 'unreadable':
      return 'This rule cannot be read. Choose one of the usual ones, or write it like FREQ=MONTHLY;INTERVAL=3.';
    case 'too-often':
      return `That is more often than once a day. The nearest: ${recurrenceWords(trouble.nearest!)}.`;
    case 'never':
      return `That does not fall on any day of the next ten years.${trouble.nearest ? ` The nearest: ${recurrenceWords(trouble.nearest)}.` : ''}`;
    case 'ends':
      return `Care has no end.${trouble.nearest ? ` Without one: ${recurrenceWords(trouble.nearest)}.` : ''} To stop it, switch the rhythm off.`;
    case 'no-day':
      return 'This is no day of the calendar: write it as YYYY-MM-DD.';
    case 'not-positive':
      return `At least ${trouble.nearest}.`;
    case 'window-overlaps':
      return `Its window would open before the last one closes: it comes every ${trouble.everyDays} days. At most ${trouble.nearest} days early and late.`;
    default:
      return trouble satisfies never;
  }
}
