import type { Outing } from '@bright-keeper/contract';
import { MET } from '@bright-keeper/words';

/** "one outing", "3 outings". */
export const many = (n: number, one: string, more: string): string => (n === 1 ? `one ${one}` : `${n} ${more}`);

const counted = (many: number, one: string): string => `${many === 0 ? 'no' : many} ${one}${many === 1 ? '' : 's'}`;

/** "met salt and rain; 240 frames, 5 hours". */
export function outingWords({ met, frames, lensChanges, hours }: Pick<Outing, 'met' | 'frames' | 'lensChanges' | 'hours'>): string {
  const counts = [
    frames !== null && counted(frames, 'frame'),
    lensChanges !== null && counted(lensChanges, 'lens change'),
    hours !== null && counted(hours, 'hour'),
  ]
    .filter(Boolean)
    .join(', ');
  return [met.length > 0 ? `met ${met.map((m) => MET[m]).join(' and ')}` : null, counts || null].filter(Boolean).join('; ');
}
