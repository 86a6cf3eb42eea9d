import {
  brokerInput,
  pollTry,
  type BrokerInput,
  type IntakePlaces,
  type PollTried,
  type PollTry,
  type TopicsHeard,
} from '@bright-keeper/contract';
import { Controller, Get, HttpCode, Post, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { CheckedBody, Route } from '../../http/index.js';
import { IntakeService } from './intake.service.js';

@ApiTags('air')
@Controller('api/air/intake')
export class IntakeController {
  constructor(private readonly intake: IntakeService) {}

  @Get()
  @Route({ summary: 'The broker that is listened to, and the folder that is watched for logs' })
  places(): IntakePlaces {
    return this.intake.places();
  }

  @Put('broker')
  @Route({ summary: 'Which broker is listened to', does: ['changed', 'broker'], by: 'owner', body: brokerInput })
  setBroker(@CheckedBody(brokerInput) input: BrokerInput): Promise<IntakePlaces> {
    return this.intake.setBroker(input);
  }

  @Post('topics')
  @HttpCode(200)
  @Route({ summary: 'From which topics readings can be taken, by what is said there within a few seconds', does: 'asks' })
  topics(): Promise<TopicsHeard> {
    return this.intake.topics();
  }

  @Post('try')
  @HttpCode(200)
  @Route({ summary: 'What an address of this network says now, without keeping it', does: 'asks', body: pollTry })
  tryAddress(@CheckedBody(pollTry) asked: PollTry): Promise<PollTried> {
    return this.intake.tryAddress(asked);
  }
}
