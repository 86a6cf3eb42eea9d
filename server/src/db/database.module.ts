import { Global, Module, type DynamicModule, type OnApplicationShutdown } from '@nestjs/common';
import { Clock, Ids, DataFolder, Disk } from '../platform/index.js';
import { Database } from './database.js';

export type Platform = { database: Database; clock: Clock; ids: Ids; disk: Disk; data: DataFolder };

class CloseOnShutdown implements OnApplicationShutdown {
  constructor(private readonly database: Database) {}
  onApplicationShutdown(): Promise<void> {
    return this.database.close();
  }
}

/** Hands database, clock and ids to every service. */
@Global()
@Module({})
export class DatabaseModule {
  static with({ database, clock, ids, disk, data }: Platform): DynamicModule {
    return {
      module: DatabaseModule,
      providers: [
        { provide: Database, useValue: database },
        { provide: Clock, useValue: clock },
        { provide: Ids, useValue: ids },
        { provide: Disk, useValue: disk },
        { provide: DataFolder, useValue: data },
        { provide: CloseOnShutdown, useValue: new CloseOnShutdown(database) },
      ],
      exports: [Database, Clock, Ids, Disk, DataFolder],
    };
  }
}
