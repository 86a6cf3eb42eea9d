import type { IncomingMessage } from 'node:http';

/** By which way a request came in, and what holds for all that come by it. */
export type Door = {
  /** This machine itself; its network, encrypted; or its network, unencrypted. */
  kind: 'machine' | 'network' | 'unencrypted';
  /** As which the pages that come by it were opened. */
  scheme: 'http' | 'https';
  /** Whether a host is asked for by one of our names; without its port. */
  isOurs: (host: string) => boolean;
  /** Whose doing it is: the address it came from. Null where whoever sent it had no business here. */
  sourceOf: (request: IncomingMessage) => string | null;
};

const LOCAL_NAMES = new Set(['localhost', '127.0.0.1', '[::1]']);
/** What a proxy adds to what it passes on (RFC 7239, RFC 9110 7.6.3; X-…: common practice). */
const OF_A_PROXY = ['forwarded', 'via', 'x-forwarded-for', 'x-forwarded-host', 'x-forwarded-proto', 'x-real-ip'];

/** Whoever is on this machine is in, but not whoever is let through by a program on it. */
const OWN_DOOR: Door = {
  kind: 'machine',
  scheme: 'http',
  isOurs: (host) => LOCAL_NAMES.has(host),
  sourceOf: ({ headers, socket }) => (OF_A_PROXY.some((name) => headers[name] !== undefined) ? null : (socket.remoteAddress ?? '')),
};

const cameBy = new WeakMap<IncomingMessage, Door>();

/** To be called before anything else hears of a request. */
export const enter = (door: Door, request: IncomingMessage): void => void cameBy.set(request, door);

/** The door a request came in by: the machine's own, unless it was noted at another one. */
export const doorOf = (request: IncomingMessage): Door => cameBy.get(request) ?? OWN_DOOR;
