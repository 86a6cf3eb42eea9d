import type { LoggerService } from '@nestjs/common';
import { pino, stdTimeFunctions } from 'pino';

/**
 * What happens, one line of JSON each on the standard error, where nobody's text can begin a line of its own. What is
 * told is chosen with `BRIGHT_KEEPER_LOG`: `error`, `warn` (usual), or `info` for each request.
 */
export const log = pino(
  { name: 'bright-keeper', level: process.env.BRIGHT_KEEPER_LOG ?? 'warn', base: null, timestamp: stdTimeFunctions.isoTime },
  process.stderr,
);

/** The framework's own messages go the same way. */
export const frameworkLog: LoggerService = {
  log: (message: unknown, where?: unknown) => log.debug({ where }, String(message)),
  warn: (message: unknown, where?: unknown) => log.warn({ where }, String(message)),
  error: (message: unknown, ...more: unknown[]) => log.error({ where: more.at(-1) }, String(message)),
};
