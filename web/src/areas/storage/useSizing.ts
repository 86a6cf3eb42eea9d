import type { storage } from '@bright-keeper/core';
import { useEffect, useState } from 'react';
import { useWorker } from '../../workers/useWorker';

type Question = Omit<storage.SizingQuestion, 'kind'>;
export type Sizes = Record<storage.DesiccantKind, storage.Sizing>;

/** How much of each desiccant it would take; the last answer stands until the next one comes. */
export function useSizing(question: Question): { sizes: Sizes | null; error: unknown } {
  const worker = useWorker('box');
  const [sizes, setSizes] = useState<Sizes | null>(null);
  const [error, setError] = useState<unknown>(null);
  const text = JSON.stringify(question);
  useEffect(() => {
    let asked = true;
    worker()
      .size(JSON.parse(text) as Question)
      .then(
        (found) => asked && setSizes(found),
        (failure: unknown) => asked && setError(failure),
      );
    return () => void (asked = false);
  }, [worker, text]);
  return { sizes, error };
}
