import {
  backupFolder,
  backupName,
  householdErrors,
  nonceParam,
  type BackupFile,
  type BackupFolder,
  type Backups,
  type ByBackupName,
  type ByNonce,
  type Health,
  type Holder,
  type MergePreview,
  type TakenIn,
} from '@bright-keeper/contract';
import { Controller, Get, HttpCode, Post, Put, Req, Res } from '@nestjs/common';
import { ApiConsumes, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { Database } from '../db/index.js';
import { proofOf } from '../wake/index.js';
import { CheckedBody, CheckedParams, Route, problem } from '../http/index.js';
import { VerdictsService } from '../gear/index.js';
import { DataFolder } from '../platform/index.js';
import { ArchiveReader } from './archive.js';
import { BackupService } from './backup.service.js';
import { HouseholdExportService } from './export.service.js';
import { HealthService } from './health.service.js';
import { Incoming } from './incoming.js';
import { restore } from './restore.js';
import { previewOf, takeIn } from './takeIn.js';

const ZIP = 'application/zip';

@ApiTags('household')
@Controller('api')
export class HouseholdController {
  constructor(
    private readonly database: Database,
    private readonly checkUp: HealthService,
    private readonly backups: BackupService,
    private readonly everything: HouseholdExportService,
    private readonly incoming: Incoming,
    private readonly verdicts: VerdictsService,
    private readonly data: DataFolder,
  ) {}

  @Get('health')
  @Route({ summary: 'Whether the database answers, how much room the disk has, the clock and the version' })
  health(): Promise<Health> {
    return this.checkUp.health();
  }

  @Get('household/holder/:nonce')
  @Route({ summary: 'Proof that this program holds the folder in which its secret lies, for the commands of the terminal' })
  holder(@CheckedParams(nonceParam) { nonce }: ByNonce): Holder {
    if (this.data.secret === null) throw problem(householdErrors, 'holds-no-folder');
    return { proof: proofOf(this.data.secret, nonce) };
  }

  @Get('household/backups')
  @Route({ summary: 'The backups there are, newest first' })
  list(): Promise<Backups> {
    return this.backups.state();
  }

  @Post('household/backups')
  @Route({ summary: 'Make a backup now, and read it back', does: ['made', 'backup'], answers: 201 })
  make(): Promise<BackupFile> {
    return this.backups.make();
  }

  @Get('household/backups/:name')
  @Route({ summary: 'One of them, as a file' })
  async one(@CheckedParams(backupName) { name }: ByBackupName, @Res() response: Response): Promise<void> {
    response.download(await this.backups.pathOf(name), name, { dotfiles: 'allow' });
  }

  @Put('household/backup-folder')
  @Route({ summary: 'Put backups somewhere else from now on', does: ['changed', 'backup-folder'], body: backupFolder })
  putInto(@CheckedBody(backupFolder) { folder }: BackupFolder): Promise<Backups> {
    return this.backups.putInto(folder);
  }

  @Get('household/export.zip')
  @Route({ summary: 'Everything in open formats, in one file' })
  export(@Res() response: Response): Promise<void> {
    return this.everything.toZip(response);
  }

  @Post('household/take-in/preview')
  @HttpCode(200)
  @ApiConsumes(ZIP)
  @Route({ summary: 'What taking in another household’s file would do', does: 'asks' })
  preview(@Req() request: Request): Promise<MergePreview> {
    return this.incoming.during(request, (path) => previewOf(this.database, path));
  }

  @Post('household/take-in')
  @HttpCode(200)
  @ApiConsumes(ZIP)
  @Route({ summary: 'Take another household’s file into this one, all or nothing', does: ['taken-in', 'household'] })
  takeIn(@Req() request: Request): Promise<TakenIn> {
    return this.judged(this.incoming.during(request, (path) => takeIn(this.database, path)));
  }

  @Post('household/restore')
  @HttpCode(200)
  @ApiConsumes(ZIP)
  @Route({ summary: 'Restore a backup into an empty household', does: ['restored', 'household'] })
  restore(@Req() request: Request): Promise<TakenIn> {
    return this.judged(
      this.incoming.during(request, async (path) => {
        const archive = await ArchiveReader.open(path);
        return restore(this.database, archive).finally(() => archive.close());
      }),
    );
  }

  /** What a file says of a surface was judged by another program, or by other schools. */
  private async judged(arriving: Promise<TakenIn>): Promise<TakenIn> {
    const taken = await arriving;
    await this.database.transaction((db) => this.verdicts.judgeAll(db));
    return taken;
  }
}
