import type { fungus } from '@bright-keeper/core';

/** Beyond this the number says nothing more (our choice). */
const MOST_DAYS_PAST = 90;

/**
 * The early warning on the one scale a person reads, the same in verdict, table, ribbon and chart: so far on the way
 * to the point where growth on optics is to be expected, then days past it, up to 90.
 */
export function warningWords({ dose, daysPast }: fungus.Warning): string {
  if (dose < 1) return `${Math.floor(dose * 100)} % of the way`;
  const days = Math.floor(daysPast);
  if (days < 1) return 'at the point today';
  if (days > MOST_DAYS_PAST) return `more than ${MOST_DAYS_PAST} days past the point`;
  return `${days} ${days === 1 ? 'day' : 'days'} past the point`;
}
