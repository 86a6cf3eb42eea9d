import { Module } from '@nestjs/common';
import { GearRepository } from './gear.repository.js';
import { OpenWorkRepository } from './openWork.repository.js';

/** Things and what was begun on them, for areas that ask no more of gear than its tables. */
@Module({ providers: [GearRepository, OpenWorkRepository], exports: [GearRepository, OpenWorkRepository] })
export class GearTablesModule {}
