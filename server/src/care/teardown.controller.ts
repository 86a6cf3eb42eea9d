import {
  idParam,
  saveTeardown,
  stageParam,
  startTeardown,
  routes,
  teardownsQuery,
  versioned,
  type SaveTeardown,
  type StageParam,
  type StartTeardown,
  type Teardown,
  type Teardowns,
  type TeardownsQuery,
  type Versioned,
} from '@bright-keeper/contract';
import { Controller, Delete, Get, HttpCode, Post, Put, Redirect, Req } from '@nestjs/common';
import { ApiConsumes, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { pictureBytes } from '../blobs/index.js';
import { CheckedBody, CheckedParams, CheckedQuery, Route } from '../http/index.js';
import { TeardownService } from './teardown.service.js';

type ById = { id: string };

@ApiTags('care')
@Controller('api/care/teardowns')
export class TeardownController {
  constructor(private readonly service: TeardownService) {}

  @Get()
  @Route({ summary: 'The records of opening a thing, newest first', query: teardownsQuery })
  async list(@CheckedQuery(teardownsQuery) { itemId }: TeardownsQuery): Promise<Teardowns> {
    return { teardowns: await this.service.ofItem(itemId) };
  }

  @Post()
  @Route({ summary: 'Begin the record of opening a thing', does: ['begun', 'opening'], body: startTeardown, answers: 201 })
  start(@CheckedBody(startTeardown) start: StartTeardown): Promise<Teardown> {
    return this.service.start(start);
  }

  @Get(':id')
  @Route({ summary: 'A record as it stands', byId: true })
  get(@CheckedParams(idParam) { id }: ById): Promise<Teardown> {
    return this.service.get(id);
  }

  @Put(':id')
  @Route({ summary: 'Save every stage as it stands', does: ['changed', 'opening'], body: saveTeardown, byId: true })
  save(@CheckedParams(idParam) { id }: ById, @CheckedBody(saveTeardown) body: SaveTeardown): Promise<Teardown> {
    return this.service.save(id, body);
  }

  @Post(':id/finish')
  @HttpCode(200)
  @Route({ summary: 'Every stage is back: end the record', does: ['finished', 'opening'], body: versioned, byId: true })
  finish(@CheckedParams(idParam) { id }: ById, @CheckedBody(versioned) { version }: Versioned): Promise<Teardown> {
    return this.service.finish(id, version);
  }

  @Delete(':id')
  @HttpCode(204)
  @Route({ summary: 'Drop a record that was begun by mistake', does: ['dropped', 'opening'], byId: true, answers: 204 })
  drop(@CheckedParams(idParam) { id }: ById): Promise<void> {
    return this.service.drop(id);
  }

  @Put(':id/stages/:stageId/photo')
  @HttpCode(204)
  @ApiConsumes('image/jpeg', 'image/png', 'image/webp')
  @Route({ summary: 'Keep a photograph of a stage: the body is the picture', does: ['changed', 'opening'], answers: 204 })
  async savePhoto(@CheckedParams(stageParam) { id, stageId }: StageParam, @Req() request: Request): Promise<void> {
    return this.service.savePhoto(id, stageId, await pictureBytes(request));
  }

  @Get(':id/stages/:stageId/photo')
  @Redirect()
  @Route({ summary: 'The photograph of a stage: where it lies among the pictures', answers: 302 })
  async photo(@CheckedParams(stageParam) { id, stageId }: StageParam): Promise<{ url: string }> {
    return { url: routes.blob(await this.service.photo(id, stageId)) };
  }
}
