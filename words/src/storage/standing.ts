import { storage } from '@bright-keeper/core';
import { roughDays } from '../fungus/assessment.js';

/** How calm one may be about it: what a colour says, too. */
export type StandingTone = 'good' | 'attention' | 'act' | 'unknown';
const TONES: Record<storage.StandingId, StandingTone> = {
  safe: 'good',
  'back-in-band': 'attention',
  'drying-out': 'attention',
  'on-its-way': 'attention',
  watch: 'attention',
  'over-band': 'attention',
  'under-band': 'attention',
  disputed: 'attention',
  act: 'act',
  'growth-found': 'act',
  'not-heard': 'unknown',
  'too-little': 'unknown',
  'not-measured': 'unknown',
};
export const standingTone = ({ says }: storage.Standing): StandingTone => TONES[says];

/** For how long; beyond what one looks back on it may have been longer. */
const lasting = (days: number): string => (days >= storage.LOOK_BACK_DAYS - 0.5 ? `${roughDays(days)} or more` : roughDays(days));

/** How a place or a thing stands, in a few words: the same on every page. @param day how an instant is told. */
export function standingWords(standing: storage.Standing, day: (instant: string) => string): string {
  switch (standing.says) {
    case 'safe':
      return 'Safe';
    case 'watch':
      return 'Watch';
    case 'act':
      return 'Act now';
    case 'growth-found':
      return 'Growth was found in it';
    case 'not-measured':
      return 'Not measured';
    case 'too-little':
      return 'Too little measured';
    case 'drying-out':
      return 'Drying out';
    case 'over-band':
      return `Above its band for ${lasting(standing.days)}`;
    case 'under-band':
      return `Too dry for ${lasting(standing.days)}`;
    case 'disputed':
      return 'Its hygrometers disagree';
    case 'not-heard':
      return `Not heard since ${day(standing.since)}`;
    case 'back-in-band':
      return `Back in its band since ${day(standing.since)}`;
    case 'on-its-way':
      return `Growth in ${roughDays(standing.days)}, if it goes on so`;
    default:
      return standing satisfies never;
  }
}

/** What the word stands on, where it does not say so itself; null where it does. */
export function standingBecause(standing: storage.Standing): string | null {
  switch (standing.says) {
    case 'safe':
      return `${standing.inBand ? `Measured in its band for ${lasting(standing.days)}` : `Measured on ${Math.round(standing.days)} days`} and up to now, with neither model on its way.`;
    case 'too-little':
      return `Measured on ${standing.days < 1 ? 'less than a day' : `${Math.floor(standing.days)} days`}; it takes ${Math.ceil(standing.needDays)} to call it safe.`;
    case 'disputed':
      return 'By the careful one of them it would be safe; a salt test tells which is right.';
    case 'drying-out':
      return 'Dry again, but a model has come a part of the way and forgets slowly.';
    default:
      return null;
  }
}
