import makeMulticast, { type MulticastDNS, type Options } from 'multicast-dns';
import { log } from '../platform/index.js';

/** How long the name is asked for before it counts as free (RFC 6762 8.1: three times 250 ms). */
const PROBE_MS = 750;
/** How long an answer may be kept (RFC 6762 10: names of hosts, 120 s). */
const TTL_S = 120;

type Answers = { name: string; type: string; data?: unknown }[];

/**
 * Answers whoever on the network asks for this machine by its name in `.local` (RFC 6762), unless another machine has
 * the name already. Many systems do so themselves; they say the same.
 */
export class MulticastName {
  private readonly line: MulticastDNS;
  private isTaken = false;
  /** Whether the name is ours to answer for; settles once it was asked for. */
  readonly isOurs: Promise<boolean>;

  constructor(
    private readonly name: string,
    private readonly addresses: () => readonly string[],
    options: Options = {},
  ) {
    this.line = makeMulticast(options);
    this.isOurs = this.claim();
  }

  private claim(): Promise<boolean> {
    return new Promise((resolve) => {
      const give = (ours: boolean) => {
        clearTimeout(probed);
        resolve(ours);
      };
      const probed = setTimeout(() => {
        if (!this.isTaken) this.line.on('query', ({ questions }) => this.answer(questions));
        give(!this.isTaken);
      }, PROBE_MS);
      this.line.on('response', ({ answers }) => this.hear(answers as Answers));
      this.line.on('error', (error: Error) => {
        log.warn({ error: error.message }, 'the name of this machine cannot be told to its network');
        give(false);
      });
      this.line.once('ready', () => this.line.query(this.name, 'A'));
    });
  }

  /** Another machine that answers by this name has it; the same one, by another program, may. */
  private hear(answers: Answers): void {
    const others = answers.filter(({ name, type, data }) => type === 'A' && this.isName(name) && !this.addresses().includes(String(data)));
    if (others.length > 0) this.isTaken = true;
  }

  private answer(questions: readonly { name: string; type: string }[]): void {
    if (!questions.some(({ name, type }) => this.isName(name) && (type === 'A' || type === 'ANY'))) return;
    const answers = this.addresses().map((data) => ({ name: this.name, type: 'A' as const, ttl: TTL_S, data }));
    if (answers.length > 0) this.line.respond({ answers });
  }

  private isName(name: string): boolean {
    return name.toLowerCase() === this.name;
  }

  end(): void {
    this.line.destroy();
  }
}
