import makeMulticast, { type MulticastDNS } from 'multicast-dns';
import { log } from '../platform/index.js';

/** How long the name is asked for before it counts as free (RFC 6762 8.1: three times 250 ms). */
const PROBE_MS = 750;
/** How long an answer may be kept (RFC 6762 10: names of hosts, 120 s). */
const TTL_S = 120;

type Answers = { name: string; type: string; data?: unknown }[];

/** On one network there is one line, from the address this machine has there. */
const lineFrom = (address: string): MulticastDNS => makeMulticast({ interface: address, bind: '0.0.0.0' });

/**
 * Answers whoever on the network asks for this machine by its name in `.local` (RFC 6762), on each of its networks with
 * the address it has there, unless another machine has the name already. Many systems do so themselves; they say the same.
 */
export class MulticastName {
  private readonly lines: { line: MulticastDNS; address: string }[];
  private isTaken = false;
  /** Whether the name is ours to answer for; settles once it was asked for. */
  readonly isOurs: Promise<boolean>;

  constructor(
    private readonly name: string,
    readonly addresses: readonly string[],
    open = lineFrom,
  ) {
    this.lines = addresses.map((address) => ({ line: open(address), address }));
    for (const { line } of this.lines) {
      line.on('response', ({ answers }) => this.hear(answers));
      line.on('error', (error: Error) => log.warn({ error: error.message }, 'the name of this machine cannot be told to its network'));
      line.once('ready', () => line.query(this.name, 'A'));
    }
    this.isOurs = this.claim();
  }

  private async claim(): Promise<boolean> {
    if (this.lines.length === 0) return false;
    await new Promise((resolve) => setTimeout(resolve, PROBE_MS));
    if (this.isTaken) return false;
    for (const { line, address } of this.lines)
      line.on('query', ({ questions }) => {
        if (questions.some((question) => this.isAsked(question)))
          line.respond({ answers: [{ name: this.name, type: 'A', ttl: TTL_S, data: address }] });
      });
    return true;
  }

  /** Another machine that answers by this name has it; the same one, by another program, may. */
  private hear(answers: Answers): void {
    if (answers.some(({ name, type, data }) => type === 'A' && this.isName(name) && !this.addresses.includes(String(data))))
      this.isTaken = true;
  }

  private isAsked({ name, type }: { name: string; type: string }): boolean {
    return this.isName(name) && (type === 'A' || type === 'ANY');
  }

  private isName(name: string): boolean {
    return name.toLowerCase() === this.name;
  }

  end(): void {
    for (const { line } of this.lines) line.destroy();
  }
}
