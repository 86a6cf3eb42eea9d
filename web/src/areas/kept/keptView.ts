import { care } from '@bright-keeper/core';
import { count } from '@bright-keeper/words';
import type { Waiting } from '../../kept';

/** What waits, in one line; `at` writes a moment of its day. */
export function waitingWords(waiting: Waiting, at: (ms: number) => string): string {
  switch (waiting.kind) {
    case 'look': {
      const seen = count(waiting.look.answers.filter((a) => !a.noted).length, 'surface', 'surfaces');
      return waiting.endedMs === null ? `A look, under way: ${seen}` : `A look, finished at ${at(waiting.endedMs)}: ${seen}`;
    }
    case 'cleaning':
      return waiting.endedMs === null ? 'A cleaning, under way' : `A cleaning, ended at ${at(waiting.endedMs)}`;
    case 'photo':
      return `A photograph of the ${care.surfaceFacts(waiting.surface).name}`;
    case 'happened':
      return care.HAPPENINGS[waiting.happened.happening].name;
    case 'for-home':
      return 'Kept as a task for home';
    case 'reading':
      return `A reading, ${waiting.reading.temperatureC.toFixed(1)} °C and ${waiting.reading.humidityPct.toFixed(0)} %`;
    case 'timer':
      return `Left shut to warm up, until ${at(waiting.keptMs + waiting.timer.minutes * 60_000)}`;
    default:
      return waiting satisfies never;
  }
}
