import type { CertificateSource } from './certificate.js';
import type { Names } from './names.js';
import type { ProxyInFront } from './proxy.js';

/** How a program can be opened to its network. */
export type NetworkOptions = {
  /** Where it is answered encrypted, and where a phone begins that does not trust it yet. */
  port: number;
  beginPort: number;
  certificates: CertificateSource;
  /** A reverse proxy in front, which has the certificate instead. */
  proxy: ProxyInFront | null;
  namesNow: () => Names;
  /** Whether it answers for its name on the network itself (RFC 6762). */
  tellsName: boolean;
};

/** The token under which the services are handed it; null for a program that answers its own machine only. */
export const NETWORK_OPTIONS = Symbol('how it can be opened to its network');
