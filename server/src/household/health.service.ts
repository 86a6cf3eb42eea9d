import type { Health } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { Database } from '../db/index.js';
import { VERSION } from '../paths.js';
import { Clock, Disk } from '../platform/index.js';
import { TrailService } from '../trail/index.js';
import { BackupService } from './backup.service.js';
import { CLOCK_MAY_BE_SET_MS } from './retention.js';

/** How the program and what it stands on are doing. */
@Injectable()
export class HealthService {
  constructor(
    private readonly database: Database,
    private readonly disk: Disk,
    private readonly clock: Clock,
    private readonly backups: BackupService,
    private readonly trail: TrailService,
  ) {}

  /** A clock that leapt shows in what was written before it did: of what was done, and of backups. */
  private async datedAhead(): Promise<string | null> {
    const written = [(await this.trail.latestAt())?.toISOString() ?? '', await this.backups.latestAt()].sort().at(-1)!;
    return Date.parse(written) > this.clock.now().getTime() + CLOCK_MAY_BE_SET_MS ? written : null;
  }

  async health(): Promise<Health> {
    const { database } = this;
    const ours = database.isOurs();
    const [answers, disk] = await Promise.all([database.isThere(), ours ? this.disk.room() : null]);
    const [backup, datedAhead] = answers && ours ? await Promise.all([this.backups.standing(), this.datedAhead()]) : [null, null];
    return {
      version: VERSION,
      now: this.clock.now().toISOString(),
      database: { kind: database.kind, answers, ours },
      clock: { datedAhead },
      disk,
      backup,
    };
  }
}
