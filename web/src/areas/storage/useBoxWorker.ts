import { useCallback, useEffect, useRef } from 'react';
import { startWorker, type Running } from '../../workers/port';

/** The worker of this page: started with its first question, ended with the page. */
export function useBoxWorker(): () => Running<'box'>['api'] {
  const kept = useRef<Running<'box'> | null>(null);
  useEffect(
    () => () => {
      kept.current?.end();
      kept.current = null;
    },
    [],
  );
  return useCallback(() => (kept.current ??= startWorker('box')).api, []);
}
