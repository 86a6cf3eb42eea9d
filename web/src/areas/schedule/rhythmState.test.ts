import type { KeptRhythm } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import { draftOf, FRESH, heldIn, keptFor, plainRule, reduceRhythm, rruleFrom, standardOf, toSave } from './rhythmState';

const standard = standardOf('light-test');
const mine: schedule.Rhythm = { ...standard, minutes: 20 };
const kept = (scope: schedule.RhythmScope, rhythm: schedule.Rhythm | null): KeptRhythm => ({
  id: JSON.stringify(scope),
  version: 3,
  code: 'light-test',
  scope,
  rhythm,
});
const kindOf = () => 'lens' as const;

describe('a rhythm that is edited', () => {
  it('begins as what holds for whom it is for: the narrowest that is kept, else the usual', () => {
    const all = [kept({ for: 'all' }, mine), kept({ for: 'kind', kind: 'lens' }, null)];
    expect(heldIn([], 'light-test', { for: 'all' }, kindOf)).toEqual(standard);
    expect(heldIn(all, 'light-test', { for: 'all' }, kindOf)).toEqual(mine);
    expect(heldIn(all, 'light-test', { for: 'subject', id: 'a' }, kindOf)).toBeNull();
    expect(heldIn(all, 'light-test', { for: 'kind', kind: 'filter' }, kindOf)).toEqual(mine);
  });
  it('changes one thing at a time, and is saved with the version it began from', () => {
    let draft = draftOf('light-test', { for: 'all' }, standard);
    draft = reduceRhythm(draft, { type: 'add', trigger: FRESH.use });
    draft = reduceRhythm(draft, { type: 'drop', index: 0 });
    draft = reduceRhythm(draft, { type: 'trigger', index: 0, trigger: FRESH.idleness });
    draft = reduceRhythm(draft, { type: 'window', field: 'lateDays', value: 3 });
    expect(draft.rhythm.triggers).toEqual([FRESH.idleness, FRESH.use]);
    expect(toSave(draft, kept({ for: 'all' }, mine))).toMatchObject({ version: 3, rhythm: { lateDays: 3 } });
    expect(toSave(reduceRhythm(draft, { type: 'on', on: false }), null)).toMatchObject({ version: null, rhythm: null });
  });
  it('switched off begins from the usual, so that it can be switched on again', () => {
    expect(draftOf('light-test', { for: 'all' }, null)).toMatchObject({ on: false, rhythm: standard });
  });
  it('knows the change kept with just this scope', () => {
    const all = [kept({ for: 'subject', id: 'a' }, mine)];
    expect(keptFor(all, 'light-test', { for: 'subject', id: 'a' })).not.toBeNull();
    expect(keptFor(all, 'light-test', { for: 'subject', id: 'b' })).toBeNull();
    expect(keptFor(all, 'light-test', { for: 'all' })).toBeNull();
  });
});

describe('the plain-language editor', () => {
  it.each([
    ['FREQ=MONTHLY;INTERVAL=3', { form: 'every', count: 3, unit: 'months' }],
    ['FREQ=DAILY;INTERVAL=28', { form: 'every', count: 4, unit: 'weeks' }],
    ['FREQ=YEARLY', { form: 'every', count: 1, unit: 'years' }],
    ['FREQ=DAILY;INTERVAL=10', { form: 'every', count: 10, unit: 'days' }],
    ['FREQ=MONTHLY;INTERVAL=2;BYDAY=1SA', { form: 'nth-weekday', nth: 1, weekday: 'SA', months: 2 }],
    ['FREQ=YEARLY;BYMONTH=11;BYMONTHDAY=1', { form: 'each-month', month: 11 }],
    ['FREQ=MONTHLY;BYMONTHDAY=5,20', { form: 'written', rrule: 'FREQ=MONTHLY;BYMONTHDAY=5,20' }],
  ] as const)('reads %s, and what it writes means the same days', (rrule, plain) => {
    expect(plainRule(rrule)).toEqual(plain);
    const span = { from: '2026-01-01', to: '2029-01-01' };
    expect(schedule.occurrences(rruleFrom(plain), '2026-01-01', span)).toEqual(schedule.occurrences(rrule, '2026-01-01', span));
  });
});
