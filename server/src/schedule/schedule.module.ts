import { Module } from '@nestjs/common';
import { SettingsModule } from '../settings/settings.module.js';
import { RhythmService } from './rhythm.service.js';
import { ScheduleRepository } from './schedule.repository.js';

@Module({ imports: [SettingsModule], providers: [ScheduleRepository, RhythmService], exports: [ScheduleRepository, RhythmService] })
export class ScheduleModule {}
