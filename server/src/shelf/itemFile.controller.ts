import {
  idParam,
  type ItemFile,
  itemFileParam,
  type ItemFileParam,
  itemFileQuery,
  type ItemFileQuery,
  itemFileUpdate,
  type ItemFileUpdate,
} from '@bright-keeper/contract';
import { Controller, Delete, HttpCode, Post, Put, Req } from '@nestjs/common';
import { ApiConsumes, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { pictureBytes } from '../blobs/index.js';
import { CheckedBody, CheckedParams, CheckedQuery, Route } from '../http/index.js';
import { ItemFileService } from './itemFile.service.js';

@ApiTags('gear')
@Controller('api/gear/:id/files')
export class ItemFileController {
  constructor(private readonly files: ItemFileService) {}

  @Post()
  @ApiConsumes('image/jpeg', 'image/png', 'image/webp', 'application/pdf')
  @Route({
    summary: 'A picture or paper of a thing: the body is the file, a PDF or a picture',
    does: ['changed', 'thing'],
    query: itemFileQuery,
    byId: true,
    answers: 201,
  })
  async add(
    @CheckedParams(idParam) { id }: { id: string },
    @CheckedQuery(itemFileQuery) query: ItemFileQuery,
    @Req() request: Request,
  ): Promise<ItemFile> {
    return this.files.add(id, query, await pictureBytes(request));
  }

  @Put(':fileId')
  @Route({ summary: 'Say what it is, or that the thing is known by it', does: ['changed', 'thing'], body: itemFileUpdate })
  update(
    @CheckedParams(itemFileParam) { id, fileId }: ItemFileParam,
    @CheckedBody(itemFileUpdate) change: ItemFileUpdate,
  ): Promise<ItemFile> {
    return this.files.update(id, fileId, change);
  }

  @Delete(':fileId')
  @HttpCode(204)
  @Route({ summary: 'Remove it', does: ['changed', 'thing'], answers: 204 })
  remove(@CheckedParams(itemFileParam) { id, fileId }: ItemFileParam): Promise<void> {
    return this.files.remove(id, fileId);
  }
}
