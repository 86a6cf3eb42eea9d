import { Module, type DynamicModule } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { AccessController } from './access.controller.js';
import { AccessService } from './access.service.js';
import { Guarded } from './gate.js';
import { KeepersController } from './keepers.controller.js';
import { NETWORK_OPTIONS, type NetworkOptions } from './options.js';

/** Who may come in from the network; in front of every route. */
@Module({})
export class AccessModule {
  static with(network: NetworkOptions | null): DynamicModule {
    return {
      module: AccessModule,
      controllers: [AccessController, KeepersController],
      providers: [AccessService, { provide: NETWORK_OPTIONS, useValue: network }, { provide: APP_GUARD, useClass: Guarded }],
      exports: [AccessService],
    };
  }
}
