import { useEffect, useState, type RefObject } from 'react';

/** So far below the window a thing is near: what it needs is there when one scrolls to it. */
export const SOON_PX = 600;

/** Has this been in the window, or so far below it? What is large waits for it; where nobody can tell, it has. */
export function useNear(of: RefObject<Element | null>, belowPx = 0): boolean {
  const [near, setNear] = useState(() => !('IntersectionObserver' in globalThis));
  useEffect(() => {
    const element = of.current;
    if (near || !element) return;
    const observer = new IntersectionObserver(([entry]) => entry?.isIntersecting && setNear(true), { rootMargin: `${belowPx}px` });
    observer.observe(element);
    return () => observer.disconnect();
  }, [of, near, belowPx]);
  return near;
}
