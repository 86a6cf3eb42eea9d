import { idParam, type ItemExposure } from '@bright-keeper/contract';
import { Controller, Get } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { CheckedParams, Route } from '../http/index.js';
import { FungusService } from './fungus.service.js';

@ApiTags('fungus')
@Controller('api/fungus')
export class FungusController {
  constructor(private readonly service: FungusService) {}

  @Get('items/:id')
  @Route({ summary: 'How much growth is to be feared for a thing over all its stays', byId: true })
  exposure(@CheckedParams(idParam) { id }: { id: string }): Promise<ItemExposure> {
    return this.service.exposureOf(id);
  }
}
