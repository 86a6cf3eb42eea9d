import {
  fromPictures,
  idParam,
  outingInput,
  outingUpdate,
  type FromPictures,
  type Outing,
  type OutingInput,
  type OutingUpdate,
  type TakenFromPictures,
} from '@bright-keeper/contract';
import { Controller, Delete, Get, HttpCode, Post, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { CheckedBody, CheckedParams, Route } from '../http/index.js';
import { OutingService } from './outing.service.js';

@ApiTags('trip')
@Controller('api/trip/outings')
export class OutingController {
  constructor(private readonly outings: OutingService) {}

  @Get()
  @Route({ summary: 'Outings past and to come, the latest first' })
  all(): Promise<Outing[]> {
    return this.outings.all();
  }

  @Post()
  @Route({ summary: 'Note an outing', does: ['added', 'outing'], body: outingInput, answers: 201 })
  add(@CheckedBody(outingInput) input: OutingInput): Promise<Outing> {
    return this.outings.add(input);
  }

  @Post('from-pictures')
  @HttpCode(200)
  @Route({ summary: 'Take in what pictures tell of outings, all or nothing', does: ['taken-in', 'outings'], body: fromPictures })
  takeIn(@CheckedBody(fromPictures) told: FromPictures): Promise<TakenFromPictures> {
    return this.outings.takeIn(told);
  }

  @Put(':id')
  @Route({ summary: 'Change it', does: ['changed', 'outing'], body: outingUpdate, byId: true })
  update(@CheckedParams(idParam) { id }: { id: string }, @CheckedBody(outingUpdate) change: OutingUpdate): Promise<Outing> {
    return this.outings.update(id, change);
  }

  @Delete(':id')
  @HttpCode(204)
  @Route({ summary: 'Remove it', does: ['removed', 'outing'], byId: true, answers: 204 })
  remove(@CheckedParams(idParam) { id }: { id: string }): Promise<void> {
    return this.outings.remove(id);
  }
}
