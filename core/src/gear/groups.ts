import type { ItemKind } from '../care/kinds/index.js';
import type { Traits } from '../care/knowledge/index.js';
import type { Verdict } from '../care/index.js';
import type { Particulars } from './particulars.js';
import { countOf } from './several.js';
import { worthOfAll, type Worth } from './worth.js';

/** By what a shelf is told in groups. */
export const GROUPINGS = ['place', 'kind', 'tag', 'verdict'] as const;
export type Grouping = (typeof GROUPINGS)[number];

/** A line of the inventory as far as groups go: `verdict` is null of what was never looked at, `place` where nobody said. */
export type Grouped = { kind: ItemKind; traits: Traits; particulars: Particulars; place: string | null; verdict: Verdict | null };
/** `key` is null of what has no such: no place, no tag, no verdict. `things` counts each of several equal ones. */
export type Group = { key: string | null; lines: number; things: number; worth: Worth };

const KEYS_OF: Record<Grouping, (line: Grouped) => readonly (string | null)[]> = {
  place: ({ place }) => [place],
  kind: ({ kind }) => [kind],
  verdict: ({ verdict }) => [verdict],
  // However a tag is written it is one.
  tag: ({ particulars: { tags } }) => (tags ? [...new Set(tags.map((tag) => tag.toLowerCase()))] : [null]),
};

/** The shelf in groups, in the order their first line comes; what has two tags stands in both. What has no such comes last. */
export function groupsBy(by: Grouping, shelf: readonly Grouped[]): Group[] {
  const groups = new Map<string | null, Grouped[]>();
  for (const line of shelf)
    for (const key of KEYS_OF[by](line)) {
      const group = groups.get(key);
      if (group) group.push(line);
      else groups.set(key, [line]);
    }
  const all = [...groups].map(([key, lines]): Group => ({
    key,
    lines: lines.length,
    things: lines.reduce((sum, line) => sum + countOf(line.particulars), 0),
    worth: worthOfAll(lines),
  }));
  return [...all.filter(({ key }) => key !== null), ...all.filter(({ key }) => key === null)];
}
