import { MS_PER_MINUTE } from '@bright-keeper/core';
import { commonErrors } from '@bright-keeper/contract';
import { rateLimit } from 'express-rate-limit';
import type { Request, RequestHandler } from 'express';
import { problem, sendProblem } from './problem.js';

/** A device with a wrong key tries every few seconds; who guesses would need a billion years at this. */
const WRONG_KEYS_A_MINUTE = 60;

/** So many right keys are remembered; a household has a few. */
const MOST_KNOWN = 1000;

/** The key of a request: what it shows, or the secret address it asks for. */
const keyOf = ({ headers, originalUrl }: Request): string => headers.authorization ?? originalUrl;
const isRight = (status: number): boolean => status !== 401 && status !== 404;

/**
 * Turns away, for the rest of a minute, whoever keeps coming with keys that open nothing. A key that has opened something
 * passes all the same: a device with a wrong key on the same machine silences no other.
 */
export function againstGuessing(): RequestHandler[] {
  const known = new Set<string>();
  const remember: RequestHandler = (request, response, next) => {
    response.once('finish', () => {
      if (response.statusCode < 400 && known.size < MOST_KNOWN) known.add(keyOf(request));
      else if (!isRight(response.statusCode)) known.delete(keyOf(request));
    });
    next();
  };
  const limit = rateLimit({
    windowMs: MS_PER_MINUTE,
    limit: WRONG_KEYS_A_MINUTE,
    skip: (request) => known.has(keyOf(request)),
    skipSuccessfulRequests: true,
    requestWasSuccessful: (_, response) => isRight(response.statusCode),
    standardHeaders: 'draft-7',
    legacyHeaders: false,
    handler: (_, response) => sendProblem(response, problem(commonErrors, 'too-often')),
  });
  return [remember, limit];
}
