import { useEffect, useState } from 'react';
import { outside } from '../outside';

/** The present instant, again and again; a countdown on screen is read off it. Stands still when `everyMs` is null. */
export function useNow(everyMs: number | null): Date {
  const [now, setNow] = useState(outside.now);
  useEffect(() => {
    if (everyMs === null) return;
    const tick = () => setNow(outside.now());
    tick();
    const timer = setInterval(tick, everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}
