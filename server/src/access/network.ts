import type { NetworkState, NetworkTrouble } from '@bright-keeper/contract';
import { MS_PER_MINUTE } from '@bright-keeper/core';
import { createServer as createPlain, type IncomingMessage, type RequestListener, type Server } from 'node:http';
import { createServer as createEncrypted, type Server as EncryptedServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { type Door, enter } from '../http/index.js';
import { isNearby, log, type Clock } from '../platform/index.js';
import type { Certificate } from './certificate.js';
import { MulticastName } from './multicastName.js';
import { isMulticast, ITSELF, type Names } from './names.js';
import type { NetworkOptions } from './options.js';
import { sourceBehind } from './proxy.js';

/** So often it is looked whether the machine is called otherwise, the certificate nears its end, or a taken port is free. */
const LOOK_MS = MS_PER_MINUTE;
/** Whoever opens a line and says nothing has so long. */
const HANDSHAKE_MS = 20_000;
/** How long those who are being answered have when it is closed. */
const PATIENCE_MS = 2_000;
/** Nobody's household has more lines open at once; a neighbour who opens more takes none of the machine's own. */
const MOST_LINES = 1_500;
const EVERY_ADDRESS = '0.0.0.0';

const THIS_MACHINE = '127.0.0.1';
const isLoopback = (address: string): boolean => /^(127\.|::1$)/.test(address);

/** @throws an error of the system where the port cannot be had. */
const listening = (server: Server, port: number, address: string): Promise<void> =>
  new Promise((resolve, reject) => {
    server.maxConnections = MOST_LINES;
    server.once('error', reject);
    server.listen(port, address, () => {
      server.off('error', reject);
      server.on('error', (error) => log.warn({ error: error.message }, 'the network'));
      resolve();
    });
  });

const ended = (server: Server): Promise<void> =>
  new Promise((resolve) => {
    const impatient = setTimeout(() => server.closeAllConnections(), PATIENCE_MS);
    server.close(() => {
      clearTimeout(impatient);
      resolve();
    });
    server.closeIdleConnections();
  });

const portOf = (server: Server): number => (server.address() as AddressInfo).port;

/** Where a host of a certificate is named, as far as a wildcard reaches (RFC 6125 6.4.3: one label). */
const isNamed = ({ dns, ips }: Names, host: string): boolean =>
  ips.includes(host) || dns.some((name) => name === host || (name.startsWith('*.') && name.slice(1) === host.slice(host.indexOf('.'))));

/** Whoever is on the network itself; nobody from the wide world, whatever way they found. */
const neighbour = ({ socket: { remoteAddress } }: IncomingMessage): string | null =>
  remoteAddress && isNearby(remoteAddress) ? remoteAddress : null;

const at =
  (door: Door, answer: RequestListener): RequestListener =>
  (request, response) => {
    enter(door, request);
    answer(request, response);
  };

/** What stands at the port of the network: an encrypted server, or a plain one that hears a proxy alone. */
type Front = { server: Server; /** Null behind a proxy, which has one. */ certificate: Certificate | null };
type Open = Front & { begin: Server; name: MulticastName | null; nameIsOurs: boolean };

const tlsOf = ({ key, certificate }: Certificate) => ({ key, cert: certificate, minVersion: 'TLSv1.2' }) as const;

/** The doors to the network: one that is encrypted, and beside it one in plain HTTP where a phone is told how to trust it. */
export class Network {
  private answer: RequestListener | null = null;
  private now: Open | null = null;
  private wanted = false;
  private trouble: NetworkTrouble | null = null;
  private looking: NodeJS.Timeout | null = null;
  /** One thing after the other. */
  private turn: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly options: NetworkOptions | null,
    private readonly clock: Clock,
  ) {}

  get isPossible(): boolean {
    return this.options !== null && this.answer !== null;
  }

  get certificate(): Certificate | null {
    return this.now?.certificate ?? null;
  }

  /** The port on which it is answered encrypted; null while it is not. */
  get port(): number | null {
    return this.now && portOf(this.now.server);
  }

  /** Names who answers, by whichever door somebody came. */
  serve(answer: RequestListener): void {
    this.answer = answer;
  }

  open(): Promise<void> {
    this.wanted = true;
    this.looking ??= setInterval(() => void this.look(), LOOK_MS).unref();
    return this.look();
  }

  close(): Promise<void> {
    this.wanted = false;
    this.trouble = null;
    if (this.looking) clearInterval(this.looking);
    this.looking = null;
    return this.inTurn(() => this.shut());
  }

  /** Brings it to what is wanted, under the names of now and with a certificate that holds. */
  look(): Promise<void> {
    return this.inTurn(async () => {
      if (!this.options || !this.answer || !this.wanted) return;
      try {
        if (!this.now) await this.begin(this.options, this.answer);
        else await this.renew(this.options, this.now);
        await this.tellName(this.now!);
        this.trouble = this.troubleNow();
      } catch (error) {
        this.trouble = (error as NodeJS.ErrnoException).code === 'EADDRINUSE' ? 'port-taken' : 'certificate-unreadable';
        log.warn({ trouble: this.trouble, error: (error as Error).message }, 'the network is not answered as it should be');
      }
    });
  }

  private troubleNow(): NetworkTrouble | null {
    const { certificate } = this.now!;
    if (certificate && certificate.until <= this.clock.now()) return 'certificate-ended';
    return this.addresses(this.now!).length === 0 ? 'no-address' : null;
  }

  private async front({ proxy, certificates }: NetworkOptions, answer: RequestListener): Promise<Front> {
    if (proxy) {
      const door: Door = { kind: 'network', scheme: 'https', isOurs: (host) => host === proxy.name, sourceOf: sourceBehind(proxy) };
      return { server: createPlain(at(door, answer)), certificate: null };
    }
    const certificate = await certificates.get(this.clock.now());
    const door: Door = { kind: 'network', scheme: 'https', isOurs: this.isOurs, sourceOf: neighbour };
    return { server: createEncrypted({ ...tlsOf(certificate), handshakeTimeout: HANDSHAKE_MS }, at(door, answer)), certificate };
  }

  private async begin(options: NetworkOptions, answer: RequestListener): Promise<void> {
    const front = await this.front(options, answer);
    // A proxy on this machine needs no other to reach it.
    await listening(front.server, options.port, options.proxy?.from.every((from) => isLoopback(from)) ? THIS_MACHINE : EVERY_ADDRESS);
    const begin = createPlain(at({ kind: 'unencrypted', scheme: 'http', isOurs: this.isOurs, sourceOf: neighbour }, answer));
    try {
      await listening(begin, options.beginPort, EVERY_ADDRESS);
    } catch (error) {
      await ended(front.server);
      throw error;
    }
    this.now = { ...front, begin, name: null, nameIsOurs: false };
  }

  /** Devices find it by its name, on each network where it has an address now. */
  private async tellName(open: Open): Promise<void> {
    const { tellsName, namesNow } = this.options!;
    const { dns, ips } = namesNow();
    const called = dns.find(isMulticast);
    if (!tellsName || !called || open.name?.addresses.join() === ips.join()) return;
    open.name?.end();
    const name = new MulticastName(called, ips);
    this.now = { ...open, name, nameIsOurs: false };
    if (await name.isOurs) this.now = { ...this.now, nameIsOurs: true };
  }

  /** Lines that are open stay so; new ones get the new certificate. */
  private async renew({ certificates }: NetworkOptions, open: Open): Promise<void> {
    if (!open.certificate || !certificates.isOver(open.certificate, this.clock.now())) return;
    const certificate = await certificates.get(this.clock.now());
    (open.server as EncryptedServer).setSecureContext(tlsOf(certificate));
    this.now = { ...open, certificate };
  }

  private async shut(): Promise<void> {
    const open = this.now;
    this.now = null;
    open?.name?.end();
    if (open) await Promise.all([open.server, open.begin].map(ended));
  }

  /** By which names this machine is asked for itself, without a proxy: those its certificate is for, or would be. */
  private get ownNames(): Names {
    const { dns, ips } = this.options!.namesNow();
    return this.now?.certificate?.names ?? { dns: [...dns, ...ITSELF.dns], ips: [...ips, ...ITSELF.ips] };
  }

  private readonly isOurs = (host: string): boolean => this.now !== null && isNamed(this.ownNames, host);

  /** What this machine is called from outside, the addresses first: they need nobody who knows names. */
  private names({ certificate, nameIsOurs }: Open): string[] {
    const { dns, ips } = this.options!.namesNow();
    const own = [...ips, ...dns.filter((name) => nameIsOurs || !isMulticast(name))].filter((name) => isNamed(this.ownNames, name));
    const isBrought = certificate !== null && certificate.authority === null;
    const brought = isBrought ? certificate.names.dns.filter((name) => name !== 'localhost' && !name.startsWith('*')) : [];
    return [...new Set([...brought, ...own])];
  }

  private addresses(open: Open): string[] {
    const { proxy } = this.options!;
    if (proxy) return [`https://${proxy.name}`];
    return this.names(open).map((name) => `https://${name}:${portOf(open.server)}`);
  }

  state(): Omit<NetworkState, 'open'> {
    const { now } = this;
    const unencryptedAt = now ? this.names(now).map((name) => `http://${name}:${portOf(now.begin)}`) : [];
    return {
      possible: this.isPossible,
      addresses: now ? this.addresses(now) : [],
      beginAt: now?.certificate?.authority ? unencryptedAt : [],
      unencryptedAt,
      fingerprint: now?.certificate?.authority?.fingerprint ?? null,
      certificateUntil: now?.certificate?.until.toISOString() ?? null,
      trouble: this.trouble,
    };
  }

  private inTurn(work: () => Promise<void>): Promise<void> {
    const mine = this.turn.then(work);
    this.turn = mine.catch(() => undefined);
    return mine;
  }
}
