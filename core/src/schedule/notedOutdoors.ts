import { carriedHome, type Finding } from '../care/index.js';
import type { ItemKind } from '../care/kinds/index.js';
import type { HappeningId, Surface, Traits } from '../care/knowledge/index.js';
import type { Entry } from './journal.js';
import { seenBy } from './settling.js';

/** What is expected on a surface since something happened outdoors. */
export type Noted = Finding & { happening: HappeningId };

/**
 * What happenings outdoors left on a thing, as far as nobody has looked there since: known to its plan and its next look
 * at once. The last telling of a soil on a surface stands.
 *
 * @param entries what the journal tells of the thing, oldest first.
 */
export function notedOutdoors({ kind, traits }: { kind: ItemKind; traits: Traits }, entries: readonly Pick<Entry, 'data'>[]): Noted[] {
  let noted: Noted[] = [];
  for (const { data } of entries) {
    const seen = seenBy(data);
    noted = seen === 'all' ? [] : noted.filter((n) => !seen.includes(n.surface));
    if (data.kind !== 'outdoors') continue;
    for (const finding of carriedHome(kind, traits, data.happening)) {
      noted = noted.filter((n) => n.surface !== finding.surface || n.soil !== finding.soil);
      noted.push({ ...finding, happening: data.happening });
    }
  }
  return noted;
}

/** What the next look is likely to find, surface by surface; each with what happened to it last. */
export type Expected = { surface: Surface; findings: Omit<Finding, 'surface'>[]; note: string; noted: HappeningId };
export function expectedOf(noted: readonly Noted[]): Expected[] {
  const expected = new Map<Surface, Expected>();
  for (const { surface, soil, severity, happening } of noted) {
    const before = expected.get(surface)?.findings ?? [];
    expected.set(surface, { surface, findings: [...before, { soil, severity }], note: '', noted: happening });
  }
  return [...expected.values()];
}

/** What was found and what is expected, each soil of a surface once: what was found counts. */
export const withNoted = (found: readonly Finding[], noted: readonly Noted[]): Finding[] => [
  ...found,
  ...noted
    .filter((n) => !found.some((f) => f.surface === n.surface && f.soil === n.soil && f.severity > 0))
    .map(({ happening: _, ...finding }) => finding),
];
