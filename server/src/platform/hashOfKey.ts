import { createHash } from 'node:crypto';

/** What is kept of a key that is shown to come in: keys are random and long, so their SHA-256 needs no salt. */
export const hashOfKey = (key: string): string => createHash('sha256').update(key).digest('hex');
