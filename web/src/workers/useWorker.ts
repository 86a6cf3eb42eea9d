import { useCallback, useEffect, useRef } from 'react';
import { startWorker, type Running, type WorkerName } from './port';

/** A worker of this page: started with its first question, ended with the page. */
export function useWorker<Name extends WorkerName>(name: Name): () => Running<Name>['api'] {
  const kept = useRef<Running<Name> | null>(null);
  useEffect(
    () => () => {
      kept.current?.end();
      kept.current = null;
    },
    [],
  );
  return useCallback(() => (kept.current ??= startWorker(name)).api, [name]);
}
