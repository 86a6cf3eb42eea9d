import type { ClimateEvent } from '@bright-keeper/contract';
import { describe, expect, it } from 'vitest';
import { eventGroups } from './eventGroups';

const event = (id: string, at: string, data: ClimateEvent['data']): ClimateEvent => ({ id, at, data });

describe('what happened in a place', () => {
  const events = [
    event('6', '2026-03-11T00:30:00Z', { kind: 'opened' }),
    event('5', '2026-03-10T23:30:00Z', { kind: 'opened' }),
    event('4', '2026-03-10T12:00:00Z', { kind: 'item-in', name: 'B' }),
    event('3', '2026-03-10T11:59:00Z', { kind: 'opened' }),
    event('2', '2026-03-10T11:00:00Z', { kind: 'item-in', name: 'A' }),
    event('1', '2026-03-10T10:00:00Z', { kind: 'note', text: 'Damp wall' }),
    event('0', '2026-03-10T09:00:00Z', { kind: 'note', text: 'Wall wiped' }),
  ];
  it('has what is alike of a day in one line, notes by themselves, nothing lost, newest first', () => {
    const groups = eventGroups(events, 'UTC');
    expect(groups.map((g) => [g.kind, g.events.map((e) => e.id).join()])).toEqual([
      ['opened', '6'],
      ['opened', '5,3'],
      ['item-in', '4,2'],
      ['note', '1'],
      ['note', '0'],
    ]);
    expect(groups.flatMap((g) => g.events)).toHaveLength(events.length);
  });
  it('counts a day by the clock of the household', () => {
    expect(eventGroups(events, 'Europe/Madrid')[0]!.events.map((e) => e.id)).toEqual(['6', '5']);
  });
});
