import { proxy } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { FrameReading, Told } from '../../workers/frame.worker';
import { startWorker, type Running } from '../../workers/port';

export type Reading =
  | { state: 'idle' }
  | { state: 'reading'; name: string; done: number }
  | { state: 'read'; file: File; reading: FrameReading }
  | { state: 'failed'; name: string; why: Told<never> | { fault: string } };

/** Reads frames in a worker of their own: started with a file, ended with it, whether it was read or given up. */
export function useFrameReading(): { reading: Reading; read: (file: File) => void; cancel: () => void } {
  const [reading, setReading] = useState<Reading>({ state: 'idle' });
  const running = useRef<Running<'frame'> | null>(null);
  const end = useCallback(() => {
    running.current?.end();
    running.current = null;
  }, []);
  useEffect(() => end, [end]);
  const read = useCallback(
    (file: File) => {
      end();
      const own = startWorker('frame');
      running.current = own;
      // What a worker says that was given up is not heard any more.
      const say = (next: Reading) => running.current === own && setReading(next);
      setReading({ state: 'reading', name: file.name, done: 0 });
      own.api
        .readFrame(
          file,
          proxy((done: number) => void say({ state: 'reading', name: file.name, done })),
        )
        .then((told) => say('read' in told ? { state: 'read', file, reading: told.read } : { state: 'failed', name: file.name, why: told }))
        .catch((error: Error) => say({ state: 'failed', name: file.name, why: { fault: error.message } }))
        .finally(() => running.current === own && end());
    },
    [end],
  );
  const cancel = useCallback(() => {
    end();
    setReading({ state: 'idle' });
  }, [end]);
  return { reading, read, cancel };
}
