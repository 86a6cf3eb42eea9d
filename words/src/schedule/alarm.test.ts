import { schedule } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import { alarmKindWords, alarmMessage } from './alarm.js';

const alarm = (code: schedule.DutyCode, name: string, facts: schedule.DutyFacts): schedule.Alarm => ({
  key: `${code} ${name}`,
  kind: 'silent',
  duty: { code, facts, subject: { kind: 'hygrometer', id: name, name } } as schedule.Duty,
});
const SILENT = alarm('silent', 'Probe', { says: 'air', cause: 'silent', deviceId: 'd', placeId: null, since: null });
const LOW = alarm('cell-change', 'Dial', { says: 'battery', pct: 9 });

describe('a message of alarms', () => {
  it('says what it is, why, and what to do, and nothing twice', () => {
    const { subject, text } = alarmMessage([SILENT]);
    expect(subject).toBe('Probe: It is silent');
    expect(text).toBe('Probe: It is silent. It has not been heard for longer than it should: look at its battery and its network.');
  });
  it('has all of them in its text, and the first and how many more in its heading', () => {
    const { subject, text } = alarmMessage([LOW, SILENT]);
    expect(subject).toBe('Dial: Change its cell, and 1 more');
    expect(text.split('\n\n')).toHaveLength(2);
    // What may hurt is said where it is told to be done.
    expect(text).toContain('not touched with bare hands');
  });
  it('goes to nobody where there is none', () => {
    expect(() => alarmMessage([])).toThrow(RangeError);
  });
  it('is of a kind that has a name of its own', () => {
    expect(new Set(schedule.ALARM_KINDS.map(alarmKindWords)).size).toBe(schedule.ALARM_KINDS.length);
  });
});
