import { Module } from '@nestjs/common';
import { BlobController } from './blob.controller.js';
import { BlobRepository } from './blob.repository.js';

@Module({ controllers: [BlobController], providers: [BlobRepository], exports: [BlobRepository] })
export class BlobModule {}
