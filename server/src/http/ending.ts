import type { NestExpressApplication } from '@nestjs/platform-express';
import type { NextFunction, Request, Response } from 'express';
import type { Server } from 'node:http';
import { log } from '../platform/index.js';

/** How long whoever is being answered has to be done. */
const PATIENCE_MS = 4000;
/** When the process ends, whatever it still waits for: what was acknowledged is on disk. */
const DEADLINE_MS = 9000;

/** From when it ends on, a server takes leave of each who asks, so that nobody who keeps asking keeps it from ending. */
export class Ending {
  private begun = false;

  readonly takeLeave = (_: Request, response: Response, next: NextFunction): void => {
    if (this.begun) response.setHeader('Connection', 'close');
    next();
  };

  /** Ends an application: nobody new is let in, those inside are answered, then the database is closed. */
  async end(app: NestExpressApplication): Promise<void> {
    if (this.begun) return;
    this.begun = true;
    const late = setTimeout(() => process.exit(1), DEADLINE_MS);
    const server: Server = app.getHttpServer();
    server.closeIdleConnections();
    const impatient = setTimeout(() => server.closeAllConnections(), PATIENCE_MS);
    await app.close();
    clearTimeout(impatient);
    clearTimeout(late);
  }
}

/**
 * Ends an application after a fault that nobody was there to catch: what it holds in memory may be wrong from then on.
 * Who is being answered is answered, why it ended is written down, and whoever supervises it starts it anew.
 */
export function endOnFaults(app: NestExpressApplication, ending: Ending): void {
  for (const event of ['uncaughtException', 'unhandledRejection'] as const)
    process.on(event, (fault: unknown) => {
      log.fatal(
        { event, error: fault instanceof Error ? fault.message : String(fault), stack: (fault as Error | null)?.stack },
        'a fault nobody caught: the program ends',
      );
      void ending.end(app).finally(() => process.exit(1));
    });
}

/** Ends an application when the system asks for it. */
export function endOnSignals(app: NestExpressApplication, ending: Ending): void {
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.on(signal, () => {
      void ending.end(app).then(() => process.exit(0));
    });
}
