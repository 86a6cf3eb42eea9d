import { useCallback, useEffect, useRef, useState } from 'react';
import { startWorker, type Running } from '../../../workers/port';
import type { Heads } from '../../../workers/heads/read';
import { allOf, isTimeToTell, NO_HEADS, type AllHeads } from './allHeads';

/** So many files at a time: a stop is heard between two of them. */
const BATCH = 50;

export type HeadsState = { state: 'none' | 'reading' | 'stopped' | 'read'; done: number; total: number; fault: string | null };
const AT_REST: HeadsState = { state: 'none', done: 0, total: 0, fault: null };

/**
 * Reads the heads of many files in a worker, a batch after the other: it can be stopped between two, taken up, and added to.
 * Nothing is kept of a file but what its head told.
 */
export function useHeads() {
  const [state, setState] = useState(AT_REST);
  const [heads, setHeads] = useState<AllHeads>(NO_HEADS);
  const queue = useRef<{ files: File[]; withPlace: boolean; done: number }>({ files: [], withPlace: false, done: 0 });
  const batches = useRef<{ all: Heads[]; told: number }>({ all: [], told: 0 });
  const running = useRef<Running<'heads'> | null>(null);
  const end = useCallback(() => {
    running.current?.end();
    running.current = null;
  }, []);
  useEffect(() => end, [end]);

  const tell = (): void => {
    batches.current.told = queue.current.done;
    setHeads(allOf(batches.current.all));
  };

  const run = async (): Promise<void> => {
    end();
    const own = startWorker('heads');
    running.current = own;
    const isCurrent = () => running.current === own;
    const told = (is: HeadsState['state'], fault: string | null = null) =>
      setState({ state: is, done: queue.current.done, total: queue.current.files.length, fault });
    told('reading');
    try {
      while (queue.current.done < queue.current.files.length) {
        const { files, done, withPlace } = queue.current;
        const some = files.slice(done, done + BATCH);
        const read = await own.api.readHeads(some, withPlace);
        if (!isCurrent()) return;
        queue.current.done += some.length;
        batches.current.all.push(read);
        if (isTimeToTell(batches.current.told, queue.current.done)) tell();
        told('reading');
      }
      end();
      tell();
      told('read');
    } catch (error) {
      if (!isCurrent()) return;
      end();
      tell();
      told('stopped', (error as Error).message);
    }
  };

  return {
    ...state,
    heads,
    /** Reads these as well. */
    read: (files: readonly File[], withPlace: boolean): void => {
      if (files.length === 0) return;
      const { files: before, done } = queue.current;
      queue.current = { files: [...before, ...files], withPlace, done };
      if (!running.current) void run();
    },
    stop: (): void => {
      end();
      tell();
      setState((was) => ({ ...was, state: 'stopped' }));
    },
    goOn: (): void => void run(),
    /** Forgets all of it. */
    clear: (): void => {
      end();
      queue.current = { files: [], withPlace: false, done: 0 };
      batches.current = { all: [], told: 0 };
      setHeads(NO_HEADS);
      setState(AT_REST);
    },
  };
}
export type ReadingHeads = ReturnType<typeof useHeads>;
