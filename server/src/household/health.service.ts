import type { Health } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { Database } from '../db/database.js';
import { VERSION } from '../paths.js';
import { Clock } from '../platform/clock.js';
import { Disk } from '../platform/disk.js';
import { BackupService } from './backup.service.js';

/** How the program and what it stands on are doing. */
@Injectable()
export class HealthService {
  constructor(
    private readonly database: Database,
    private readonly disk: Disk,
    private readonly clock: Clock,
    private readonly backups: BackupService,
  ) {}

  async health(): Promise<Health> {
    const { database } = this;
    const ours = database.isOurs();
    const [answers, disk] = await Promise.all([database.isThere(), ours ? this.disk.room() : null]);
    const backup = answers && ours ? await this.backups.standing() : null;
    return { version: VERSION, now: this.clock.now().toISOString(), database: { kind: database.kind, answers, ours }, disk, backup };
  }
}
