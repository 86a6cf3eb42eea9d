import type { IncomingMessage } from 'node:http';
import proxyAddress from 'proxy-addr';

/** A reverse proxy in front, which has the certificate: under which name it is asked, and from where it comes. */
export type ProxyInFront = { name: string; from: string[] };

/** @throws RangeError naming what is no address, and no network of them. */
export function proxyInFront(name: string, from: string): ProxyInFront {
  const all = from.split(',').map((one) => one.trim());
  try {
    proxyAddress.compile(all);
  } catch {
    throw new RangeError(`PROXY_FROM is "${from}"; give addresses or networks with commas between, like 127.0.0.1 or 10.0.0.0/8.`);
  }
  return { name: name.toLowerCase(), from: all };
}

/**
 * Whose doing a request is that came through a proxy: only what comes from the proxy's own address is heard, only what
 * was encrypted before it, and of the addresses it tells (X-Forwarded-For, common practice) the nearest that is no proxy.
 */
export function sourceBehind({ from }: ProxyInFront): (request: IncomingMessage) => string | null {
  const isProxy = proxyAddress.compile(from);
  return (request) => {
    const { remoteAddress } = request.socket;
    if (!remoteAddress || !isProxy(remoteAddress, 0)) return null;
    if (request.headers['x-forwarded-proto'] !== 'https' || request.headers['x-forwarded-for'] === undefined) return null;
    return proxyAddress(request, isProxy);
  };
}
