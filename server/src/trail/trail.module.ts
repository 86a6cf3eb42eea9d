import { Module } from '@nestjs/common';
import { APP_INTERCEPTOR } from '@nestjs/core';
import { KeepTrail } from './keepTrail.js';
import { TrailController } from './trail.controller.js';
import { TrailRepository } from './trail.repository.js';
import { TrailService } from './trail.service.js';

/** Who changed what: noted at the door for the keeper, and by the devices for themselves. */
@Module({
  controllers: [TrailController],
  providers: [TrailRepository, TrailService, { provide: APP_INTERCEPTOR, useClass: KeepTrail }],
  exports: [TrailService],
})
export class TrailModule {}
