import { idParam, keeperUpdate, newKeeper, type Access, type KeeperUpdate, type NewKeeper } from '@bright-keeper/contract';
import { Controller, Delete, HttpCode, Post, Put, Req } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { CheckedBody, CheckedParams, Route } from '../http/index.js';
import { Ids } from '../platform/index.js';
import { AccessService } from './access.service.js';
import { askerOf } from './asker.js';

type ById = { id: string };

/** Who keeps this household together; for its owners. */
@ApiTags('access')
@Controller('api/access/keepers')
export class KeepersController {
  constructor(
    private readonly access: AccessService,
    private readonly ids: Ids,
  ) {}

  @Post()
  @Route({ summary: 'One more keeper', does: ['added', 'keeper'], by: 'owner', body: newKeeper, answers: 201 })
  add(@CheckedBody(newKeeper) keeper: NewKeeper, @Req() request: Request): Access {
    this.access.keepers.add(this.ids.next(), keeper);
    return this.access.get(askerOf(request));
  }

  @Put(':id')
  @Route({
    summary: 'What a keeper is called, and what they may do',
    does: ['changed', 'keeper'],
    by: 'owner',
    body: keeperUpdate,
    byId: true,
  })
  update(@CheckedParams(idParam) { id }: ById, @CheckedBody(keeperUpdate) update: KeeperUpdate, @Req() request: Request): Access {
    this.access.keepers.update(id, update);
    return this.access.get(askerOf(request));
  }

  @Post(':id/reset')
  @HttpCode(200)
  @Route({ summary: 'Take a lost passphrase and all devices of a keeper away', does: ['revoked', 'keeper'], by: 'owner', byId: true })
  reset(@CheckedParams(idParam) { id }: ById, @Req() request: Request): Access {
    this.access.keepers.takeBack(id);
    return this.access.get(askerOf(request));
  }

  @Delete(':id')
  @HttpCode(204)
  @Route({ summary: 'Let a keeper go, with every device', does: ['removed', 'keeper'], by: 'owner', byId: true, answers: 204 })
  remove(@CheckedParams(idParam) { id }: ById): void {
    this.access.keepers.remove(id);
  }
}
