import { Module } from '@nestjs/common';
import { JournalModule } from '../journal/journal.module.js';
import { SettingsModule } from '../settings/settings.module.js';
import { SuppliesController } from './supplies.controller.js';
import { SuppliesService } from './supplies.service.js';

@Module({
  imports: [JournalModule, SettingsModule],
  controllers: [SuppliesController],
  providers: [SuppliesService],
  exports: [SuppliesService],
})
export class SuppliesModule {}
