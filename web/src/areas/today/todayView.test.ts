import { schedule } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import { byConsequence, dueInGroups, greeting, groupTitle, needsInOrder, type DueEntry } from './todayView';

const due = (id: string, task: schedule.TaskId, urgency: schedule.Urgency, day = '2026-03-10'): DueEntry =>
  ({ id, task, urgency, due: day, minutes: 8, item: { id, name: id } }) as unknown as DueEntry;
const need = (name: string, verdict: string) =>
  ({ item: { name }, verdict, surfaces: [] }) as unknown as Parameters<typeof needsInOrder>[0][number];

describe('what is due today', () => {
  it('is ranked: overdue first, then what has a cause of its own, then by day', () => {
    const ranked = byConsequence([
      due('exercise', 'exercise', 'due'),
      due('later', 'light-test', 'soon', '2026-03-20'),
      due('sooner', 'light-test', 'soon', '2026-03-12'),
      due('waits', 'home-care', 'due'),
      due('late', 'light-test', 'overdue', '2026-01-01'),
    ]);
    expect(ranked.map((d) => d.id)).toEqual(['late', 'waits', 'exercise', 'sooner', 'later']);
  });

  it('stands entry by entry while it is few', () => {
    const few = Array.from({ length: 5 }, (_, i) => due(`${i}`, 'light-test', 'due'));
    expect(dueInGroups(few)).toMatchObject({ groups: [] });
    expect(dueInGroups(few).first).toHaveLength(5);
  });

  it('groups the rest by what is to be done, with the minutes it takes, and loses nothing', () => {
    const many = [
      ...Array.from({ length: 7 }, (_, i) => due(`look ${i}`, 'light-test', 'due')),
      ...Array.from({ length: 3 }, (_, i) => due(`turn ${i}`, 'exercise', 'soon')),
    ];
    const { first, groups } = dueInGroups(many);
    expect(first).toHaveLength(4);
    expect(groups.map((g) => [g.task, g.entries.length, g.minutes])).toEqual([
      ['light-test', 3, 24],
      ['exercise', 3, 24],
    ]);
    expect(groupTitle(groups[0]!)).toBe('3 more: Look through it with a torch');
    expect(first.length + groups.reduce((sum, g) => sum + g.entries.length, 0)).toBe(many.length);
  });
});

describe('what needs one', () => {
  it('shows all that is grave, and folds what is mild and many', () => {
    const needs = [need('sick', 'isolate'), ...Array.from({ length: 8 }, (_, i) => need(`print ${i}`, 'clean'))];
    const { grave, mild, folded } = needsInOrder(needs);
    expect(grave.map((n) => n.item.name)).toEqual(['sick']);
    expect([mild.length, folded.length]).toEqual([4, 4]);
  });
  it('folds no single one', () => {
    const needs = Array.from({ length: 5 }, (_, i) => need(`print ${i}`, 'clean'));
    expect(needsInOrder(needs).folded).toEqual([]);
  });
});

describe('the greeting', () => {
  it.each([
    [{ items: 1, neverLooked: 0 }, '1 thing on the shelf.'],
    [{ items: 28, neverLooked: 2 }, '28 things on the shelf, 2 not looked at yet.'],
  ])('%j: %s', (counts, words) => expect(greeting(counts)).toBe(words));
});
