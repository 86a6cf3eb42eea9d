import { useCallback, useRef, useState } from 'react';
import { ApiError } from './http';

/** Something with a version that is sent whole after every change. */
type Versioned = { version: number };
export type SaveState = 'saved' | 'saving' | 'retrying' | 'conflict';

const RETRY_MS = 2_000;

type Options<Doc extends Versioned, Draft> = {
  loaded: Doc;
  draftOf: (doc: Doc) => Draft;
  save: (version: number, draft: Draft) => Promise<Doc>;
  onSaved: (doc: Doc) => void;
};

/**
 * Keeps a draft on screen and the server in step with it: each change is applied at once and sent in turn, one
 * request at a time; when the server is silent the same state is sent again until it answers, also after the screen
 * has gone. A change made
 * elsewhere in the meantime stops the sending and offers the newer version.
 */
export function useSavedDocument<Doc extends Versioned, Draft>({ loaded, draftOf, save, onSaved }: Options<Doc, Draft>) {
  const [draft, setDraft] = useState(() => draftOf(loaded));
  const [state, setState] = useState<SaveState>('saved');
  const [newer, setNewer] = useState<Doc | null>(null);
  const version = useRef(loaded.version);
  const wanted = useRef(draft);
  const sent = useRef(JSON.stringify(draft));
  const running = useRef<Promise<void> | null>(null);

  const flush = useCallback(async (): Promise<void> => {
    while (JSON.stringify(wanted.current) !== sent.current) {
      const sending = wanted.current;
      setState((s) => (s === 'retrying' ? s : 'saving'));
      try {
        const doc = await save(version.current, sending);
        version.current = doc.version;
        sent.current = JSON.stringify(sending);
        onSaved(doc);
      } catch (error) {
        const current = error instanceof ApiError && error.problem.code === 'stale' ? (error.problem.current as Doc) : null;
        if (current && JSON.stringify(draftOf(current)) === JSON.stringify(sending)) {
          // It had arrived after all; only the answer was lost.
          version.current = current.version;
          sent.current = JSON.stringify(sending);
          continue;
        }
        if (!(error instanceof ApiError && error.isOffline)) {
          setNewer(current);
          setState('conflict');
          throw error;
        }
        setState('retrying');
        await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
      }
    }
    setState('saved');
  }, [save, onSaved, draftOf]);

  const start = useCallback((): Promise<void> => {
    running.current ??= flush().finally(() => (running.current = null));
    return running.current;
  }, [flush]);

  const change = useCallback(
    (next: Draft) => {
      wanted.current = next;
      setDraft(next);
      start().catch(() => undefined);
    },
    [start],
  );

  /** Takes over the newer version and forgets the draft on screen. */
  const takeNewer = useCallback(
    (doc: Doc) => {
      version.current = doc.version;
      wanted.current = draftOf(doc);
      sent.current = JSON.stringify(wanted.current);
      setDraft(wanted.current);
      setNewer(null);
      setState('saved');
      onSaved(doc);
    },
    [draftOf, onSaved],
  );

  /** Waits until everything is on the server and gives the version it has there. */
  const settled = useCallback(async (): Promise<number> => {
    await start();
    return version.current;
  }, [start]);

  return { draft, change, state, newer, takeNewer, settled };
}
