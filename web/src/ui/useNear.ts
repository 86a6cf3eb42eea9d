import { useEffect, useState, type RefObject } from 'react';

/** So far below the window a thing is near: it is ready when one scrolls to it. */
const MARGIN = '600px';

/** Has this been near the window? What is large waits for it; where nobody can tell, it is near. */
export function useNear(of: RefObject<Element | null>): boolean {
  const [near, setNear] = useState(() => !('IntersectionObserver' in globalThis));
  useEffect(() => {
    const element = of.current;
    if (near || !element) return;
    const observer = new IntersectionObserver(([entry]) => entry?.isIntersecting && setNear(true), { rootMargin: MARGIN });
    observer.observe(element);
    return () => observer.disconnect();
  }, [of, near]);
  return near;
}
