import { type Duty, isAtHand } from './agenda.js';
import { type Day, localDay, localHour } from './day.js';

/** What can be told beyond this machine: air that harms while nobody looks, and a hygrometer that no longer says so. */
export const ALARM_KINDS = ['damp', 'dry', 'silent', 'battery'] as const;
export type AlarmKind = (typeof ALARM_KINDS)[number];

const IS: Readonly<Record<AlarmKind, (duty: Duty) => boolean>> = {
  damp: ({ code }) => code === 'damp' || code === 'fungus',
  dry: ({ code }) => code === 'too-dry',
  silent: ({ code }) => code === 'silent',
  battery: ({ facts }) => facts.says === 'battery',
};

/** Which alarms go out, and when. */
export type AlarmPolicy = {
  kinds: readonly AlarmKind[];
  /** Each as it comes, or all that are at hand once a day. */
  when: 'at-once' | 'daily';
  /** The household’s hour at which the day’s are told, 0 to 23. */
  dailyHour: number;
  /** From one of the household’s hours to another nothing goes out at once; it waits for the end. Null where none is kept quiet. */
  quiet: { fromHour: number; toHour: number } | null;
};

/** A duty that is told of, and what tells it from every other while it lasts. */
export type Alarm = { key: string; kind: AlarmKind; duty: Duty };

/** What was told of: when, ISO 8601, whether that same one still lasts, and whether anybody has taken the message. */
export type ToldAlarm = { key: string; at: string; lasts: boolean; taken: boolean };
export type AlarmState = { told: readonly ToldAlarm[]; lastDailyOn: Day | null };
export const NOTHING_TOLD: AlarmState = { told: [], lastDailyOn: null };

/** What comes and goes around a bound is told once in so long (our choice). */
const AGAIN_AFTER_MS = 24 * 3_600_000;

/** The alarms of some kinds among duties: what was put off is none until its day. */
export function alarmsIn(duties: readonly Duty[], kinds: readonly AlarmKind[]): Alarm[] {
  return duties.filter(isAtHand).flatMap((duty) => {
    const kind = kinds.find((k) => IS[k](duty));
    return kind ? [{ key: `${duty.code} ${duty.subject.kind} ${duty.subject.id}`, kind, duty }] : [];
  });
}

/** Whether one of the household’s hours is kept quiet. */
export function isQuietHour(quiet: AlarmPolicy['quiet'], hour: number): boolean {
  if (!quiet) return false;
  const { fromHour, toHour } = quiet;
  return fromHour <= toHour ? hour >= fromHour && hour < toHour : hour >= fromHour || hour < toHour;
}

type Now = { now: Date; timeZone: string };

/** What lasts lasts on; what has ended is remembered for a day, so that it is told anew only then if it comes right back. */
function settled(told: readonly ToldAlarm[], keys: ReadonlySet<string>, nowMs: number): ToldAlarm[] {
  return told.map((t) => ({ ...t, lasts: t.lasts && keys.has(t.key) })).filter((t) => t.lasts || nowMs - Date.parse(t.at) < AGAIN_AFTER_MS);
}

/** Which of the alarms are told now, and what is known from then on. */
export function alarmsToTell(
  alarms: readonly Alarm[],
  policy: AlarmPolicy,
  state: AlarmState,
  { now, timeZone }: Now,
): { tell: Alarm[]; state: AlarmState } {
  const told = settled(state.told, new Set(alarms.map((a) => a.key)), now.getTime());
  const hour = localHour(now, timeZone);
  const today = localDay(now, timeZone);
  const isDaily = policy.when === 'daily';
  const isTime = isDaily ? hour >= policy.dailyHour && state.lastDailyOn !== today : !isQuietHour(policy.quiet, hour);
  if (!isTime) return { tell: [], state: { ...state, told } };
  const known = new Set(told.map((t) => t.key));
  const tell = isDaily ? [...alarms] : alarms.filter((a) => !known.has(a.key));
  const telling = new Set(tell.map((a) => a.key));
  return {
    tell,
    state: {
      told: [
        ...told.filter((t) => !telling.has(t.key)),
        ...tell.map(({ key }) => ({ key, at: now.toISOString(), lasts: true, taken: false })),
      ],
      lastDailyOn: isDaily ? today : state.lastDailyOn,
    },
  };
}

/** Somebody took the message of an instant: what it held was told. */
export const taken = (state: AlarmState, at: string): AlarmState => ({
  ...state,
  told: state.told.map((t) => (t.at === at ? { ...t, taken: true } : t)),
});

/**
 * Only what somebody took, or what still waits to be taken, counts as told: what lasts of the rest is told anew.
 *
 * @param waiting the messages that wait, by the instant each was made, ISO 8601
 */
export function withoutLost(state: AlarmState, waiting: readonly { at: string }[]): AlarmState {
  const waits = new Set(waiting.map(({ at }) => at));
  return { ...state, told: state.told.filter((t) => t.taken || waits.has(t.at)) };
}
