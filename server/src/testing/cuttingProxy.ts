import { mkdtempSync, rmSync } from 'node:fs';
import { createConnection, createServer, type Server, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** The name of PostgreSQL's socket in its folder. */
const SOCKET = '.s.PGSQL.5432';
/** Time enough for a server on this machine to carry out what it was sent. */
const A_MOMENT_MS = 30;

/** What becomes of a line: it is cut before the server hears, after it did but before it answers, or in the middle of the answer. */
export type Cut = 'unheard' | 'unanswered' | 'half-answered';

/** A line between a program and its PostgreSQL server, which is cut when it is told to. */
export class CuttingProxy {
  private readonly folder = mkdtempSync(join(tmpdir(), 'bright-keeper-proxy-'));
  private readonly server: Server;
  /** Asked of each message of the program. */
  decide: (message: string) => Cut | null = () => null;
  /** So many lines were cut. */
  cuts = 0;

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
    for (const line of [program, database]) line.on('error', end).on('close', end);
    program.on('data', (message: Buffer) => {
      if (cut === null && (cut = this.decide(message.toString('latin1'))) !== null) this.cuts += 1;
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

  close(): void {
    this.server.close();
    rmSync(this.folder, { recursive: true, force: true });
  }
}
