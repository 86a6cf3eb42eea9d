import { trailQuery, type Trail, type TrailQuery } from '@bright-keeper/contract';
import { Controller, Get } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { CheckedQuery, Route } from '../http/index.js';
import { TrailService } from './trail.service.js';

@ApiTags('household')
@Controller('api/trail')
export class TrailController {
  constructor(private readonly trail: TrailService) {}

  @Get()
  @Route({ summary: 'Who changed what, newest first; kept for 400 days', query: trailQuery })
  page(@CheckedQuery(trailQuery) query: TrailQuery): Promise<Trail> {
    return this.trail.page(query);
  }
}
