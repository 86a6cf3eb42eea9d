import { Module } from '@nestjs/common';
import { AgendaModule } from '../agenda/index.js';
import { SettingsModule } from '../settings/index.js';
import { AlarmsController } from './alarms.controller.js';
import { AlarmsService } from './alarms.service.js';

@Module({ imports: [AgendaModule, SettingsModule], controllers: [AlarmsController], providers: [AlarmsService], exports: [AlarmsService] })
export class AlarmsModule {}
