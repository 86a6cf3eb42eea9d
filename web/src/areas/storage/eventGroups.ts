import type { ClimateEvent } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';

/** Things of one kind that happened in a place on one day, newest first. */
export type EventGroup = { key: string; kind: ClimateEvent['data']['kind']; at: string; events: ClimateEvent[] };

/**
 * What happened in a place, with what is alike of one day together: a box that takes in forty things has one line, not forty.
 * What stands between two of a kind on a day does not part them.
 *
 * @param events newest first.
 */
export function eventGroups(events: readonly ClimateEvent[], timeZone: string): EventGroup[] {
  const groups = new Map<string, EventGroup>();
  for (const event of events) {
    const { kind } = event.data;
    const key = kind === 'note' ? event.id : `${schedule.localDay(event.at, timeZone)}/${kind}`;
    const group = groups.get(key);
    if (group) group.events.push(event);
    else groups.set(key, { key, kind, at: event.at, events: [event] });
  }
  return [...groups.values()];
}
