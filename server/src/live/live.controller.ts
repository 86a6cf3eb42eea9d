import { liveQuery, type LiveQuery } from '@bright-keeper/contract';
import { Controller, Get, Req, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { CheckedQuery, Route } from '../http/index.js';
import { LiveService } from './live.service.js';

@ApiTags('live')
@Controller('api/live')
export class LiveController {
  constructor(private readonly live: LiveService) {}

  @Get()
  @Route({ summary: 'What has moved, as it moves: server-sent events, each with the place to go on from', query: liveQuery })
  listen(@CheckedQuery(liveQuery) { since }: LiveQuery, @Req() request: Request, @Res() response: Response): void {
    if (request.method === 'HEAD') return void response.type('text/event-stream').end();
    // A browser whose line broke says itself how far it had come, which is further than where it began.
    this.live.listen(response, request.get('last-event-id') || since || null);
  }
}
