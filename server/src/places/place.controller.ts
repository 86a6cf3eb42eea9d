import {
  idParam,
  moveItem,
  placeInput,
  placeUpdate,
  versioned,
  type MoveItem,
  type Place,
  type PlaceInput,
  type Places,
  type PlaceUpdate,
  type Stay,
  type Versioned,
} from '@bright-keeper/contract';
import { Controller, Get, HttpCode, Post, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { CheckedBody, CheckedParams, Describe } from '../http/index.js';
import { PlaceService } from './place.service.js';

type ById = { id: string };

@ApiTags('storage')
@Controller('api/storage')
export class PlaceController {
  constructor(private readonly service: PlaceService) {}

  @Get('places')
  @Describe({ summary: 'Every place, in the order they were made' })
  async list(): Promise<Places> {
    return { places: await this.service.all() };
  }

  @Post('places')
  @Describe({ summary: 'A place to keep things in', body: placeInput, answers: 201 })
  add(@CheckedBody(placeInput) input: PlaceInput): Promise<Place> {
    return this.service.add(input);
  }

  @Put('places/:id')
  @Describe({ summary: 'Correct what is said of it', body: placeUpdate, byId: true })
  update(@CheckedParams(idParam) { id }: ById, @CheckedBody(placeUpdate) change: PlaceUpdate): Promise<Place> {
    return this.service.update(id, change);
  }

  @Post('places/:id/archive')
  @HttpCode(200)
  @Describe({ summary: 'Give up a place that is empty; its past stays', body: versioned, byId: true })
  archive(@CheckedParams(idParam) { id }: ById, @CheckedBody(versioned) { version }: Versioned): Promise<Place> {
    return this.service.archive(id, version);
  }

  @Put('items/:id/place')
  @Describe({ summary: 'Move a thing into a place, or out of all of them', body: moveItem, byId: true })
  move(@CheckedParams(idParam) { id }: ById, @CheckedBody(moveItem) { placeId }: MoveItem): Promise<Stay[]> {
    return this.service.move(id, placeId);
  }

  @Get('items/:id/stays')
  @Describe({ summary: 'Where a thing has lain, oldest first', byId: true })
  stays(@CheckedParams(idParam) { id }: ById): Promise<Stay[]> {
    return this.service.staysOf(id);
  }
}
