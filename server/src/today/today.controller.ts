import type { Today } from '@bright-keeper/contract';
import { Controller, Get } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Route } from '../http/index.js';
import { TodayService } from './today.service.js';

@ApiTags('schedule')
@Controller('api')
export class TodayController {
  constructor(private readonly service: TodayService) {}

  @Get('today')
  @Route({ summary: 'What wants the keeper today, ranked by consequence' })
  today(): Promise<Today> {
    return this.service.today();
  }
}
