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

const lineOf = ({ duty }: schedule.Alarm): string => {
  const { title, why } = dutyWords(duty);
  return [`${duty.subject.name}: ${title}.`, why, schedule.dutyFacts(duty.code).what].filter(Boolean).join(' ');
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
