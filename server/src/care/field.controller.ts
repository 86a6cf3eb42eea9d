import { happenedOutdoors, waitForHome, type HappenedOutdoors, type WaitForHome } from '@bright-keeper/contract';
import { Controller, HttpCode, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { CheckedBody, Route } from '../http/index.js';
import { FieldService } from './field.service.js';

@ApiTags('care')
@Controller('api/care')
export class FieldController {
  constructor(private readonly service: FieldService) {}

  @Post('happenings')
  @HttpCode(204)
  @Route({
    summary: 'Something happened outdoors: log it, and keep for home what waits',
    does: ['noted', 'thing'],
    body: happenedOutdoors,
    answers: 204,
  })
  happened(@CheckedBody(happenedOutdoors) happened: HappenedOutdoors): Promise<void> {
    return this.service.happened(happened);
  }

  @Post('wait-for-home')
  @HttpCode(204)
  @Route({ summary: 'Keep what the field plan leaves undone as a task at home', does: ['noted', 'thing'], body: waitForHome, answers: 204 })
  waitForHome(@CheckedBody(waitForHome) what: WaitForHome): Promise<void> {
    return this.service.keepForHome(what);
  }
}
