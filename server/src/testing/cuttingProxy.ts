import { mkdtempSync, rmSync } from 'node:fs';
import { createConnection, createServer, type Server, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** The name of PostgreSQL's socket in its folder. */
const SOCKET = '.s.PGSQL.5432';
/** Time enough for a server on this machine to carry out what it was sent. */
const A_MOMENT_MS = 30;

/**
 * What becomes of a line: it is cut before the server hears, after it did but before it answers, or in the middle of the
 * answer; or it dies at such a moment and nobody is told: neither side ever hears of the other again.
 */
export type Cut = 'unheard' | 'unanswered' | 'half-answered' | 'dead-unheard' | 'dead-unanswered';

/** A line between a program and its PostgreSQL server, which is cut when it is told to. */
export class CuttingProxy {
  private readonly folder = mkdtempSync(join(tmpdir(), 'bright-keeper-proxy-'));
  private readonly server: Server;
  /** Asked of each message of the program. */
  decide: (message: string) => Cut | null = () => null;
  /** So many lines were cut. */
  cuts = 0;
  private readonly dead = new Set<Socket>();

  /** @param folder of the server's own socket. */
  constructor(folder: string) {
    this.server = createServer((line) => this.carry(line, createConnection(join(folder, SOCKET))));
  }

  async listen(): Promise<string> {
    await new Promise<void>((resolve) => this.server.listen(join(this.folder, SOCKET), resolve));
    return this.folder;
  }

  private carry(program: Socket, database: Socket): void {
    let cut: Cut | null = null;
    const end = () => {
      program.destroy();
      database.destroy();
    };
    const isDead = () => cut === 'dead-unheard' || cut === 'dead-unanswered';
    // What one side does of a dead line the other does not hear.
    for (const line of [program, database]) line.on('error', () => isDead() || end()).on('close', () => isDead() || end());
    program.on('data', (message: Buffer) => {
      if (isDead()) return;
      if (cut === null && (cut = this.decide(message.toString('latin1'))) !== null) this.cuts += 1;
      if (isDead()) this.dead.add(database);
      if (cut === 'dead-unheard') return;
      if (cut === 'unheard') return end();
      database.write(message);
      if (cut === 'unanswered') setTimeout(end, A_MOMENT_MS);
    });
    database.on('data', (answer: Buffer) => {
      if (cut === null) return void program.write(answer);
      if (cut === 'half-answered') program.write(answer.subarray(0, answer.length / 2));
      if (cut === 'half-answered') setTimeout(end, A_MOMENT_MS);
    });
  }

  /** The server gives up the lines that are dead, as it does after a time of its own. */
  bury(): void {
    for (const line of this.dead) line.destroy();
    this.dead.clear();
  }

  close(): void {
    this.bury();
    this.server.close();
    rmSync(this.folder, { recursive: true, force: true });
  }
}
