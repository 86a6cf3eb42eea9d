import type { NetworkState, NetworkTrouble } from '@bright-keeper/contract';
import { MS_PER_MINUTE } from '@bright-keeper/core';
import { createServer as createPlain, type RequestListener, type Server } from 'node:http';
import { createServer as createEncrypted, type Server as EncryptedServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { type Door, enter } from '../http/index.js';
import { isNearby, log, type Clock } from '../platform/index.js';
import type { Certificate } from './certificate.js';
import { MulticastName } from './multicastName.js';
import type { Names } from './names.js';
import type { NetworkOptions } from './options.js';

/** So often it is looked whether the machine is called otherwise, the certificate nears its end, or a taken port is free. */
const LOOK_MS = MS_PER_MINUTE;
/** How long those who are being answered have when it is closed. */
const PATIENCE_MS = 2_000;
/** Nobody's household has more lines open at once; a neighbour who opens more takes none of the machine's own. */
const MOST_LINES = 1_500;
const EVERY_ADDRESS = '0.0.0.0';

const listening = (server: Server, port: number): Promise<void> =>
  new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, EVERY_ADDRESS, () => {
      server.off('error', reject);
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

type Open = { encrypted: EncryptedServer; begin: Server; certificate: Certificate; name: MulticastName | null; nameIsOurs: boolean };

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
    return this.now && portOf(this.now.encrypted);
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
        this.trouble = this.troubleNow();
      } catch (error) {
        this.trouble = (error as NodeJS.ErrnoException).code === 'EADDRINUSE' ? 'port-taken' : 'certificate-unreadable';
        log.warn({ trouble: this.trouble, error: (error as Error).message }, 'the network is not answered as it should be');
      }
    });
  }

  private troubleNow(): NetworkTrouble | null {
    const { certificate } = this.now!;
    if (certificate.until <= this.clock.now()) return 'certificate-ended';
    const { ips } = this.options!.namesNow();
    return ips.length === 0 ? 'no-address' : null;
  }

  private async begin({ port, beginPort, certificates }: NetworkOptions, answer: RequestListener): Promise<void> {
    const certificate = await certificates.get(this.clock.now());
    const encrypted = createEncrypted(
      { key: certificate.key, cert: certificate.certificate, minVersion: 'TLSv1.2' },
      this.by('network', answer),
    );
    await listening(encrypted, port);
    const begin = createPlain(this.by('unencrypted', answer));
    try {
      await listening(begin, beginPort);
    } catch (error) {
      await ended(encrypted);
      throw error;
    }
    for (const server of [encrypted, begin]) server.maxConnections = MOST_LINES;
    const name = this.tellName();
    this.now = { encrypted, begin, certificate, name, nameIsOurs: (await name?.isOurs) ?? false };
  }

  /** Devices find it by its name where it has an address at all. */
  private tellName(): MulticastName | null {
    const { tellsName, namesNow } = this.options!;
    const [name] = namesNow().dns;
    return tellsName && name ? new MulticastName(name, () => namesNow().ips) : null;
  }

  /** Lines that are open stay so; new ones get the new certificate. */
  private async renew({ certificates }: NetworkOptions, open: Open): Promise<void> {
    if (!certificates.isOver(open.certificate, this.clock.now())) return;
    const certificate = await certificates.get(this.clock.now());
    open.encrypted.setSecureContext({ key: certificate.key, cert: certificate.certificate, minVersion: 'TLSv1.2' });
    this.now = { ...open, certificate };
  }

  private async shut(): Promise<void> {
    const open = this.now;
    this.now = null;
    open?.name?.end();
    if (open) await Promise.all([open.encrypted, open.begin].map(ended));
  }

  private by(kind: 'network' | 'unencrypted', answer: RequestListener): RequestListener {
    const door: Door = {
      kind,
      scheme: kind === 'network' ? 'https' : 'http',
      isOurs: (host) => this.now !== null && isNamed(this.now.certificate.names, host),
      sourceOf: ({ socket }) => (socket.remoteAddress && isNearby(socket.remoteAddress) ? socket.remoteAddress : null),
    };
    return (request, response) => {
      enter(door, request);
      answer(request, response);
    };
  }

  /** What this machine is called from outside, the addresses first: they need nobody who knows names. */
  private names(): string[] {
    const { names, authority } = this.now!.certificate;
    const { dns, ips } = this.options!.namesNow();
    const own = [...ips, ...(this.now!.nameIsOurs ? dns : [])].filter((name) => isNamed(names, name));
    const brought = authority ? [] : names.dns.filter((name) => name !== 'localhost' && !name.startsWith('*'));
    return [...new Set([...brought, ...own])];
  }

  state(): Omit<NetworkState, 'open'> {
    const { now } = this;
    const names = now ? this.names() : [];
    const at = (scheme: string, server: Server) => names.map((name) => `${scheme}://${name}:${portOf(server)}`);
    return {
      possible: this.isPossible,
      addresses: now ? at('https', now.encrypted) : [],
      beginAt: now?.certificate.authority ? at('http', now.begin) : [],
      unencryptedAt: now ? at('http', now.begin) : [],
      fingerprint: now?.certificate.authority?.fingerprint ?? null,
      certificateUntil: now?.certificate.until.toISOString() ?? null,
      trouble: this.trouble,
    };
  }

  private inTurn(work: () => Promise<void>): Promise<void> {
    const mine = this.turn.then(work);
    this.turn = mine.catch(() => undefined);
    return mine;
  }
}
