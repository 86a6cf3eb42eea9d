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
    const [answers, disk] = await Promise.all([this.database.isThere(), this.disk.room()]);
    const backup = answers ? await this.backups.standing() : null;
    return { version: VERSION, now: this.clock.now().toISOString(), database: { kind: this.database.kind, answers }, disk, backup };
  }
}
