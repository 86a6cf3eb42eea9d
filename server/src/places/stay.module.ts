import { Module } from '@nestjs/common';
import { StayRepository } from './stay.repository.js';

/** Where things lie: asked by gear and by storage alike. */
@Module({ providers: [StayRepository], exports: [StayRepository] })
export class StayModule {}
