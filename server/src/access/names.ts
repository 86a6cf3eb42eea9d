import { isIPv4 } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';
import { isNearby } from '../platform/index.js';

/** By what a machine is called on its network. */
export type Names = { dns: string[]; ips: string[] };

/** A label of a name (RFC 1123): anything else in a machine's own name is left out. */
const LABEL = /^[a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?$/;
const LOOPBACK = /^127\./;

/** Ends of names that no site of the world has: multicast (RFC 6762), homes (RFC 8375), and what routers use (common practice). */
export const HOME_ENDS = ['local', 'home.arpa', 'internal', 'lan', 'localhost'];
const endsAtHome = (name: string): boolean => HOME_ENDS.some((end) => name === end || name.endsWith(`.${end}`));

/**
 * Names that the keeper's own network has for this machine, as they are written with commas between.
 *
 * @throws RangeError naming what is no name, or one that may be somebody's in the world.
 */
export function namesGiven(text: string): string[] {
  const names = text.split(',').map((name) => name.trim().toLowerCase());
  const wrong = names.find((name) => !name.split('.').every((label) => LABEL.test(label)) || !endsAtHome(name));
  if (wrong !== undefined)
    throw new RangeError(
      `NETWORK_NAMES names "${wrong}"; give names that end in ${HOME_ENDS.slice(0, 4)
        .map((end) => `.${end}`)
        .join(', ')}.`,
    );
  return names;
}

/** Whether a name is found by asking everybody on the network, and not a server of names. */
export const isMulticast = (name: string): boolean => name.endsWith('.local');

/**
 * The names and addresses of this machine on its own network: its own name in `.local`, those its network has for it, and
 * each private IPv4 address. An address that anybody in the world can reach is none of them.
 */
export function namesHere(given: readonly string[], interfaces = networkInterfaces(), host = hostname()): Names {
  const label = host.split('.')[0]!.toLowerCase();
  const ips = Object.values(interfaces)
    .flatMap((all) => all ?? [])
    .filter(({ address, internal }) => !internal && isIPv4(address) && !LOOPBACK.test(address) && isNearby(address))
    .map(({ address }) => address);
  const own = LABEL.test(label) && label !== 'localhost' ? [`${label}.local`] : [];
  return { dns: [...new Set([...own, ...given])], ips: [...new Set(ips)] };
}

/** Where one reaches it from itself: answered at the door for the network, too, so that it can be tried here first. */
export const ITSELF: Names = { dns: ['localhost'], ips: ['127.0.0.1'] };
