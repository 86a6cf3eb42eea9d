import { settingsUpdate, type Settings } from '@bright-keeper/contract';
import { Controller, Get, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { CheckedBody, Route } from '../http/index.js';
import { SettingsService } from './settings.service.js';

@ApiTags('settings')
@Controller('api/settings')
export class SettingsController {
  constructor(private readonly settings: SettingsService) {}

  @Get()
  @Route({ summary: 'The user’s schools, time zone and currency' })
  get(): Promise<Settings> {
    return this.settings.get();
  }

  @Put()
  @Route({ summary: 'Change them', does: ['changed', 'settings'], body: settingsUpdate })
  update(@CheckedBody(settingsUpdate) change: Settings): Promise<Settings> {
    return this.settings.update(change);
  }
}
