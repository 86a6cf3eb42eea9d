import { Module } from '@nestjs/common';
import { LiveController } from './live.controller.js';
import { LiveService } from './live.service.js';

/** A change made anywhere shows on the other open pages. */
@Module({ controllers: [LiveController], providers: [LiveService] })
export class LiveModule {}
