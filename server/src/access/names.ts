import { isIPv4 } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';
import { isNearby } from '../platform/index.js';

/** By what a machine is called on its network. */
export type Names = { dns: string[]; ips: string[] };

/** A label of a name (RFC 1123): anything else in a machine's own name is left out. */
const LABEL = /^[a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?$/;
const LOOPBACK = /^127\./;

/**
 * The names and addresses of this machine on its own network; itself first asked for by name (RFC 6762: `.local`), then
 * by each private IPv4 address. An address that anybody in the world can reach is none of them.
 */
export function namesHere(interfaces = networkInterfaces(), host = hostname()): Names {
  const label = host.split('.')[0]!.toLowerCase();
  const ips = Object.values(interfaces)
    .flatMap((all) => all ?? [])
    .filter(({ address, internal }) => !internal && isIPv4(address) && !LOOPBACK.test(address) && isNearby(address))
    .map(({ address }) => address);
  return { dns: LABEL.test(label) && label !== 'localhost' ? [`${label}.local`] : [], ips: [...new Set(ips)] };
}

/** Where one reaches it from itself: answered at the door for the network, too, so that it can be tried here first. */
export const ITSELF: Names = { dns: ['localhost'], ips: ['127.0.0.1'] };

export const sameNames = (a: Names, b: Names): boolean => a.dns.join() === b.dns.join() && a.ips.join() === b.ips.join();
