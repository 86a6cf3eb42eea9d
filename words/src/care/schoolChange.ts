import { care } from '@bright-keeper/core';
import { capital, count } from '../text.js';

const names = (things: readonly (care.Tool | care.Material)[]): string => things.map(care.thingName).join(', ');
const methods = (ids: readonly care.Method[]): string => ids.map((m) => care.METHODS[m].name.toLowerCase()).join(', ');

/** What a choice of another school would change in this plan, in a line. */
export function schoolChangeWords({ adds, drops, takes, lays, touches, motion }: care.SchoolChange): string {
  const parts = [
    ...(adds.length > 0 ? [`adds ${methods(adds)}`] : []),
    ...(drops.length > 0 ? [`leaves out ${methods(drops)}`] : []),
    ...(adds.length + drops.length === 0 && takes.length > 0
      ? [`takes ${names(takes)}${lays.length > 0 ? ` instead of ${names(lays)}` : ''}`]
      : []),
    ...(touches !== 0 ? [`${count(Math.abs(touches), 'touch', 'touches')} ${touches > 0 ? 'more' : 'fewer'} at most`] : []),
  ];
  if (parts.length > 0) return `${capital(parts.join('; '))}.`;
  return motion ? 'The same, in another motion.' : 'The same steps; what is left or handed over is judged otherwise.';
}
