import { Module } from '@nestjs/common';
import { JournalRepository } from './journal.repository.js';

/** What was done: written by every area, read by the agenda. */
@Module({ providers: [JournalRepository], exports: [JournalRepository] })
export class JournalModule {}
