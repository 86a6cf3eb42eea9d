import { Search } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';

const load = () => import('./FindDialog');
const FindDialog = lazy(async () => ({ default: (await load()).FindDialog }));

/** Whoever types means the letter. */
const isTyping = ({ target }: KeyboardEvent): boolean =>
  target instanceof HTMLElement && (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** Ctrl or ⌘ with K from anywhere, and the stroke where nothing is typed. */
const isAsked = (event: KeyboardEvent): boolean =>
  (event.key === 'k' && (event.ctrlKey || event.metaKey)) ||
  (event.key === '/' && !event.ctrlKey && !event.metaKey && !event.altKey && !isTyping(event));

/** The search from anywhere, by a tap or by a key; its code comes when it is neared. */
export function FindButton() {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!isAsked(event)) return;
      event.preventDefault();
      setOpen(true);
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, []);
  return (
    <>
      <button
        type="button"
        aria-label="Find anything"
        aria-haspopup="dialog"
        aria-keyshortcuts="/ Control+K Meta+K"
        title="Find anything (/)"
        className="flex size-11 items-center justify-center rounded text-soft hover:text-ink"
        onPointerEnter={() => void load()}
        onFocus={() => void load()}
        onClick={() => setOpen(true)}
      >
        <Search size={20} aria-hidden="true" />
      </button>
      {open && (
        <Suspense fallback={null}>
          <FindDialog onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
