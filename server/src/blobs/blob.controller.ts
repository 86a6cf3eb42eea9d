import { blobErrors, blobParam, blobQuery, type BlobParam, type BlobQuery } from '@bright-keeper/contract';
import { Controller, Get, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Database } from '../db/index.js';
import { CheckedParams, CheckedQuery, Route, problem } from '../http/index.js';
import { BlobRepository } from './blob.repository.js';
import { FILE_TYPE, PDF_TYPE } from './fileType.js';
import { smallPicture } from './picture.js';

const SANDBOX = "default-src 'none'; style-src 'unsafe-inline'; sandbox";

/** What a picture is called by is what it is: it never changes. */
const FOR_EVER = 'private, max-age=31536000, immutable';

@ApiTags('blobs')
@Controller('api/blobs')
export class BlobController {
  constructor(
    private readonly database: Database,
    private readonly blobs: BlobRepository,
  ) {}

  @Get(':hash')
  @Route({ summary: 'A picture or file that was kept; small, for a list, where that is asked', query: blobQuery })
  async get(
    @CheckedParams(blobParam) { hash }: BlobParam,
    @CheckedQuery(blobQuery) { small }: BlobQuery,
    @Res() response: Response,
  ): Promise<void> {
    const blob = await this.blobs.find(this.database.db, hash);
    if (!blob) throw problem(blobErrors, 'picture-not-found');
    response.setHeader('Cache-Control', FOR_EVER);
    // Whatever it is, it runs nothing and reaches nothing, and only a picture is shown.
    response.setHeader('Content-Security-Policy', SANDBOX);
    if (blob.type === FILE_TYPE) response.attachment(`${hash}.bin`);
    if (blob.type === PDF_TYPE) response.attachment(`${hash}.pdf`);
    if (small && blob.type.startsWith('image/')) {
      response.type('image/jpeg').send(await smallPicture(await this.blobs.whole(this.database.db, blob)));
      return;
    }
    response.type(blob.type).setHeader('Content-Length', blob.bytes);
    await pipeline(Readable.from(this.blobs.parts(this.database.db, blob)), response);
  }
}
