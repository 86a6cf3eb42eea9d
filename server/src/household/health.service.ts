import type { Health } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { sql } from 'drizzle-orm';
import { Database } from '../db/database.js';
import { VERSION } from '../paths.js';
import { Clock } from '../platform/clock.js';
import { Disk } from '../platform/disk.js';
import { BackupService } from './backup.service.js';

const PATIENCE_MS = 2000;

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
    const [answers, disk] = await Promise.all([this.answers(), this.disk.room()]);
    const backup = answers ? await this.backups.standing() : null;
    return { version: VERSION, now: this.clock.now().toISOString(), database: { kind: this.database.kind, answers }, disk, backup };
  }

  /** Whether the database answers before anybody would lose patience. */
  private async answers(): Promise<boolean> {
    let late: NodeJS.Timeout | undefined;
    const tooLate = new Promise<boolean>((resolve) => (late = setTimeout(() => resolve(false), PATIENCE_MS)));
    const asked = this.database.db.execute(sql`select 1`).then(
      () => true,
      () => false,
    );
    return Promise.race([asked, tooLate]).finally(() => clearTimeout(late));
  }
}
