import { useEffect, useState } from 'react';

/** The present instant, again and again; a countdown on screen is read off it. Stands still when `everyMs` is null. */
export function useNow(everyMs: number | null): Date {
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    if (everyMs === null) return;
    const tick = () => setNow(new Date());
    tick();
    const timer = setInterval(tick, everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}
