import type { NextFunction, Request, Response } from 'express';

const LOCAL_NAMES = ['localhost', '127.0.0.1', '[::1]'];

const nameOf = (host: string) => host.replace(/:\d+$/, '');
const isLocal = (host: string | undefined) => host !== undefined && LOCAL_NAMES.includes(nameOf(host));

function originIsLocal(origin: string | undefined): boolean {
  if (origin === undefined) return true;
  try {
    return isLocal(new URL(origin).host);
  } catch {
    return false;
  }
}

/**
 * Answers only requests that were addressed to this machine and, when a page sent them, sent by a page of this
 * machine: a foreign web page in the same browser must not reach the keeper's data.
 */
export function localOnly(request: Request, response: Response, next: NextFunction): void {
  if (isLocal(request.headers.host) && originIsLocal(request.headers.origin)) return next();
  response
    .status(403)
    .type('application/problem+json')
    .send(
      JSON.stringify({
        type: 'about:blank',
        title: 'Not from here',
        status: 403,
        code: 'not-local',
        detail: 'Open Bright Keeper on the machine it runs on, by the address it printed.',
      }),
    );
}
