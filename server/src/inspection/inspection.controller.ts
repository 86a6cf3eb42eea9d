import {
  type CarriedLook,
  carriedLook,
  finishLook,
  type FinishLook,
  idParam,
  lookedAtMany,
  type Looked,
  type LookedAtMany,
  saveLook,
  startLook,
  lookPhotoParam,
  lookPhotoQuery,
  type LookPhoto,
  type LookPhotoParam,
  type LookPhotoQuery,
  type LookPhotos,
  type ItemPage,
  type LookDoc,
  type SaveLook,
  type StartLook,
} from '@bright-keeper/contract';
import { Controller, Delete, Get, HttpCode, Post, Put, Req } from '@nestjs/common';
import { ApiConsumes, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { pictureBytes } from '../blobs/index.js';
import { CheckedBody, CheckedParams, CheckedQuery, Route } from '../http/index.js';
import { InspectionService } from './inspection.service.js';
import { ManyLooksService } from './manyLooks.service.js';
import { LookPhotoService } from './lookPhoto.service.js';

type ById = { id: string };

@ApiTags('inspection')
@Controller('api/inspection/looks')
export class InspectionController {
  constructor(
    private readonly inspection: InspectionService,
    private readonly photographs: LookPhotoService,
    private readonly many: ManyLooksService,
  ) {}

  @Post()
  @Route({ summary: 'Start a look, or go on with the open one', does: ['begun', 'look'], body: startLook, answers: 201 })
  start(@CheckedBody(startLook) { itemId }: StartLook): Promise<LookDoc> {
    return this.inspection.start(itemId);
  }

  @Post('many')
  @Route({
    summary: 'Many things were looked at by one light, and nothing new was found',
    does: ['noted', 'things'],
    body: lookedAtMany,
    answers: 201,
  })
  lookedAt(@CheckedBody(lookedAtMany) looked: LookedAtMany): Promise<Looked> {
    return this.many.lookedAt(looked);
  }

  @Get(':id')
  @Route({ summary: 'A look as it stands', byId: true })
  get(@CheckedParams(idParam) { id }: ById): Promise<LookDoc> {
    return this.inspection.get(id);
  }

  @Put(':id')
  @Route({ summary: 'Save a look as it stands', does: ['changed', 'look'], body: saveLook, byId: true })
  save(@CheckedParams(idParam) { id }: ById, @CheckedBody(saveLook) look: SaveLook): Promise<LookDoc> {
    return this.inspection.save(id, look);
  }

  @Post(':id/finish')
  @HttpCode(200)
  @Route({
    summary: 'Finish a look: surfaces, log and next look are written together',
    does: ['finished', 'look'],
    body: finishLook,
    byId: true,
  })
  finish(@CheckedParams(idParam) { id }: ById, @CheckedBody(finishLook) how: FinishLook): Promise<ItemPage> {
    return this.inspection.finish(id, how);
  }

  @Put(':id/carried')
  @Route({
    summary: 'Take in a look as a device kept it, begun, gone on with or finished; the same sent twice is one',
    does: ['carried-over', 'look'],
    body: carriedLook,
    byId: true,
  })
  carry(@CheckedParams(idParam) { id }: ById, @CheckedBody(carriedLook) look: CarriedLook): Promise<LookDoc> {
    return this.inspection.carry(id, look);
  }

  @Delete(':id')
  @HttpCode(204)
  @Route({ summary: 'Drop an open look', does: ['dropped', 'look'], byId: true, answers: 204 })
  drop(@CheckedParams(idParam) { id }: ById): Promise<void> {
    return this.inspection.drop(id);
  }

  @Get(':id/photos')
  @Route({ summary: 'The photographs of a look', byId: true })
  photos(@CheckedParams(idParam) { id }: ById): Promise<LookPhotos> {
    return this.photographs.of(id);
  }

  @Post(':id/photos')
  @ApiConsumes('image/jpeg', 'image/png', 'image/webp')
  @Route({
    summary: 'A photograph of a surface: the body is the picture',
    does: ['changed', 'look'],
    query: lookPhotoQuery,
    byId: true,
    answers: 201,
  })
  async addPhoto(
    @CheckedParams(idParam) { id }: ById,
    @CheckedQuery(lookPhotoQuery) query: LookPhotoQuery,
    @Req() request: Request,
  ): Promise<LookPhoto> {
    return this.photographs.add(id, query, await pictureBytes(request));
  }

  @Delete(':id/photos/:photoId')
  @HttpCode(204)
  @Route({ summary: 'Remove a photograph', does: ['changed', 'look'], answers: 204 })
  removePhoto(@CheckedParams(lookPhotoParam) { id, photoId }: LookPhotoParam): Promise<void> {
    return this.photographs.remove(id, photoId);
  }
}
