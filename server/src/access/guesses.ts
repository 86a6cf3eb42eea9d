import { accessErrors, sameName } from '@bright-keeper/contract';
import { MS_PER_MINUTE } from '@bright-keeper/core';
import type { Request, RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { problem, sendProblem } from '../http/index.js';
import { LIMITS } from '../limits.js';
import { askerOf } from './asker.js';

const WHILE_MS = 15 * MS_PER_MINUTE;

/** Whose passphrase is guessed at, where a name is given along with it. */
function nameGiven({ body }: Request): string | null {
  const { keeper } = (body ?? {}) as { keeper?: unknown };
  return typeof keeper === 'string' && keeper !== '' ? sameName(keeper) : null;
}

const slowed = (limit: number, keyOf: (request: Request) => string | null): RequestHandler =>
  rateLimit({
    windowMs: WHILE_MS,
    limit,
    keyGenerator: (request) => keyOf(request) ?? '',
    // Whoever sits at the machine needs no passphrase to begin with.
    skip: (request) => askerOf(request).from === 'machine' || keyOf(request) === null,
    skipSuccessfulRequests: true,
    requestWasSuccessful: (_, { statusCode }) => statusCode !== 401,
    standardHeaders: 'draft-7',
    legacyHeaders: false,
    handler: (_, response) => sendProblem(response, problem(accessErrors, 'guessed-too-often')),
  });

/** Slows whoever guesses passphrases and codes: one address, at one keeper, and all together, since addresses are easily changed. */
export const slowGuesses = (): RequestHandler[] => [
  slowed(LIMITS.access.wrongOfOne, (request) => askerOf(request).source),
  slowed(LIMITS.access.wrongAtOne, nameGiven),
  slowed(LIMITS.access.wrongOfAll, () => 'everybody'),
];
