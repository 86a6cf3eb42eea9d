import { storage } from '@bright-keeper/core';
import { dayOfYear } from '../day.js';
import { inWords } from '../text.js';

/** A season as it is told: its instants as local days, `YYYY-MM-DD`. */
export type LeavingDays = { side: storage.SeasonSide; on: string; earliest: string; latest: string | null; highPct: number };

const PAST: Record<storage.SeasonSide, (highPct: number) => string> = {
  damp: (highPct) => `damper than ${highPct} %`,
  dry: () => `drier than ${storage.TOO_DRY_PCT} %`,
};

export const leavingTitle = ({ side, highPct, on }: LeavingDays): string => `It will be ${PAST[side](highPct)} from about ${dayOfYear(on)}`;

/** What that stands on, and how far it may be off. */
export function leavingWords({ earliest, latest }: LeavingDays): string {
  const span =
    latest === null
      ? `At the earliest on ${dayOfYear(earliest)}, and perhaps not at all`
      : earliest === latest
        ? 'That day'
        : `Between ${dayOfYear(earliest)} and ${dayOfYear(latest)}`;
  return `${span}, if nothing is done and the air around it goes as in the same weeks last year.`;
}

/** How the year ahead goes in a place, in a sentence or two. */
export function seasonWords(season: storage.Season, highPct: number, dayOf: (instant: string) => string): string[] {
  if ('cannot' in season)
    return [
      'The air around it was not measured all through the last year, so nobody can say how the next one goes. Leave a hygrometer in the room, or listen to a weather station.',
    ];
  const { out, leaves, mayLeave } = season;
  const now = out
    ? [
        out.back === null
          ? `It is ${PAST[out.side](highPct)}, and if nothing is done it stays so all year.`
          : `It is ${PAST[out.side](highPct)}. If nothing is done, it comes back by itself about ${dayOfYear(dayOf(out.back))}.`,
      ]
    : [];
  if (leaves) {
    const { side, at, earliest, latest } = leaves;
    const told = { side, on: dayOf(at), earliest: dayOf(earliest), latest: latest && dayOf(latest), highPct };
    return [...now, `${leavingTitle(told)}.`, leavingWords(told)];
  }
  if (out) return now;
  const lasts = 'If nothing is done and the air around it goes as last year, it stays within its band all year.';
  return mayLeave
    ? [lasts, `By what the model is off at most, it might be ${PAST[mayLeave.side](highPct)} from ${dayOfYear(dayOf(mayLeave.at))} on.`]
    : [lasts];
}

const COUNT_TO_NAME = 3;

/** When the desiccant of a place goes into the oven next. */
export function dryingWords(drying: storage.Drying, dayOf: (instant: string) => string): string {
  const on = (instant: string) => dayOfYear(dayOf(instant));
  switch (drying.dry) {
    case 'once': {
      const days = dayOf(drying.from) === dayOf(drying.by) ? `on ${on(drying.by)}` : `between ${on(drying.from)} and ${on(drying.by)}`;
      return `Dry it ${days}: then it lasts ${drying.until === null ? 'for the rest of the year' : `past the damp season, which ends about ${on(drying.until)}`}.`;
    }
    case 'again': {
      const named = drying.by.slice(0, COUNT_TO_NAME).map(on);
      const more = drying.by.length - named.length;
      const list = inWords(named);
      const end = drying.until === null ? '' : ` before the damp season ends about ${on(drying.until)}`;
      return more > 0
        ? `Dry it by ${list}, and ${more} more ${more === 1 ? 'time' : 'times'}${end}. More gel would ask for it less often.`
        : `Dry it by ${list}${end}.`;
    }
    case 'too-little':
      return 'Dried again, it would be spent within a week at some time of the year: it is too little for this place.';
    default:
      return drying satisfies never;
  }
}
