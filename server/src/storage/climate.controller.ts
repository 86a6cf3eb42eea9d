import {
  chartQuery,
  idParam,
  placeEvent,
  timerInput,
  whatIfQuery,
  type Chart,
  type ChartQuery,
  type HomesPage,
  type PlaceEventInput,
  type PlaceExplanation,
  type PlacePage,
  type StorageOverview,
  type Timer,
  type TimerInput,
  type WhatIfQuery,
  type WhatIfStart,
} from '@bright-keeper/contract';
import { Controller, Delete, Get, HttpCode, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { CheckedBody, CheckedParams, CheckedQuery, Route } from '../http/index.js';
import { ChartService } from './chart.service.js';
import { ClimateService } from './climate.service.js';
import { HomesService } from './homes.service.js';
import { TimerService } from './timer.service.js';
import { WhatIfService } from './whatIf.service.js';

type ById = { id: string };

@ApiTags('storage')
@Controller('api/storage')
export class ClimateController {
  constructor(
    private readonly climate: ClimateService,
    private readonly charts: ChartService,
    private readonly homesService: HomesService,
    private readonly timers: TimerService,
    private readonly whatIfs: WhatIfService,
  ) {}

  @Get()
  @Route({ summary: 'Every place with its ribbon, risk, gel and alerts' })
  overview(): Promise<StorageOverview> {
    return this.climate.overview();
  }

  @Get('homes')
  @Route({ summary: 'Where everything lives best, and the moves that lead there' })
  homes(): Promise<HomesPage> {
    return this.homesService.page();
  }

  @Get('places/:id')
  @Route({ summary: 'A place with everything its page shows', byId: true })
  page(@CheckedParams(idParam) { id }: ById): Promise<PlacePage> {
    return this.climate.page(id);
  }

  @Get('places/:id/chart')
  @Route({ summary: 'The air of a place between two instants, summed up so that every extreme stays', query: chartQuery, byId: true })
  chart(@CheckedParams(idParam) { id }: ById, @CheckedQuery(chartQuery) query: ChartQuery): Promise<Chart> {
    return this.charts.chart(id, query);
  }

  @Get('places/:id/explanation')
  @Route({ summary: 'What the past of a place says of it, how far that holds, and what would help', byId: true })
  explanation(@CheckedParams(idParam) { id }: ById): Promise<PlaceExplanation> {
    return this.whatIfs.explanation(id);
  }

  @Get('places/:id/what-if')
  @Route({
    summary: 'The place as it is and the last weeks of the air around it, or of another place, to reckon with',
    query: whatIfQuery,
    byId: true,
  })
  whatIf(@CheckedParams(idParam) { id }: ById, @CheckedQuery(whatIfQuery) { roomId }: WhatIfQuery): Promise<WhatIfStart> {
    return this.whatIfs.whatIf(id, roomId);
  }

  @Post('places/:id/events')
  @Route({
    summary: 'Something was done in a place: opened, gel set, dried or read off',
    does: ['noted', 'place'],
    body: placeEvent,
    byId: true,
    answers: 201,
  })
  addEvent(@CheckedParams(idParam) { id }: ById, @CheckedBody(placeEvent) event: PlaceEventInput): Promise<PlacePage> {
    return this.climate.addEvent(id, event);
  }

  @Post('timers')
  @Route({ summary: 'A wait that lands on Today', does: ['begun', 'timer'], body: timerInput, answers: 201 })
  addTimer(@CheckedBody(timerInput) input: TimerInput): Promise<Timer> {
    return this.timers.add(input);
  }

  @Delete('timers/:id')
  @HttpCode(204)
  @Route({ summary: 'The wait is over', does: ['dropped', 'timer'], byId: true, answers: 204 })
  removeTimer(@CheckedParams(idParam) { id }: ById): Promise<void> {
    return this.timers.remove(id);
  }
}
