import type { care, schedule } from '@bright-keeper/core';

/** What was seen on a surface: soils with their severity, or nothing. */
export type Seen = Partial<Record<care.Surface, Partial<Record<care.Soil, care.Severity>>>>;

/** One thing that happened, so many days before the day of loading. */
export type Happening =
  | { daysAgo: number; did: 'look'; seen: Seen; notes?: Partial<Record<care.Surface, string>>; unfinished?: true }
  | { daysAgo: number; did: 'clean'; place?: care.Place; conditions?: care.Conditions; unfinished?: true }
  /** A quick look at some surfaces: what is known of them is still there, and nothing new. */
  | { daysAgo: number; did: 'glance'; at: 'inside' | 'outside' }
  | { daysAgo: number; did: 'quarantine' }
  | { daysAgo: number; did: 'care'; task: schedule.DutyCode };

export type DemoThing = {
  name: string;
  kind: care.ItemKind;
  traits: care.Traits;
  notes?: string;
  /** Days before the day of loading on which it came on the shelf. */
  cameDaysAgo: number;
  history: Happening[];
};

export const looked = (daysAgo: number, seen: Seen = {}, notes?: Partial<Record<care.Surface, string>>): Happening => ({
  daysAgo,
  did: 'look',
  seen,
  ...(notes ? { notes } : {}),
});
export const cleaned = (daysAgo: number, place: care.Place = 'home', conditions?: care.Conditions): Happening => ({
  daysAgo,
  did: 'clean',
  place,
  ...(conditions ? { conditions } : {}),
});
export const exercised = (daysAgo: number): Happening => ({ daysAgo, did: 'care', task: 'exercise' });
export const batteryChecked = (daysAgo: number): Happening => ({ daysAgo, did: 'care', task: 'battery-contacts' });
