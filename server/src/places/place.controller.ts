import {
  idParam,
  moveItem,
  moveItems,
  placeInput,
  placeUpdate,
  takeMovesBack,
  versioned,
  type Moved,
  type MoveItem,
  type MoveItems,
  type MovesTakenBack,
  type Place,
  type PlaceInput,
  type Places,
  type PlaceUpdate,
  type Stay,
  type TakeMovesBack,
  type Versioned,
} from '@bright-keeper/contract';
import { Controller, Get, HttpCode, Post, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { CheckedBody, CheckedParams, Route } from '../http/index.js';
import { MoveService } from './move.service.js';
import { PlaceService } from './place.service.js';

type ById = { id: string };

@ApiTags('storage')
@Controller('api/storage')
export class PlaceController {
  constructor(
    private readonly service: PlaceService,
    private readonly moves: MoveService,
  ) {}

  @Get('places')
  @Route({ summary: 'Every place, in the order they were made' })
  async list(): Promise<Places> {
    return { places: await this.service.all() };
  }

  @Post('places')
  @Route({ summary: 'A place to keep things in', does: ['added', 'place'], body: placeInput, answers: 201 })
  add(@CheckedBody(placeInput) input: PlaceInput): Promise<Place> {
    return this.service.add(input);
  }

  @Put('places/:id')
  @Route({ summary: 'Correct what is said of it', does: ['changed', 'place'], body: placeUpdate, byId: true })
  update(@CheckedParams(idParam) { id }: ById, @CheckedBody(placeUpdate) change: PlaceUpdate): Promise<Place> {
    return this.service.update(id, change);
  }

  @Post('places/:id/archive')
  @HttpCode(200)
  @Route({ summary: 'Give up a place that is empty; its past stays', does: ['put-away', 'place'], body: versioned, byId: true })
  archive(@CheckedParams(idParam) { id }: ById, @CheckedBody(versioned) { version }: Versioned): Promise<Place> {
    return this.service.archive(id, version);
  }

  @Put('items/:id/place')
  @Route({
    summary: 'Move a thing into a place, or out of all of them, now or since a day',
    does: ['moved', 'thing'],
    body: moveItem,
    byId: true,
  })
  move(@CheckedParams(idParam) { id }: ById, @CheckedBody(moveItem) move: MoveItem): Promise<Stay[]> {
    return this.moves.move(id, move);
  }

  @Post('moves')
  @Route({
    summary: 'Move many things into one place, or out of all of them, in one go',
    does: ['moved', 'things'],
    body: moveItems,
    answers: 201,
  })
  moveAll(@CheckedBody(moveItems) move: MoveItems): Promise<Moved> {
    return this.moves.moveAll(move);
  }

  @Post('moves/take-back')
  @HttpCode(200)
  @Route({ summary: 'Take moves back, as if they had never been told', does: ['taken-back', 'things'], body: takeMovesBack })
  takeBack(@CheckedBody(takeMovesBack) { entryIds }: TakeMovesBack): Promise<MovesTakenBack> {
    return this.moves.takeBack(entryIds);
  }

  @Get('items/:id/stays')
  @Route({ summary: 'Where a thing has lain, oldest first', byId: true })
  stays(@CheckedParams(idParam) { id }: ById): Promise<Stay[]> {
    return this.service.staysOf(id);
  }
}
