/** Everything the pages need of the world outside them. A test hands in its own; nothing else reaches past it. */
export type Outside = {
  fetch: typeof fetch;
  now: () => Date;
  /** Where the browser is, whatever is drawn. */
  path: () => string;
  /** Waits so long before something is tried again. */
  wait: (ms: number) => Promise<void>;
  /** What this browser remembers by itself: the theme, and the bench day that is being worked through. */
  remember: (key: string, value: string | null) => void;
  recall: (key: string) => string | null;
  startWorker: (make: () => Worker) => Worker;
  /** Tells the other tabs of this browser, and hears them. */
  channel: (name: string) => { tell: (what: unknown) => void; hear: (heard: (what: unknown) => void) => void };
  /** Does something when this is the only tab that does, or the one before is gone. */
  asTheOnlyTab: (name: string, work: () => void) => void;
  /** Does something while no other tab does the same; another one waits. */
  oneAtATime: <T>(name: string, work: () => Promise<T>) => Promise<T>;
  /** Calls when this device says that its network came or went. */
  onNetwork: (changed: (isThere: boolean) => void) => void;
  /** Holds a line of server-sent events. A broken one comes back by itself; of one that was refused one is told. */
  listen: (address: string, told: { heard: (id: string, data: string) => void; refused: () => void }) => void;
  /** Calls when this page was asleep and may have missed something. */
  onReturn: (back: () => void) => void;
  /** Keeps the screen of this device lit until what it answers is called, where the device does that. */
  stayAwake: () => () => void;
  voice: Voice;
};

/** What speaks on this device itself: a voice that asks a service elsewhere is none. */
export type Voice = {
  isThere: () => boolean;
  /** Calls when voices have come or gone, until what it answers is called. */
  onChange: (changed: () => void) => () => void;
  /** Says this instead of what it was saying. */
  say: (words: string) => void;
  hush: () => void;
};

/** A voice of this device for the language of the pages. */
const ownVoice = (): SpeechSynthesisVoice | null =>
  'speechSynthesis' in globalThis
    ? (speechSynthesis.getVoices().find(({ localService, lang }) => localService && lang.toLowerCase().startsWith('en')) ?? null)
    : null;

const VOICE: Voice = {
  isThere: () => ownVoice() !== null,
  onChange: (changed) => {
    if (!('speechSynthesis' in globalThis)) return () => {};
    speechSynthesis.addEventListener('voiceschanged', changed);
    return () => speechSynthesis.removeEventListener('voiceschanged', changed);
  },
  say: (words) => {
    const voice = ownVoice();
    if (!voice) return;
    speechSynthesis.cancel();
    const told = new SpeechSynthesisUtterance(words);
    told.voice = voice;
    speechSynthesis.speak(told);
  },
  hush: () => {
    if ('speechSynthesis' in globalThis) speechSynthesis.cancel();
  },
};

function stayAwake(): () => void {
  if (!('wakeLock' in navigator)) return () => {};
  let lock: WakeLockSentinel | null = null;
  let isOver = false;
  const take = async () => {
    if (isOver || document.visibilityState !== 'visible') return;
    try {
      lock = await navigator.wakeLock.request('screen');
      if (isOver) await lock.release();
    } catch {
      // A device that saves its battery refuses: then it goes dark as it always does.
    }
  };
  // It is let go whenever the page is not seen, and taken again when it is.
  const seen = () => void take();
  document.addEventListener('visibilitychange', seen);
  seen();
  return () => {
    isOver = true;
    document.removeEventListener('visibilitychange', seen);
    void lock?.release();
  };
}

const THIS_BROWSER: Outside = {
  fetch: (input, init) => globalThis.fetch(input, init),
  now: () => new Date(),
  path: () => window.location.pathname,
  wait: (ms) => new Promise((resolve) => setTimeout(resolve, ms)),
  remember: (key, value) => (value === null ? globalThis.localStorage.removeItem(key) : globalThis.localStorage.setItem(key, value)),
  recall: (key) => globalThis.localStorage.getItem(key),
  startWorker: (make) => make(),
  channel: (name) => {
    const channel = new BroadcastChannel(name);
    return { tell: (what) => channel.postMessage(what), hear: (heard) => void (channel.onmessage = ({ data }) => heard(data)) };
  },
  asTheOnlyTab: (name, work) => {
    const forGood = new Promise<never>(() => {});
    // Over plain HTTP from another machine there are no locks: then each tab does it for itself.
    if (!('locks' in navigator)) return work();
    void navigator.locks.request(name, () => (work(), forGood));
  },
  oneAtATime: (name, work) => ('locks' in navigator ? navigator.locks.request(`${name} now`, work) : work()),
  onNetwork: (changed) => {
    window.addEventListener('online', () => changed(true));
    window.addEventListener('offline', () => changed(false));
  },
  listen: (address, { heard, refused }) => {
    const line = new EventSource(address);
    line.onmessage = ({ lastEventId, data }: MessageEvent<string>) => heard(lastEventId, data);
    line.onerror = () => {
      if (line.readyState === EventSource.CLOSED) refused();
    };
  },
  onReturn: (back) => {
    document.addEventListener('resume', back);
    window.addEventListener('pageshow', ({ persisted }) => persisted && back());
  },
  stayAwake,
  voice: VOICE,
};

export const outside: Outside = { ...THIS_BROWSER };

/** Puts something else in its place; call what it gives back to have the browser again. */
export function replaceOutside(change: Partial<Outside>): () => void {
  Object.assign(outside, change);
  return () => void Object.assign(outside, THIS_BROWSER);
}
