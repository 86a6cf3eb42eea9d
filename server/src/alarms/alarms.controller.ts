import { alarmsInput, type Alarms, type AlarmsInput, type AlarmTried } from '@bright-keeper/contract';
import { Controller, Get, HttpCode, Post, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { CheckedBody, Route } from '../http/index.js';
import { AlarmsService } from './alarms.service.js';

@ApiTags('alarms')
@Controller('api/alarms')
export class AlarmsController {
  constructor(private readonly alarms: AlarmsService) {}

  @Get()
  @Route({ summary: 'What is an alarm now, and where and when it is told; without what is secret', by: 'owner' })
  get(): Promise<Alarms> {
    return this.alarms.get();
  }

  @Put()
  @Route({ summary: 'Where and when alarms are told', does: ['changed', 'alarms'], by: 'owner', body: alarmsInput })
  set(@CheckedBody(alarmsInput) input: AlarmsInput): Promise<Alarms> {
    return this.alarms.set(input);
  }

  @Post('try')
  @HttpCode(200)
  @Route({ summary: 'Sends a message to try to each place that is told', does: 'asks', by: 'owner' })
  try(): Promise<AlarmTried> {
    return this.alarms.try();
  }
}
