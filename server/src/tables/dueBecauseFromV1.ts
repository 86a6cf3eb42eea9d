import { care, type schedule } from '@bright-keeper/core';

/** A due task as version 1 kept it: one text of sentences. */
export type DueV1 = { task: string; text: string };

/** The sentences that version 1 wrote, by their first words. */
const SENTENCES: readonly [string, schedule.DueBecause][] = [
  ['Not looked at since', { because: 'never-looked-at' }],
  ['Counted from the day it came on the shelf', { because: 'since-on-the-shelf' }],
  ['Moved to quarantine', { because: 'quarantined' }],
  ['Counted from the last look', { because: 'last-look' }],
  ['Counted from the last clean', { because: 'last-clean' }],
  ['Counted from when it was last done', { because: 'last-done' }],
  ['Something was left undone', { because: 'left-undone' }],
  ['Its finish tacks', { because: 'finish-tacks' }],
  ['Its sticky finish was worked on', { because: 'finish-was-worked-on' }],
];
const SHARED = /It shared a place with (.+), which went into quarantine\./;
const LEFT = /Left in the field: ([^.]*)\./g;

/** Surfaces that were called otherwise in version 1. */
const OLD_NAMES: Readonly<Record<string, care.Surface>> = { helicoid: 'helicoid' };
const surfacesNamed = (names: string): care.Surface[] =>
  names.split(', ').flatMap((name) => OLD_NAMES[name] ?? care.SURFACE_IDS.find((s) => care.SURFACES[s].name === name) ?? []);

/** From sentences to their codes; a sentence nobody knows any more is told as counted from when it was last done. */
export function dueBecauseFromV1({ text }: DueV1): schedule.DueBecause[] {
  const known = SENTENCES.find(([words]) => text.startsWith(words));
  if (known) return [known[1]];
  const shared = SHARED.exec(text);
  if (shared) return [{ because: 'shared-a-place', name: shared[1]! }];
  const happened = care.HAPPENING_IDS.filter((id) => text.includes(`${care.happeningFacts(id).name}: `));
  const causes: schedule.DueBecause[] = [
    ...happened.map((happening) => ({ because: 'happened-outdoors' as const, happening })),
    ...[...text.matchAll(LEFT)].map(([, names]) => ({ because: 'left-in-the-field' as const, surfaces: surfacesNamed(names!) })),
  ];
  return causes.length > 0 ? causes : [{ because: 'last-done' }];
}
