import { type AirLog, joined } from '../air/index.js';
import { dayMeans, type Spell, spellsPast, tooDamp, tooDry } from './alerts.js';
import { type FittedPlace, placeAlong } from './place/index.js';
import { MS_PER_DAY } from '../units.js';
import { asLastYear } from './yearAhead.js';

const DAYS_A_WEEK = 7;
/** A day or two past a limit is no season: damp begins to count when it lasts a week (our choice, as for the duty). */
const LASTING_DAYS = 7;

const SIDES = ['damp', 'dry'] as const;
export type SeasonSide = (typeof SIDES)[number];
const limitOf = (side: SeasonSide, highPct: number) => (side === 'damp' ? tooDamp(highPct) : tooDry);

/** When it leaves its band, if the year goes as the last one; `earliest` and `latest` by how far the model was off; null: perhaps not at all. */
export type Leaving = { side: SeasonSide; at: string; earliest: string; latest: string | null };
export type Season =
  /** The air around it was not read for a year. */
  | { cannot: 'no-year' }
  | {
      /** It is past a limit now, and when it comes back by itself; null: not within the year. */
      out: { side: SeasonSide; back: string | null } | null;
      /** The next time for longer than a week; null where there is none. */
      leaves: Leaving | null;
      /** Within what the model is off it might leave, though it need not. */
      mayLeave: { side: SeasonSide; at: string } | null;
      /** The mean of each week ahead, % RH. */
      weeksPct: number[];
    };

export type SeasonQuestion = {
  /** As its past explains it. */
  place: FittedPlace;
  /** What nine in ten of the hours it had never seen were off at most, % RH. */
  offPct: number;
  /** The air around it, as far back as it was read. */
  around: AirLog;
  /** What was measured in it lately, up to now: no less than a day. */
  measured: AirLog;
  highPct: number;
  nowMs: number;
};

const moved = (log: AirLog, byPct: number): AirLog => ({
  ...log,
  humidityPct: log.humidityPct.map((pct) => Math.min(100, Math.max(0, pct + byPct))),
});

function weekMeans({ length, ms, humidityPct }: AirLog): number[] {
  const means: number[] = [];
  const fromMs = ms[0]!;
  for (let i = 0; i < length;) {
    const endMs = fromMs + (means.length + 1) * DAYS_A_WEEK * MS_PER_DAY;
    let [sum, count] = [0, 0];
    for (; i < length && ms[i]! < endMs; i++, count++) sum += humidityPct[i]!;
    if (count === 0) break;
    means.push(sum / count);
  }
  return means;
}

/**
 * How the year ahead goes in a place if nothing is done and the air around it goes as in the year before: when it leaves
 * its band by the day's mean, as the duties of damp and dry air have it, and when it comes back.
 * Source: `science.md`, "A place that explains its past" (forecast of a season).
 */
export function seasonAhead({ place, offPct, around, measured, highPct, nowMs }: SeasonQuestion): Season {
  const ahead = asLastYear(around, nowMs);
  if (!ahead) return { cannot: 'no-year' };
  const course = placeAlong(place, ahead, { startPct: dayMeans(measured).at(-1)! });
  const now = new Date(nowMs).toISOString();
  /** The spells past a limit that last now or come, with the course off by so much. */
  const spells = (side: SeasonSide, byPct: number): Spell[] =>
    spellsPast(joined([measured, moved(course, byPct)]), limitOf(side, highPct)).filter(({ until }) => until === null || until > now);
  const out =
    SIDES.flatMap((side) =>
      spells(side, 0)
        .filter(({ from }) => from <= now)
        .map(({ until }) => ({ side, back: until })),
    )[0] ?? null;
  const lasting = (side: SeasonSide, byPct: number): string | null =>
    spells(side, byPct).find(({ from, until }) => from > now && lastsMs(from, until) >= LASTING_DAYS * MS_PER_DAY)?.from ?? null;
  /** When it leaves with the course nearer to the limit by what the model is off, or further from it. */
  const offBy = (side: SeasonSide, share: 1 | -1): string | null => lasting(side, (side === 'damp' ? share : -share) * offPct);
  const [leaves] = SIDES.flatMap((side): Leaving[] => {
    const at = lasting(side, 0);
    // Nearer to the limit it may stand past it already: then it leaves at once, or has only just left.
    return at === null ? [] : [{ side, at, earliest: earlier(offBy(side, 1) ?? now, at), latest: offBy(side, -1) }];
  }).sort(byInstant);
  const [mayLeave] = leaves
    ? []
    : SIDES.flatMap((side) => {
        const at = offBy(side, 1);
        return at === null ? [] : [{ side, at }];
      }).sort(byInstant);
  return { out, leaves: leaves ?? null, mayLeave: mayLeave ?? null, weeksPct: weekMeans(course) };
}

const byInstant = (a: { at: string }, b: { at: string }): number => a.at.localeCompare(b.at);
const earlier = (a: string, b: string): string => (a < b ? a : b);
const lastsMs = (from: string, until: string | null): number => (until === null ? Infinity : Date.parse(until) - Date.parse(from));
