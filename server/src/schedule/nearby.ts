import { lookup } from 'node:dns/promises';
import { BlockList, isIP } from 'node:net';

/** This machine and its own network (RFC 1918, RFC 4193, link-local and loopback): the only addresses that are fetched. */
const NEARBY = new BlockList();
NEARBY.addSubnet('127.0.0.0', 8, 'ipv4');
NEARBY.addSubnet('10.0.0.0', 8, 'ipv4');
NEARBY.addSubnet('172.16.0.0', 12, 'ipv4');
NEARBY.addSubnet('192.168.0.0', 16, 'ipv4');
NEARBY.addSubnet('169.254.0.0', 16, 'ipv4');
NEARBY.addAddress('::1', 'ipv6');
NEARBY.addSubnet('fc00::', 7, 'ipv6');
NEARBY.addSubnet('fe80::', 10, 'ipv6');

export const isNearby = (address: string): boolean => {
  const family = isIP(address);
  return family !== 0 && NEARBY.check(address, family === 6 ? 'ipv6' : 'ipv4');
};

/** Does every address a name stands for lie on this network? A name nobody knows does not. */
export async function leadsNearby(url: URL): Promise<boolean> {
  const host = url.hostname.replace(/^\[|\]$/g, '');
  if (isIP(host)) return isNearby(host);
  try {
    const found = await lookup(host, { all: true });
    return found.length > 0 && found.every(({ address }) => isNearby(address));
  } catch {
    return false;
  }
}
