import { Module } from '@nestjs/common';
import { GearRepository } from './gear.repository.js';
import { ItemFileRepository } from './itemFile.repository.js';
import { OpenWorkRepository } from './openWork.repository.js';
import { SettingsModule } from '../settings/index.js';
import { VerdictsService } from './verdicts.service.js';

/** Things, what was found and begun on them, for areas that ask no more of gear than its tables. */
@Module({
  imports: [SettingsModule],
  providers: [GearRepository, ItemFileRepository, OpenWorkRepository, VerdictsService],
  exports: [GearRepository, ItemFileRepository, OpenWorkRepository, VerdictsService],
})
export class GearTablesModule {}
