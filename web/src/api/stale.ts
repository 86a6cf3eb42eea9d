import type { LiveTopic } from '@bright-keeper/contract';
import type { QueryKey } from '@tanstack/react-query';
import { keys } from './keys';

/** Whatever moves may be something that is due, or was. */
const ALWAYS: readonly QueryKey[] = [keys.today, keys.schedule];
const GEAR: QueryKey = ['gear'];

/** What each topic makes stale besides. */
const STALE_BY: Record<Exclude<LiveTopic, 'settings'>, readonly QueryKey[]> = {
  gear: [GEAR, keys.storage],
  journal: [GEAR],
  looks: [['inspection'], GEAR, keys.homes],
  cleanings: [['care', 'cleaning'], keys.cleanings, keys.rungs, keys.benchUses, GEAR, keys.homes],
  openings: [['care', 'teardown'], GEAR],
  places: [keys.storage, GEAR],
  air: [keys.storage],
  drawer: [keys.drawer],
  // What was out is told on the shelf; how much dust came of it, by the frames.
  outings: [keys.homes, GEAR, ['sensor']],
  frames: [['sensor'], GEAR],
  calendars: [],
  record: [keys.offers, keys.practice],
  // Whoever is let in, or let go, is noted there.
  trail: [['trail'], keys.access],
};
/** What hangs on no setting: the bytes of a picture, and how the program itself is and signs. */
const APART: readonly QueryKey[] = [['picture'], keys.health, keys.backups, keys.reportKey];

const begins = (key: QueryKey, with_: QueryKey): boolean => with_.every((part, i) => key[i] === part);

/** Whether what was asked for by a key may be another answer now that these topics have moved. */
export function isStaleBy(topics: readonly LiveTopic[], key: QueryKey): boolean {
  return topics.some((topic) => {
    if (topic === 'settings') return !APART.some((apart) => begins(key, apart));
    // The trail alone is nobody's duty.
    const stale = topic === 'trail' ? STALE_BY.trail : [...ALWAYS, ...STALE_BY[topic]];
    return stale.some((prefix) => begins(key, prefix));
  });
}
