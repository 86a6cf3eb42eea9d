import { useState, type KeyboardEvent } from 'react';

/** Where a cursor over `count` values stands after a key; null for a key that is not its own. It begins at the last value. */
export function cursorAfter(key: string, at: number | null, count: number): number | null {
  const last = count - 1;
  if (last < 0) return null;
  const here = at ?? last;
  switch (key) {
    case 'ArrowLeft':
    case 'ArrowDown':
      return at === null ? last : Math.max(0, here - 1);
    case 'ArrowRight':
    case 'ArrowUp':
      return Math.min(last, here + 1);
    case 'PageDown':
      return Math.max(0, here - Math.max(1, Math.round(count / 10)));
    case 'PageUp':
      return Math.min(last, here + Math.max(1, Math.round(count / 10)));
    case 'Home':
      return 0;
    case 'End':
      return last;
    default:
      return null;
  }
}

/** A cursor over values drawn side by side: moved by keys or by the pointer, and what it stands on is read out in words. */
export function useCursor(count: number, label: string, words: (at: number) => string) {
  const [at, setAt] = useState<number | null>(null);
  const shown = at !== null && at < count ? at : null;
  const onKeyDown = (event: KeyboardEvent) => {
    const next = cursorAfter(event.key, shown, count);
    if (next === null) return;
    event.preventDefault();
    setAt(next);
  };
  return {
    at: shown,
    setAt,
    /** What a person with the keyboard or a screen reader meets. */
    slider:
      count > 0
        ? {
            role: 'slider',
            tabIndex: 0,
            'aria-label': label,
            'aria-valuemin': 0,
            'aria-valuemax': count - 1,
            'aria-valuenow': shown ?? count - 1,
            'aria-valuetext': words(shown ?? count - 1),
            onKeyDown,
            onBlur: () => setAt(null),
          }
        : { role: 'img', 'aria-label': label },
  } as const;
}
