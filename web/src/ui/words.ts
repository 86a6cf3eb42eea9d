import type { care } from '@bright-keeper/core';
import { count } from '@bright-keeper/words';

export { capital, findingsWords, surfaceTitle } from '@bright-keeper/words';

/** "Wear: gloves, eye protection." where something is to be worn, else nothing. */
export const wearWords = (wear: readonly string[]): string => (wear.length > 0 ? `Wear: ${wear.join(', ').replace('-', ' ')}.` : '');

/** "1 touch", "3 touches". */
export const touchesWords = (touches: number): string => count(touches, 'touch', 'touches');

/** What is to be done with a surface. They stand here and not beside its looks: those bring the planner along. */
export const VERDICT_WORDS: Record<care.Verdict, string> = {
  leave: 'Leave it',
  clean: 'Clean it',
  isolate: 'Isolate',
  wait: 'Wait',
  replace: 'Renew',
  weigh: 'Weigh opening it',
  'hand-over': 'Hand over',
};
