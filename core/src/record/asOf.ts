import { type Gone, PARTICULAR_IDS, type Particulars } from '../gear/index.js';
import type { Day, ThingLogData } from '../schedule/index.js';

type Edit = Extract<ThingLogData, { kind: 'edited' }>;
/** A thing as far as its fields were ever changed. */
export type Dated = {
  name: string;
  particulars: Particulars;
  acquiredOn: Day | null;
  gone: Gone | null;
};

/** The thing before an edit: what stood there before, and without what came by it. */
function before<T extends Dated>(thing: T, { changed, was = {}, before: fields = {} }: Edit): T {
  const particulars: Record<string, unknown> = { ...thing.particulars };
  for (const id of PARTICULAR_IDS) if (changed.includes(id)) particulars[id] = was[id];
  const kept = Object.fromEntries(Object.entries(particulars).filter(([, value]) => value !== undefined));
  const known = Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined));
  return { ...thing, ...known, particulars: kept };
}

/**
 * A thing as it stood at the end of a day, by what was changed of it since; null where it was not the household's yet.
 *
 * @param noted the day its first word was written: it counts from there where nobody said when it came.
 * @param edits with the day of each, in any order.
 */
export function asOfDay<T extends Dated>(thing: T, noted: Day, edits: readonly { at: string; day: Day; data: Edit }[], day: Day): T | null {
  const later = edits.filter((edit) => edit.day > day).sort((a, b) => (a.at < b.at ? 1 : -1));
  const then = later.reduce((now, { data }) => before(now, data), thing);
  if ((then.acquiredOn ?? noted) > day) return null;
  return { ...then, gone: then.gone !== null && then.gone.on <= day ? then.gone : null };
}
