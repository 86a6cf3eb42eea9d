import {
  type CarriedCleaning,
  carriedCleaning,
  cleaningsQuery,
  idParam,
  planRequest,
  saveEvents,
  startCleaning,
  finishCleaning,
  versioned,
  type BenchUses,
  type Cleaning,
  type Cleanings,
  type CleaningsQuery,
  type ItemPage,
  type RungsAtTheBench,
  type SaveEvents,
  type StartCleaning,
  type FinishCleaning,
  type Versioned,
} from '@bright-keeper/contract';
import type { care } from '@bright-keeper/core';
import { Controller, Delete, Get, HttpCode, Post, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { CheckedBody, CheckedParams, CheckedQuery, Route } from '../http/index.js';
import { CareService } from './care.service.js';
import { EvidenceService } from './evidence.service.js';

type ById = { id: string };

@ApiTags('care')
@Controller('api/care')
export class CareController {
  constructor(
    private readonly service: CareService,
    private readonly evidence: EvidenceService,
  ) {}

  @Post('plans')
  @HttpCode(200)
  @Route({ summary: 'The cleaning plan for any thing and findings; nothing is stored', does: 'asks', body: planRequest })
  plan(@CheckedBody(planRequest) request: care.PlanRequest): care.CleaningPlan {
    return this.service.plan(request);
  }

  @Get('rungs')
  @Route({ summary: 'How often each rung did it at this bench, and how likely it is to do it the next time' })
  rungs(): Promise<RungsAtTheBench> {
    return this.evidence.rungs();
  }

  @Get('uses')
  @Route({ summary: 'What each bench that is over took of fluids, wipes and swabs, oldest first' })
  uses(): Promise<BenchUses> {
    return this.evidence.uses();
  }

  @Get('cleanings')
  @Route({ summary: 'Cleanings, newest first', query: cleaningsQuery })
  async list(@CheckedQuery(cleaningsQuery) query: CleaningsQuery): Promise<Cleanings> {
    return { cleanings: await this.service.list(query) };
  }

  @Post('cleanings')
  @Route({
    summary: 'Start cleaning a thing by the plan for what was last seen on it',
    does: ['begun', 'cleaning'],
    body: startCleaning,
    answers: 201,
  })
  start(@CheckedBody(startCleaning) start: StartCleaning): Promise<Cleaning> {
    return this.service.start(start);
  }

  @Get('cleanings/:id')
  @Route({ summary: 'A cleaning as it stands', byId: true })
  get(@CheckedParams(idParam) { id }: ById): Promise<Cleaning> {
    return this.service.get(id);
  }

  @Put('cleanings/:id')
  @Route({ summary: 'Save everything done so far', does: ['changed', 'cleaning'], body: saveEvents, byId: true })
  save(@CheckedParams(idParam) { id }: ById, @CheckedBody(saveEvents) body: SaveEvents): Promise<Cleaning> {
    return this.service.save(id, body);
  }

  @Post('cleanings/:id/remake')
  @HttpCode(200)
  @Route({
    summary: 'Make the plan anew from the drawer and schools of now, keeping what was done',
    does: ['changed', 'cleaning'],
    body: versioned,
    byId: true,
  })
  remake(@CheckedParams(idParam) { id }: ById, @CheckedBody(versioned) { version }: Versioned): Promise<Cleaning> {
    return this.service.remake(id, version);
  }

  @Post('cleanings/:id/finish')
  @HttpCode(200)
  @Route({
    summary: 'End a cleaning: log, surfaces, contacts and next look are written together',
    does: ['finished', 'cleaning'],
    body: finishCleaning,
    byId: true,
  })
  finish(@CheckedParams(idParam) { id }: ById, @CheckedBody(finishCleaning) how: FinishCleaning): Promise<ItemPage> {
    return this.service.finish(id, how);
  }

  @Put('cleanings/:id/carried')
  @Route({
    summary: 'Take in a cleaning as a device kept it, begun, gone on with or finished; the same sent twice is one',
    does: ['carried-over', 'cleaning'],
    body: carriedCleaning,
    byId: true,
  })
  carry(@CheckedParams(idParam) { id }: ById, @CheckedBody(carriedCleaning) cleaning: CarriedCleaning): Promise<Cleaning> {
    return this.service.carry(id, cleaning);
  }

  @Delete('cleanings/:id')
  @HttpCode(204)
  @Route({ summary: 'Drop a cleaning in which nothing was touched', does: ['dropped', 'cleaning'], byId: true, answers: 204 })
  drop(@CheckedParams(idParam) { id }: ById): Promise<void> {
    return this.service.drop(id);
  }
}
