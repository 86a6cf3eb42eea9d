import type { UseQueryResult } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import type { Versioned } from './SavedDocument';
import { newerIn } from './http';

/**
 * What a form was opened with, whatever is fetched meanwhile: it saves on top of that, so that nothing is written over
 * unseen. Who was refused as stale has been told, and saves on top of the newer row.
 */
export function useOpened<Row extends Versioned>(row: Row) {
  const [opened] = useState(row);
  const version = useRef(row.version);
  const saveOver = async <Saved>(save: (version: number) => Promise<Saved>): Promise<Saved> => {
    try {
      return await save(version.current);
    } catch (error) {
      version.current = newerIn<Row>(error)?.version ?? version.current;
      throw error;
    }
  };
  return { opened, saveOver };
}

type Query = Pick<UseQueryResult, 'isPending' | 'isStale' | 'isFetchedAfterMount'>;

/** Whether a form may open: what was remembered from before and may have changed since is asked for first. Once it is open, it stays. */
export function useUpToDate({ isPending, isStale, isFetchedAfterMount }: Query): boolean {
  const [isOpen, open] = useState(false);
  const mayOpen = !isPending && (!isStale || isFetchedAfterMount);
  if (mayOpen && !isOpen) open(true);
  return isOpen || mayOpen;
}
