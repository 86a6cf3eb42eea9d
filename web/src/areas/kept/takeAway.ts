import { outside } from '../../outside';
import type { Waiting } from '../../kept';

/** All that waits as a file of JSON, for whoever would rather have it twice; photographs are named and stay where they are. */
export function takeAway(waiting: readonly Waiting[]): void {
  const text = JSON.stringify({ keptHere: waiting, at: outside.now().toISOString() }, null, 2);
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type: 'application/json' }));
  link.download = 'bright-keeper-kept-here.json';
  link.click();
  URL.revokeObjectURL(link.href);
}
