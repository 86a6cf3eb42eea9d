import { care } from '@bright-keeper/core';
import { capital, count } from '../text.js';

const names = (things: readonly (care.Tool | care.Material)[]): string => things.map(care.thingName).join(', ');
const methods = (ids: readonly care.Method[]): string => ids.map((m) => care.METHODS[m].name.toLowerCase()).join(', ');

/** Another thing in hand for the same way: what is taken, and what is laid aside for it. */
function inHand({ adds, drops, takes, lays }: care.SchoolChange): string[] {
  if (adds.length + drops.length > 0) return [];
  if (takes.length > 0) return [`takes ${names(takes)}${lays.length > 0 ? ` instead of ${names(lays)}` : ''}`];
  return lays.length > 0 ? [`does without ${names(lays)}`] : [];
}

/** What a choice of another school would change in this plan, in a line. */
export function schoolChangeWords(change: care.SchoolChange): string {
  const { adds, drops, touches, motion, ends } = change;
  const parts = [
    ...(adds.length > 0 ? [`adds ${methods(adds)}`] : []),
    ...(drops.length > 0 ? [`leaves out ${methods(drops)}`] : []),
    ...inHand(change),
    ...(touches !== 0 ? [`${count(Math.abs(touches), 'touch', 'touches')} ${touches > 0 ? 'more' : 'fewer'} at most`] : []),
  ];
  if (parts.length > 0) return `${capital(parts.join('; '))}.`;
  if (motion) return 'The same, in another motion.';
  return ends ? 'The same steps; how the work ends differs.' : 'The same steps; what is left or handed over is judged otherwise.';
}
