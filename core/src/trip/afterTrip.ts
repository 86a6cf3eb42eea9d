import {
  addDays,
  agendaFrom,
  gravityRank,
  localDay,
  type Duty,
  type Entry,
  type Facts,
  type OutingFacts,
  type RhythmChange,
  type ThingFacts,
} from '../schedule/index.js';

/** An outing, and what is known of the things that came along; whatever else is known of the household may be told as well. */
export type AfterTrip = {
  outing: OutingFacts;
  things: readonly ThingFacts[];
  timeZone: string;
  /** An instant. */
  now: string;
  entries?: readonly Entry[];
  changes?: readonly RhythmChange[];
  /** The rest of the household: its other outings, its places. */
  around?: Partial<Omit<Facts, 'things' | 'timeZone'>>;
};

/** Growth is looked for up to six weeks later; two months hold all that an outing asks for by itself. */
export const ASKS_FOR_DAYS = 61;

/** Is a duty asked for sooner, or more gravely, than another one of the same? */
const isSooner = (one: Duty, other: Duty): boolean =>
  one.window.due < other.window.due || (one.window.due === other.window.due && gravityRank(one.gravity) < gravityRank(other.gravity));

/**
 * What an outing asks for, before, under way and at home: each duty of what came along that the agenda holds with it, and
 * without it would not hold, or only later or less gravely. So it says what every other page says. What is only foreseen
 * from the rate of outings is not this one's.
 */
export function afterTripCare({ outing, things, timeZone, now, entries = [], changes = [], around = {} }: AfterTrip): Duty[] {
  const others = (around.outings ?? []).filter((o) => o.id !== outing.id);
  const along = things.filter((t) => outing.itemIds.includes(t.id));
  const facts: Facts = { places: [], hygrometers: [], supplies: [], timers: [], ...around, outings: others, timeZone, things: along };
  const today = localDay(now, timeZone);
  const options = { now, until: addDays(outing.to > today ? outing.to : today, ASKS_FOR_DAYS) };
  const duties = (outings: readonly OutingFacts[]): Duty[] =>
    agendaFrom({ ...facts, outings }, entries, changes, options).duties.filter((d) => d.ahead === 0 && d.estimate === null);
  const key = ({ code, subject }: Duty): string => `${code}/${subject.kind}/${subject.id}`;
  const without = new Map<string, Duty[]>();
  for (const duty of duties(others)) without.set(key(duty), [...(without.get(key(duty)) ?? []), duty]);
  return duties([...others, outing]).filter((duty) => (without.get(key(duty)) ?? []).every((other) => isSooner(duty, other)));
}
