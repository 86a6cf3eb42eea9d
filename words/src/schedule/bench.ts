import { schedule } from '@bright-keeper/core';
import { count } from '../text.js';
import { dutyWords } from './duty.js';
import { weekdayWords } from './rhythm.js';

type Task = schedule.BenchTask & { duty: schedule.Duty };
type Day = schedule.BenchDay<Task>;

const nameOf = ({ subject }: schedule.Duty): string => subject.name;

/** Why it is that day and no other. */
export function dayBecauseWords({ because, tasks }: Day): string {
  const named = (id: string) => tasks.find((t) => schedule.taskId(t) === id)?.duty;
  switch (because.because) {
    case 'pinned':
      return `You put ${nameOf(named(because.taskId)!)} on this day.`;
    case 'window-closes': {
      const duty = named(because.taskId)!;
      return `It is the last of your days for ${nameOf(duty)}: ${dutyWords(duty).title.toLowerCase()}.`;
    }
    case 'most-together':
      return because.tasks === 1 ? 'There is room for it that day.' : `${because.tasks} tasks fall together that day.`;
    default:
      return because satisfies never;
  }
}

const LATE: Record<schedule.LateReason, string> = {
  over: 'Its window is over.',
  'no-day': 'None of your days lies in its window.',
  'too-long': 'It takes longer than a whole day of yours.',
  'no-room': 'There is no room left on the days of its window.',
  'pinned-away': 'The day you put it on is none of yours any more.',
};
export const lateWords = (reason: schedule.LateReason): string => LATE[reason];

/** The proof in one line. */
export function proofWords({ days, fewest, proven }: schedule.BenchPlan): string {
  if (days.length === 0) return 'Nothing needs a bench day.';
  const is = count(days.length, 'day', 'days');
  if (proven || days.length === fewest) return `${is}; fewer is impossible.`;
  return `${is}; at least ${fewest} ${fewest === 1 ? 'is' : 'are'} needed, ${days.length - fewest === 1 ? 'one less' : `${days.length - fewest} less`} may be possible.`;
}

/** The smallest change that makes it all fit. */
export function remedyWords(remedy: schedule.Remedy): string {
  return remedy.change === 'minutes'
    ? `With ${remedy.more} minutes more a day all of it fits.`
    : `With ${weekdayWords(remedy.weekday)}s as well all of it fits.`;
}

/** A bench day as an event of a calendar. */
export function benchDayWords(day: Day): { summary: string; description: string } {
  const lines = day.tasks.map(({ duty }) => `${nameOf(duty)}: ${dutyWords(duty).title} (${duty.minutes} min)`);
  return { summary: `Bench: ${count(day.tasks.length, 'task', 'tasks')}, ${day.minutes} min`, description: lines.join('\n') };
}
