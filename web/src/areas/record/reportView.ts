import { record } from '@bright-keeper/core';

/** What a buyer is shown unless something else is chosen: prices and notes are the keeper's own. */
const USUAL: readonly record.ReportPart[] = record.REPORT_PARTS.filter((part) => part !== 'prices' && part !== 'notes');

/** What is chosen in the address, in the order of a report; the usual where nothing is said. */
export function partsFrom(params: URLSearchParams): record.ReportPart[] {
  const asked = params.get('parts');
  return asked === null ? [...USUAL] : record.REPORT_PARTS.filter((part) => asked.split(',').includes(part));
}

/** The parts with one of them taken in or left out, as an address says it. */
export const partsWith = (parts: readonly record.ReportPart[], part: record.ReportPart, has: boolean): string =>
  record.REPORT_PARTS.filter((p) => (p === part ? has : parts.includes(p))).join(',');

/** What is asked of the household for it. */
export function reportQueryOf(thing: string | null, parts: readonly record.ReportPart[]): string {
  const query = new URLSearchParams({ parts: parts.join(',') });
  if (thing !== null) query.set('thing', thing);
  return query.toString();
}
