import { airErrors } from '@bright-keeper/contract';
import { problem } from '../http/index.js';

/** The key that somebody shows as Bearer (RFC 6750, 2.1). @throws ProblemError where there is none. */
export function keyShown(authorization: string | undefined): string {
  const key = /^Bearer\s+(\S+)$/i.exec(authorization ?? '')?.[1];
  if (!key) throw problem(airErrors, 'bad-token');
  return key;
}
