import { idParam, type Today } from '@bright-keeper/contract';
import { Controller, Get, HttpCode, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { CheckedParams } from '../http/joi.pipe.js';
import { Describe } from '../http/openapi.js';
import { TodayService } from './today.service.js';

@ApiTags('schedule')
@Controller('api')
export class TodayController {
  constructor(private readonly service: TodayService) {}

  @Get('today')
  @Describe({ summary: 'What wants the keeper today, ranked by consequence' })
  today(): Promise<Today> {
    return this.service.today();
  }

  @Post('schedule/due/:id/done')
  @HttpCode(204)
  @Describe({ summary: 'Tick off a task that is done by doing it', byId: true, answers: 204 })
  done(@CheckedParams(idParam) { id }: { id: string }): Promise<void> {
    return this.service.markDone(id);
  }
}
