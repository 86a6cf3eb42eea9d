import { schedule } from '@bright-keeper/core';
import { dutyWords } from './duty.js';

/** What each kind of alarm is called where one chooses. */
const KINDS: Record<schedule.AlarmKind, string> = {
  damp: 'Damp, and fungus that is to be feared',
  dry: 'Too dry for long',
  silent: 'A hygrometer that is silent',
  battery: 'A battery that is low',
};
export const alarmKindWords = (kind: schedule.AlarmKind): string => KINDS[kind];

/** A message that goes out, as its heading and its text. */
export type Message = { subject: string; text: string };

/** What is told of one: why, and what to do where that is not said with it already. */
export function alarmParts({ duty }: schedule.Alarm): { title: string; why: string; what: string } {
  const { title, why } = dutyWords(duty);
  const { what } = schedule.dutyFacts(duty.code);
  const isSaid = why.toLowerCase().includes(what.toLowerCase().replace(/\.$/, ''));
  return { title, why, what: isSaid ? '' : what };
}

const lineOf = (alarm: schedule.Alarm): string => {
  const { title, why, what } = alarmParts(alarm);
  return [`${alarm.duty.subject.name}: ${title}.`, why, what].filter(Boolean).join(' ');
};

/** What is told of some alarms: what it is, why, and what to do. */
export function alarmMessage(alarms: readonly schedule.Alarm[]): Message {
  const [first, ...more] = alarms;
  if (!first) throw new RangeError('an empty message goes to nobody');
  const heading = `${first.duty.subject.name}: ${dutyWords(first.duty).title}`;
  return {
    subject: more.length === 0 ? heading : `${heading}, and ${more.length} more`,
    text: alarms.map(lineOf).join('\n\n'),
  };
}
