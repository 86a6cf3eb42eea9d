import { commonPractice } from '../../care/knowledge/index.js';
import { localDay } from '../day.js';
import type { TimerFacts } from '../facts.js';
import { HOUSEHOLD, type NamedSubject } from '../subjects.js';
import type { DutyKind, Finder } from './duty.js';

const subjectOf = ({ itemId, itemName }: TimerFacts): NamedSubject =>
  itemId && itemName ? { kind: 'thing', id: itemId, name: itemName } : { ...HOUSEHOLD, name: '' };

/** A thing that warms in its bag: nobody opens it before its time. */
export const warmUp: DutyKind = {
  about: 'household',
  kinds: 'every',
  settledBy: { state: 'it is as warm as the room' },
  name: 'Wait until it is warm',
  what: 'Leave it shut until it is as warm as the room.',
  gravity: 'harms',
  setUp: 'desk',
  minutes: 1,
  doneBy: 'timer',
  basis: commonPractice,
};

export const findWarmUp: Finder = (_, { facts }) =>
  facts.timers.map((timer) => ({
    subject: subjectOf(timer),
    found: [
      {
        part: timer.id,
        window: {
          // From the hour it begins, though it may end after midnight.
          earliest: localDay(timer.startedAt, facts.timeZone),
          due: localDay(timer.endsAt, facts.timeZone),
          latest: localDay(timer.endsAt, facts.timeZone),
        },
        facts: {
          says: 'warming',
          timerId: timer.id,
          itemId: timer.itemId,
          size: timer.size,
          wrapping: timer.wrapping,
          startedAt: timer.startedAt,
          endsAt: timer.endsAt,
        },
      },
    ],
  }));
