import { care, schedule } from '@bright-keeper/core';
import { OUTINGS } from './outings.js';
import type { DemoThing, Happening } from './story.js';

/*
 * What a careful keeper does between the stories: routine is never more than two or three weeks behind, and one body,
 * with the lens it carried, has slipped.
 */
const SLIPPED: readonly string[] = ['Skerrow M1', 'Tidewell 16-35/4', 'Ostrane 58/2 (1957)'];

/** The surfaces of a thing that such a glance goes over. */
export const glanceAt = ({ kind, traits }: DemoThing, at: 'inside' | 'outside'): care.Surface[] =>
  at === 'outside' ? care.metOutdoors(kind, traits) : care.surfacesOf(kind, traits).filter((s) => care.familyOf(s) === 'inner');

const isFor = (code: schedule.DutyCode, { kind }: DemoThing): boolean => {
  const { kinds } = schedule.dutyFacts(code);
  return kinds === 'every' || kinds.includes(kind);
};

/** Routine that no story tells: home from outings, a torch through each lens, seams and rings, what lies idle. */
export function upkeepOf(thing: DemoThing, index: number): Happening[] {
  if (SLIPPED.includes(thing.name)) return [];
  const spread = index % 9;
  const home = OUTINGS.filter((o) => o.toDaysAgo > 1 && o.things.includes(thing.name)).map((o): Happening => ({
    daysAgo: o.toDaysAgo - 1,
    did: 'glance',
    at: 'outside',
  }));
  const torch: Happening[] = glanceAt(thing, 'inside').length > 0 ? [{ daysAgo: 6 + spread, did: 'glance', at: 'inside' }] : [];
  const shell: Happening[] =
    isFor('shell-and-contacts', thing) && care.hasSurface(thing.kind, thing.traits, 'contacts')
      ? [210 + spread, 40 + spread].map((daysAgo) => ({ daysAgo, did: 'care', task: 'shell-and-contacts' }))
      : [];
  const exercise: Happening[] = isFor('exercise', thing) ? [{ daysAgo: 75 + spread, did: 'care', task: 'exercise' }] : [];
  return [...home, ...torch, ...shell, ...exercise].filter((h) => h.daysAgo < thing.cameDaysAgo);
}
