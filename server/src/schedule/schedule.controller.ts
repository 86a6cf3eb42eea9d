import {
  agendaQuery,
  benchQuery,
  capMissing,
  dayParam,
  dutyDone,
  idParam,
  planDuty,
  rhythmInput,
  rhythmOfMany,
  rhythmsBack,
  type RhythmOfMany,
  type RhythmsBack,
  type RhythmsSet,
  saveBenchTimes,
  saveRhythm,
  sendAway,
  sendManyAway,
  skipDuty,
  snoozeDuty,
  sayBack,
  type AgendaQuery,
  type BenchDayPage,
  type BenchDays,
  type BenchQuery,
  type BenchTimes,
  type CapMissing,
  type DayParam,
  type DutyDone,
  type KeptRhythm,
  type PlanDuty,
  type RhythmInput,
  type RhythmPreview,
  type SaveRhythm,
  type SendAway,
  type SendManyAway,
  type SentAway,
  type SkipDuty,
  type SnoozeDuty,
  type SayBack,
  type Written,
  type WaitingCleans,
} from '@bright-keeper/contract';
import type { schedule } from '@bright-keeper/core';
import { Controller, Delete, Get, HttpCode, Post, Put, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { CheckedBody, CheckedParams, CheckedQuery, Route } from '../http/index.js';
import { longListJson } from '../platform/index.js';
import { AgendaService } from '../agenda/index.js';
import { BenchDaysService } from './benchDays.service.js';
import { DrawerListService } from './drawerList.service.js';
import { AwayService } from './away.service.js';
import { DutyService } from './duty.service.js';
import { ManyRhythmsService } from './manyRhythms.service.js';
import { RhythmService } from './rhythm.service.js';

@ApiTags('schedule')
@Controller('api/schedule')
export class ScheduleController {
  constructor(
    private readonly agenda: AgendaService,
    private readonly duties: DutyService,
    private readonly aways: AwayService,
    private readonly rhythms: RhythmService,
    private readonly manyRhythms: ManyRhythmsService,
    private readonly bench: BenchDaysService,
    private readonly drawerLists: DrawerListService,
  ) {}

  @Get('agenda')
  @Route({ summary: 'All that is due and falls due, up to a day or 12 months ahead, the gravest first', query: agendaQuery })
  async all(@CheckedQuery(agendaQuery) { until }: AgendaQuery, @Res({ passthrough: true }) response: Response): Promise<string> {
    const { today, duties } = await this.agenda.agenda(until ? { until } : {});
    response.type('json');
    return `{"today":${JSON.stringify(today)},"duties":${await longListJson(duties)}}`;
  }

  @Get('outings/:id/asks')
  @Route({ summary: 'What an outing asks for, before, under way and at home', byId: true })
  askedByOuting(@CheckedParams(idParam) { id }: { id: string }): Promise<schedule.Duty[]> {
    return this.agenda.askedByOuting(id);
  }

  @Post('duties/done')
  @Route({ summary: 'Tick off a duty that is done by doing it', does: ['ticked', 'duty'], body: dutyDone, answers: 201 })
  done(@CheckedBody(dutyDone) duty: DutyDone): Promise<Written> {
    return this.duties.done(duty);
  }

  @Post('duties/skip')
  @Route({ summary: 'Pass it over this time, with a reason', does: ['passed-over', 'duty'], body: skipDuty, answers: 201 })
  skip(@CheckedBody(skipDuty) duty: SkipDuty): Promise<Written> {
    return this.duties.skip(duty);
  }

  @Post('duties/snooze')
  @Route({ summary: 'Put it off until a day', does: ['put-off', 'duty'], body: snoozeDuty, answers: 201 })
  snooze(@CheckedBody(snoozeDuty) duty: SnoozeDuty): Promise<Written> {
    return this.duties.snooze(duty);
  }

  @Post('duties/plan')
  @Route({
    summary: 'Put it on a day within its window and keep it there, or let it go again',
    does: ['planned', 'duty'],
    body: planDuty,
    answers: 201,
  })
  plan(@CheckedBody(planDuty) duty: PlanDuty): Promise<Written> {
    return this.duties.plan(duty);
  }

  @Post('journal/:id/undo')
  @Route({ summary: 'Take an entry back', does: ['taken-back', 'entry'], byId: true, answers: 201 })
  undo(@CheckedParams(idParam) { id }: { id: string }): Promise<Written> {
    return this.duties.undo(id);
  }

  @Post('away')
  @Route({
    summary: 'A thing is sent to a workshop or lent: nothing of it is asked for until it is back',
    does: ['sent-away', 'thing'],
    body: sendAway,
    answers: 201,
  })
  away(@CheckedBody(sendAway) away: SendAway): Promise<Written> {
    return this.aways.send(away);
  }

  @Post('away/many')
  @Route({
    summary: 'Many things are sent to a workshop or lent in one go',
    does: ['sent-away', 'things'],
    body: sendManyAway,
    answers: 201,
  })
  awayMany(@CheckedBody(sendManyAway) away: SendManyAway): Promise<SentAway> {
    return this.aways.sendAll(away);
  }

  @Post('cap-missing')
  @Route({
    summary: 'One of its caps is lost: it is asked for until it has one again',
    does: ['noted', 'thing'],
    body: capMissing,
    answers: 201,
  })
  capMissing(@CheckedBody(capMissing) cap: CapMissing): Promise<Written> {
    return this.duties.capMissing(cap);
  }

  @Post('back')
  @Route({ summary: 'It is back', does: ['brought-back', 'thing'], body: sayBack, answers: 201 })
  back(@CheckedBody(sayBack) back: SayBack): Promise<Written> {
    return this.aways.back(back);
  }

  @Get('rhythms')
  @Route({ summary: 'The rhythms the keeper has set; all others follow the default' })
  allRhythms(): Promise<readonly KeptRhythm[]> {
    return this.rhythms.all();
  }

  @Put('rhythms')
  @Route({ summary: 'Set a rhythm for all, for a kind or for one; null switches it off', does: ['changed', 'rhythm'], body: saveRhythm })
  saveRhythm(@CheckedBody(saveRhythm) rhythm: SaveRhythm): Promise<KeptRhythm> {
    return this.rhythms.save(rhythm);
  }

  @Put('rhythms/many')
  @Route({ summary: 'Set a rhythm for many things at once, each by itself', does: ['changed', 'rhythm'], body: rhythmOfMany })
  setMany(@CheckedBody(rhythmOfMany) rhythm: RhythmOfMany): Promise<RhythmsSet> {
    return this.manyRhythms.set(rhythm);
  }

  @Put('rhythms/many/back')
  @HttpCode(204)
  @Route({ summary: 'Put back what held for many things before', does: ['changed', 'rhythm'], body: rhythmsBack, answers: 204 })
  putManyBack(@CheckedBody(rhythmsBack) before: RhythmsBack): Promise<void> {
    return this.manyRhythms.back(before);
  }

  @Post('rhythms/preview')
  @HttpCode(200)
  @Route({ summary: 'What it would make of the next year; nothing is saved', does: 'asks', body: rhythmInput })
  preview(@CheckedBody(rhythmInput) rhythm: RhythmInput): Promise<RhythmPreview> {
    return this.rhythms.preview(rhythm);
  }

  @Delete('rhythms/:id')
  @HttpCode(204)
  @Route({ summary: 'Back to what holds without it', does: ['removed', 'rhythm'], byId: true, answers: 204 })
  removeRhythm(@CheckedParams(idParam) { id }: { id: string }): Promise<void> {
    return this.rhythms.remove(id);
  }

  @Get('bench-days')
  @Route({ summary: 'The fewest bench days that meet every window, with the proof', query: benchQuery })
  benchDays(@CheckedQuery(benchQuery) query: BenchQuery): Promise<BenchDays> {
    return this.bench.days(query);
  }

  @Get('bench-days/:day')
  @Route({ summary: 'One bench day: its tasks in working order, and what to lay out for them' })
  benchDay(@CheckedParams(dayParam) { day }: DayParam): Promise<BenchDayPage> {
    return this.drawerLists.page(day);
  }

  @Get('waiting-cleans')
  @Route({ summary: 'What the cleans that are asked for now take of fluids, wipes and swabs, at the least and at the most' })
  waitingCleans(): Promise<WaitingCleans> {
    return this.drawerLists.waiting();
  }

  @Get('bench-times')
  @Route({ summary: 'When there is time for the bench' })
  benchTimes(): Promise<BenchTimes> {
    return this.bench.benchTimes();
  }

  @Put('bench-times')
  @Route({ summary: 'Change it', does: ['changed', 'bench-times'], body: saveBenchTimes })
  saveBenchTimes(@CheckedBody(saveBenchTimes) times: BenchTimes): Promise<BenchTimes> {
    return this.bench.save(times);
  }
}
