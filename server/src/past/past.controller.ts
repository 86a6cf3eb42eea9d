import { correctLook, idParam, takeBack, type CorrectLook, type ItemPage, type TakeBack, type TakenBack } from '@bright-keeper/contract';
import { Controller, HttpCode, Post, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { CheckedBody, CheckedParams, Route } from '../http/index.js';
import { PastLooksService } from './looks.service.js';
import { TakeBackService } from './takeBack.service.js';

@ApiTags('past')
@Controller('api/past')
export class PastController {
  constructor(
    private readonly entries: TakeBackService,
    private readonly looks: PastLooksService,
  ) {}

  @Post('take-back')
  @HttpCode(200)
  @Route({
    summary: 'Take entries of the log back, as if they had never been told; what stands is named with its reason',
    does: ['taken-back', 'entry'],
    body: takeBack,
  })
  takeBack(@CheckedBody(takeBack) { entryIds }: TakeBack): Promise<TakenBack> {
    return this.entries.takeBack(entryIds);
  }

  @Put('looks/:id')
  @Route({
    summary: 'Correct a look that is over; the log keeps what was said before',
    does: ['changed', 'look'],
    body: correctLook,
    byId: true,
  })
  correct(@CheckedParams(idParam) { id }: { id: string }, @CheckedBody(correctLook) corrected: CorrectLook): Promise<ItemPage> {
    return this.looks.correct(id, corrected);
  }
}
