import { proxy } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Told } from '../../workers/frame.worker';
import { startWorker, type Running } from '../../workers/port';

export type Reading<T> = { state: 'idle' } | { state: 'reading'; name: string; done: number } | { state: 'read'; file: File; read: T };
/** A file that could not be read, and why. */
export type Failed = { name: string; why: Told<never> | { fault: string } };
type Api = Running<'frame'>['api'];

/**
 * Reads pictures one after another in a worker of their own: started with a file, ended with it, whether it was read or
 * given up. What was read waits until `next` is called; what could not be read is told, and the one after it is begun.
 *
 * @param run what is read of a file.
 */
export function useReading<T>(run: (api: Api, file: File, onProgress: (done: number) => void) => Promise<Told<T>>) {
  const [reading, setReading] = useState<Reading<T>>({ state: 'idle' });
  const [failed, setFailed] = useState<Failed[]>([]);
  const [waiting, setWaiting] = useState<File[]>([]);
  const running = useRef<Running<'frame'> | null>(null);
  const end = useCallback(() => {
    running.current?.end();
    running.current = null;
  }, []);
  useEffect(() => end, [end]);
  const begin = (files: readonly File[]): void => {
    end();
    const [file, ...rest] = files;
    setWaiting(rest);
    if (!file) return setReading({ state: 'idle' });
    const own = startWorker('frame');
    running.current = own;
    // What a worker says that was given up is not heard any more.
    const isCurrent = () => running.current === own;
    const fail = (why: Failed['why']) => {
      setFailed((all) => [...all, { name: file.name, why }]);
      begin(rest);
    };
    setReading({ state: 'reading', name: file.name, done: 0 });
    const onProgress = proxy((done: number) => isCurrent() && setReading({ state: 'reading', name: file.name, done }));
    run(own.api, file, onProgress)
      .then((told) => {
        if (!isCurrent()) return;
        if (!('read' in told)) return fail(told);
        end();
        setReading({ state: 'read', file, read: told.read });
      })
      .catch((error: Error) => isCurrent() && fail({ fault: error.message }));
  };
  return {
    reading,
    failed,
    waiting: waiting.length,
    /** In the order in which they were taken, as far as the files tell. */
    read: (files: readonly File[]) => {
      setFailed([]);
      begin([...files].sort((a, b) => a.lastModified - b.lastModified));
    },
    next: () => begin(waiting),
    /** Once more, with what is told of it now. */
    again: (file: File) => begin([file, ...waiting]),
    cancel: () => begin([]),
  };
}
