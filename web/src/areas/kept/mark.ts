import type { Waiting } from '../../kept';

/** What the mark on every page says: whether all is with the household, what waits, what needs a person. */
export type Mark = { state: 'up-to-date' | 'waits' | 'away' | 'needs-you'; waiting: number; troubled: number; sinceMs: number | null };

export function markOf(waiting: readonly Waiting[], awaySinceMs: number | null): Mark {
  const troubled = waiting.filter((w) => w.trouble !== null).length;
  const state = troubled > 0 ? 'needs-you' : awaySinceMs !== null ? 'away' : waiting.length > 0 ? 'waits' : 'up-to-date';
  return { state, waiting: waiting.length, troubled, sinceMs: waiting[0]?.keptMs ?? awaySinceMs };
}

/** The mark in words; `at` writes a moment of its day. */
export function markWords({ state, waiting, troubled, sinceMs }: Mark, at: (ms: number) => string): string {
  const since = sinceMs === null ? '' : `, since ${at(sinceMs)}`;
  switch (state) {
    case 'up-to-date':
      return 'Up to date';
    case 'needs-you':
      return `${troubled === 1 ? 'Something' : `${troubled} things`} kept here ${troubled === 1 ? 'needs' : 'need'} you`;
    case 'waits':
      return `Kept here, ${waiting} to carry over${since}`;
    case 'away':
      return waiting === 0 ? `Out of reach${since}` : `Out of reach; kept here, ${waiting} to carry over${since}`;
    default:
      return state satisfies never;
  }
}
