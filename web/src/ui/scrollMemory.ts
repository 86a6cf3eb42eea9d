import { useLayoutEffect, useRef } from 'react';
import { NavigationType, useLocation, useNavigationType } from 'react-router';

/**
 * A page that is opened begins at its top; one that is gone back to stands where it was left. Choices on a page, which
 * change its address and not the page, move nothing.
 */
export function useScrollMemory(): void {
  const { key, pathname } = useLocation();
  const way = useNavigationType();
  const left = useRef(new Map<string, number>());
  const shown = useRef(pathname);
  useLayoutEffect(() => {
    const known = left.current;
    if (way === NavigationType.Pop) {
      const at = known.get(key);
      if (at !== undefined) window.scrollTo(0, at);
    } else if (pathname !== shown.current) window.scrollTo(0, 0);
    shown.current = pathname;
    // Heard from now on, so that what moves while the pages change is not taken for the one that was left.
    const note = () => void known.set(key, window.scrollY);
    note();
    window.addEventListener('scroll', note, { passive: true });
    return () => window.removeEventListener('scroll', note);
  }, [key, pathname, way]);
}
