import type { Request } from 'express';

/** The key that a hygrometer shows in its header, or a calendar in its address; null where there is none. */
export const keyShown = ({ headers, path }: Request): string | null =>
  /^Bearer\s+(\S+)$/i.exec(headers.authorization ?? '')?.[1] ?? /\/([^/]+)\.ics$/.exec(path)?.[1] ?? null;
