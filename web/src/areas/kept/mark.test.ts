import { describe, expect, it } from 'vitest';
import type { Problem } from '@bright-keeper/contract';
import type { Waiting } from '../../kept';
import { freshly } from '../../kept/waiting';
import { waitingWords } from './keptView';
import { markOf, markWords } from './mark';
import { asItsOwn, chosenLook, differencesIn } from './useSettle';

const NOW = new Date('2026-05-01T14:20:00Z');
const at = (ms: number) => new Date(ms).toISOString().slice(11, 16);
const trouble: Problem = { type: 'about:blank', title: 'No', status: 409, code: 'look-told-twice', detail: '' };
const common = (id: string) => freshly({ id, itemId: 'i', name: 'Lens' }, NOW);
const seen = (surface: string, soil: string | null) => ({
  surface,
  findings: soil === null ? [] : [{ soil, severity: 2 as const }],
  note: '',
});
const look = (mine: object[], more: object = {}): Extract<Waiting, { kind: 'look' }> =>
  ({
    ...common('l'),
    kind: 'look',
    base: null,
    endedMs: null,
    look: { id: 'l', itemId: 'i', itemName: 'Lens', version: 1, startedAt: '', finishedAt: null, at: null, answers: mine },
    ...more,
  }) as Extract<Waiting, { kind: 'look' }>;

describe('the mark on every page', () => {
  it.each<[readonly Waiting[], number | null, string]>([
    [[], null, 'Up to date'],
    [[], NOW.getTime(), 'Out of reach, since 14:20'],
    [[look([])], null, 'Kept here, 1 to carry over, since 14:20'],
    [[look([]), look([])], NOW.getTime() + 60_000, 'Out of reach; kept here, 2 to carry over, since 14:20'],
    [[look([], { trouble })], NOW.getTime(), 'Something kept here needs you'],
    [[look([], { trouble }), look([], { trouble })], null, '2 things kept here need you'],
  ])('says of %j away since %s: %s', (waiting, away, words) => {
    expect(markWords(markOf(waiting, away), at)).toBe(words);
  });
});

describe('what waits', () => {
  it.each<[Waiting, string]>([
    [look([seen('barrel', null)]), 'A look, under way: 1 surface'],
    [look([seen('barrel', null), seen('front-glass', 'dust')], { endedMs: NOW.getTime() }), 'A look, finished at 14:20: 2 surfaces'],
    [{ ...common('h'), kind: 'happened', happened: { happening: 'rain', itemIds: ['i'] } }, 'Rain'],
    [
      { ...common('t'), kind: 'timer', timer: { size: null, wrapping: 'bare', minutes: 40, itemId: null } },
      'Left shut to warm up, until 15:00',
    ],
    [
      {
        ...common('r'),
        kind: 'reading',
        reading: { at: NOW.toISOString(), temperatureC: 21.04, humidityPct: 55 },
        deviceId: 'd',
        place: null,
      },
      'A reading, 21.0 °C and 55 %',
    ],
  ])('is told in a line: %#', (waiting, words) => {
    expect(waitingWords(waiting, at)).toMatch(words);
  });
});

describe('two looks that differ', () => {
  const theirs = { answers: [seen('front-glass', 'fingerprint'), seen('barrel', null)] };
  const mine = look([seen('front-glass', 'dust'), seen('rear-glass', null)], { base: [], trouble: { ...trouble, current: theirs } });

  it('are shown where they differ, and nowhere else', () => {
    expect(differencesIn(mine).map(({ surface }) => surface)).toEqual(['front-glass']);
  });

  it('are one after a person has chosen, on top of what the household has', () => {
    const chosen = (side: 'here' | 'there') => chosenLook(mine, { 'front-glass': side });
    expect(chosen('there').look.answers).toEqual([theirs.answers[0], theirs.answers[1], seen('rear-glass', null)]);
    expect(chosen('here')).toMatchObject({ base: theirs.answers, trouble: null });
    expect(chosen('here').look.answers[0]).toEqual(seen('front-glass', 'dust'));
  });

  it('are two where the other was finished: what it saw alike is not said again', () => {
    const finished = look([seen('barrel', null), seen('rear-glass', null)], { base: [], trouble: { ...trouble, current: theirs } });
    const own = asItsOwn(finished, NOW);
    expect(own).toMatchObject({ base: null, endedMs: NOW.getTime(), look: { answers: [{ surface: 'rear-glass' }] } });
    expect([own.id === finished.id, own.look.id]).toEqual([false, own.id]);
  });
});
