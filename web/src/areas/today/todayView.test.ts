import { describe, expect, it } from 'vitest';
import { dutyOf, lensOf } from '../../testing/duties';
import { calmWords, dueInGroups, greeting, groupTitle, needsInOrder, todayView } from './todayView';

const many = (n: number, code: Parameters<typeof dutyOf>[0]) =>
  Array.from({ length: n }, (_, i) => dutyOf(code, { subject: lensOf(`${code} ${i}`) }));

describe('what is due today', () => {
  it('stands under its heading: waits, what is graver than routine, routine', () => {
    const view = todayView([dutyOf('isolate'), dutyOf('warm-up'), dutyOf('light-test'), dutyOf('clean')]);
    expect(view.waiting.map((d) => d.code)).toEqual(['warm-up']);
    expect(view.needs.shown.map((d) => d.code)).toEqual(['isolate', 'clean']);
    expect(view.due.first.map((d) => d.code)).toEqual(['light-test']);
  });

  it('stands entry by entry while it is few', () => {
    expect(dueInGroups(many(5, 'light-test'))).toMatchObject({ groups: [] });
    expect(dueInGroups(many(5, 'light-test')).first).toHaveLength(5);
  });

  it('groups the rest by what is to be done, with the minutes it takes, and loses nothing', () => {
    const due = [...many(7, 'light-test'), ...many(3, 'exercise')];
    const { first, groups, minutes } = dueInGroups(due);
    expect(first).toHaveLength(4);
    expect(groups.map((g) => [g.code, g.duties.length, g.minutes])).toEqual([
      ['light-test', 3, 24],
      ['exercise', 3, 12],
    ]);
    expect(minutes).toBe(7 * 8 + 3 * 4);
    expect(groupTitle(groups[0]!)).toBe('3 more: Look through it with a torch');
    expect(first.length + groups.reduce((sum, g) => sum + g.duties.length, 0)).toBe(due.length);
  });
});

describe('what needs one', () => {
  it('shows all that is grave, and folds what is mild and many', () => {
    const { shown, folded } = needsInOrder([dutyOf('isolate', { subject: lensOf('sick') }), ...many(10, 'clean')]);
    expect(shown.map((d) => d.subject.name)).toContain('Lens sick');
    expect([shown.length, folded.length]).toEqual([7, 4]);
  });
  it('folds no single one', () => {
    expect(needsInOrder(many(7, 'clean')).folded).toEqual([]);
  });
});

describe('the greeting', () => {
  it.each([
    [{ items: 1, neverLooked: 0 }, '1 thing on the shelf.'],
    [{ items: 28, neverLooked: 2 }, '28 things on the shelf, 2 not looked at yet.'],
  ])('%j: %s', (counts, words) => expect(greeting(counts)).toBe(words));
});

describe('where nothing needs one', () => {
  it.each([
    [{ items: 3, neverLooked: 0 }, /good enough for the picture/],
    [{ items: 3, neverLooked: 1 }, /^Nothing that was found needs you\. Of what nobody has looked at/],
    [{ items: 3, neverLooked: 3 }, /a look tells/],
  ])('%j says no more than is known', (counts, words) => {
    expect(calmWords(counts)).toMatch(words);
    expect(/good enough/.test(calmWords(counts))).toBe(counts.neverLooked === 0);
  });
});
