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

/** Where rented machines keep what only their owner may know (common practice): link-local, and no neighbour. */
const NOT_A_NEIGHBOUR = '169.254.169.254';

export const isNearby = (address: string): boolean => {
  const family = isIP(address);
  return family !== 0 && address !== NOT_A_NEIGHBOUR && NEARBY.check(address, family === 6 ? 'ipv6' : 'ipv4');
};
