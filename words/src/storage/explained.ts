import { storage } from '@bright-keeper/core';
import { count } from '../text.js';

/** A number as it is told: with one digit below ten, without beyond. */
const told = (value: number): string => (Math.abs(value) < 10 ? value.toFixed(1) : value.toFixed(0));
/** Nothing is off by nothing. */
const least = (pct: number): string => told(Math.max(0.1, pct));
/** Between what it lies, where that is not told as the same. */
const between = ({ low, high }: { low: number; high: number }): string =>
  told(low) === told(high) ? '' : ` (${told(low)} to ${told(high)})`;
const days = (many: number): string => count(Math.max(1, Math.round(many)), 'day', 'days');

/** Why a place is not explained, and what to measure for how long. */
export function cannotExplainWords(why: storage.CannotFit | { cannot: 'not-finished' }): string {
  switch (why.cannot) {
    case 'inside-not-measured':
      return `Nothing was measured in it. Lay a hygrometer in it for ${storage.FEWEST_DAYS} days.`;
    case 'outside-not-measured':
      return `The air around it was never measured. Put a hygrometer in the room it stands in, or listen to a weather station, for ${storage.FEWEST_DAYS} days.`;
    case 'not-the-same-time':
      return `It and the air around it were never measured at the same time. Leave both hygrometers where they are for ${storage.FEWEST_DAYS} days.`;
    case 'full-of-holes':
      return `Its log, or that of the air around it, has too many holes to hold one part of it against the other. Leave both hygrometers where they are for ${storage.FEWEST_DAYS} days.`;
    case 'too-short':
      return `It and the air around it were measured together for ${days(why.days)}. It takes ${why.needDays}: ${days(why.needDays - why.days)} more.`;
    case 'too-seldom':
      return `It was read in ${count(why.hours, 'hour', 'hours')} only. It takes ${why.needHours}: a hygrometer that keeps a log, rather than a dial that is read now and then.`;
    case 'at-its-stop':
      return `The hygrometer ${why.which === 'inside' ? 'in it' : 'around it'} stands at ${why.pct.toFixed(0)} % again and again: that is its stop, not the air. Test it with salt, or lay another one there.`;
    case 'stands-still':
      return `The hygrometer ${why.which === 'inside' ? 'in it' : 'around it'} stands still at ${why.pct.toFixed(0)} %, hour after hour: no air does that. See whether it is alive, or lay another one there.`;
    case 'something-else':
      return `What was measured in it does not follow from the air around it: on days it had never seen the model was off by ${told(why.medianPct)} % in the middle, by up to ${told(why.p90Pct)} % in nine hours of ten. A hygrometer that was moved, a box that stood open, or a dryer nobody told of would look like that. Leave everything as it is for ${storage.FEWEST_DAYS} days.`;
    case 'not-finished':
      return 'Its log could not be worked through in time. What was measured stands; nothing is promised from it.';
    default:
      return why satisfies never;
  }
}

export type Explained = Pick<storage.PlaceFit, 'place' | 'intervals'> & { leakPerDay: number };

/** A temperature nobody would feel. */
const AS_WARM_K = 0.3;
/** Less than this two good hygrometers may differ by, g/m3 (2 % RH at 20 degC). */
const NOTABLE_EXCESS_GM3 = 0.1;

function warmthWords({ place: { warmerC, lagH, heatedToC }, intervals }: Explained): string {
  const follows = `it follows within ${lagH < 1.5 ? 'the hour' : `${told(lagH)} h`}`;
  const heated = heatedToC === null ? '' : ` Heated to ${told(heatedToC)} °C.`;
  if (Math.abs(warmerC) < AS_WARM_K) return `As warm as the air around it; ${follows}.${heated}`;
  const { low, high } = intervals.warmerC ?? { low: warmerC, high: warmerC };
  const range = warmerC < 0 ? { low: -high, high: -low } : { low, high };
  const side = warmerC < 0 ? 'colder than the air around it' : 'warmer than the air around it';
  const wall = warmerC <= -1 ? ' A cold outer wall does that: the same air is damper there.' : '';
  return `${told(Math.abs(warmerC))} °C ${side}${between(range)}; ${follows}.${wall}${heated}`;
}

function leakWords({ leakPerDay, place, intervals }: Explained): string {
  const interval = intervals.airChangesPerDay;
  if (!interval || leakPerDay >= storage.OPEN_FROM_PER_DAY || interval.high > 4 * interval.low)
    return 'Its air is changed so often that its seal cannot be told.';
  // What openings bring is the same at both ends.
  const byOpenings = place.airChangesPerDay - leakPerDay;
  const range = { low: Math.max(0, interval.low - byOpenings), high: interval.high - byOpenings };
  return `Its air is changed ${told(leakPerDay)} times a day${between(range)}${place.openingsPerWeek > 0 ? `, and by ${count(place.openingsPerWeek, 'opening', 'openings')} a week besides` : ''}.`;
}

function excessWords({ vapourExcessGm3, excess }: storage.FittedPlace): string[] {
  if (Math.abs(vapourExcessGm3) < NOTABLE_EXCESS_GM3) return [];
  const much = `${told(Math.abs(vapourExcessGm3))} g of water a cubic metre`;
  if (vapourExcessGm3 < 0) return [`What comes in loses ${much}: drier walls, or two hygrometers that differ by as much.`];
  const fades = excess === 'fades' ? ' when it freezes outside, less as it warms, and none from 20 °C on' : '';
  return [`What comes in gains ${much}${fades}: people, walls, or two hygrometers that differ by as much.`];
}

/** What a place is, by its own past, a sentence a fact. */
export function explainedWords(fit: Explained): string[] {
  const { place } = fit;
  if (place.setPointPct !== null) {
    return [
      `It holds ${place.setPointPct.toFixed(0)} %, within ${told(place.deadBandPct)} % for eight hours of ten, where the air around it is damper.`,
      warmthWords(fit),
      'How tight it is without current shows only without current: that is taken as usual for its kind.',
    ];
  }
  const walls =
    place.bufferPerDay > 0
      ? [
          `Walls and contents take up damp and give it back over about ${place.bufferDays < 1.5 ? `${Math.round(24 * place.bufferDays)} h` : days(place.bufferDays)}.`,
        ]
      : [];
  const gel = place.desiccant
    ? [`${place.desiccant.massG} g of ${storage.DESICCANTS[place.desiccant.kind].name} in it is reckoned with.`]
    : [];
  return [leakWords(fit), warmthWords(fit), ...excessWords(place), ...walls, ...gel];
}

/** How far the model holds, on days it had never seen. */
export const hindcastWords = ({ medianPct, p90Pct, days: many }: { medianPct: number; p90Pct: number; days: number }): string =>
  `On ${days(many)} it had never seen it was off by ${least(medianPct)} % in the middle, and by no more than ${least(p90Pct)} % in nine hours of ten.`;

/** A stretch that the place does not explain. @param day how an instant is told. */
export const somethingElseWords = ({ from, to, byPct }: storage.SomethingElse, day: (instant: string) => string): string =>
  `From ${day(from)} to ${day(to)} it was ${told(Math.abs(byPct))} % ${byPct > 0 ? 'damper' : 'drier'} than that explains: something else went on.`;
