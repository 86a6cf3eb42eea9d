import type { Outing } from '@bright-keeper/contract';
import { MET } from '@bright-keeper/words';

/** "met salt and rain; 240 frames, 5 hours". */
export function outingWords({ met, frames, lensChanges, hours }: Pick<Outing, 'met' | 'frames' | 'lensChanges' | 'hours'>): string {
  const counts = [
    frames !== null && `${frames} frames`,
    lensChanges !== null && `${lensChanges} lens changes`,
    hours !== null && `${hours} hours`,
  ]
    .filter(Boolean)
    .join(', ');
  return [met.length > 0 ? `met ${met.map((m) => MET[m]).join(' and ')}` : null, counts || null].filter(Boolean).join('; ');
}
