import {
  busyAddress,
  busyFile,
  EVERYTHING,
  feedInput,
  feedToken,
  idParam,
  type BusyAddress,
  type BusyCalendar,
  type BusyFile,
  type Feed,
  type FeedInput,
  type FeedToken,
  type NewFeed,
} from '@bright-keeper/contract';
import { Controller, Delete, Get, HttpCode, Post, Req, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { CheckedBody, CheckedParams, Route } from '../http/index.js';
import { BusyService } from './busy.service.js';
import { CalendarService, type CalendarText } from './calendar.service.js';

const CALENDAR = 'text/calendar; charset=utf-8';

/** Answers with the calendar, or that it has not changed since it was last fetched (RFC 9110 section 13). */
function answer({ text, etag, lastModified }: CalendarText, request: Request, response: Response): string | undefined {
  response.setHeader('ETag', etag);
  response.setHeader('Last-Modified', lastModified.toUTCString());
  response.setHeader('Content-Type', CALENDAR);
  if (!request.fresh) return text;
  response.status(304);
  return undefined;
}

@ApiTags('schedule')
@Controller('api/schedule')
export class CalendarController {
  constructor(
    private readonly calendars: CalendarService,
    private readonly busy: BusyService,
  ) {}

  @Get('calendar.ics')
  @Route({ summary: 'The agenda and the bench days as an iCalendar file' })
  async file(@Req() request: Request, @Res({ passthrough: true }) response: Response): Promise<string | undefined> {
    response.setHeader('Content-Disposition', 'attachment; filename="care.ics"');
    return answer(await this.calendars.calendar(EVERYTHING, 'Care'), request, response);
  }

  @Get('feed/:token.ics')
  @Route({ summary: 'A calendar by its secret address, for other calendars to fetch', by: 'calendar' })
  async feed(
    @CheckedParams(feedToken) { token }: FeedToken,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<string | undefined> {
    return answer(await this.calendars.ofFeed(token), request, response);
  }

  @Get('feeds')
  @Route({ summary: 'The addresses that were made' })
  feeds(): Promise<Feed[]> {
    return this.calendars.feeds();
  }

  @Post('feeds')
  @Route({ summary: 'Make an address; its key is told this once', does: ['made', 'calendar-address'], body: feedInput, answers: 201 })
  addFeed(@CheckedBody(feedInput) feed: FeedInput): Promise<NewFeed> {
    return this.calendars.addFeed(feed);
  }

  @Delete('feeds/:id')
  @HttpCode(204)
  @Route({ summary: 'Revoke an address: it answers no more', does: ['revoked', 'calendar-address'], byId: true, answers: 204 })
  revoke(@CheckedParams(idParam) { id }: { id: string }): Promise<void> {
    return this.calendars.revoke(id);
  }

  @Get('busy')
  @Route({ summary: 'Other calendars whose busy times are avoided' })
  allBusy(): Promise<BusyCalendar[]> {
    return this.busy.all();
  }

  @Post('busy/file')
  @Route({
    summary: 'Take the busy times of an iCalendar file; nothing else of it is kept',
    does: ['taken-in', 'other-calendar'],
    body: busyFile,
    answers: 201,
  })
  busyFile(@CheckedBody(busyFile) file: BusyFile): Promise<BusyCalendar> {
    return this.busy.fromFile(file);
  }

  @Post('busy/address')
  @Route({ summary: 'Take them from an address on this network', does: ['added', 'other-calendar'], body: busyAddress, answers: 201 })
  busyAddress(@CheckedBody(busyAddress) address: BusyAddress): Promise<BusyCalendar> {
    return this.busy.fromAddress(address);
  }

  @Post('busy/:id')
  @HttpCode(200)
  @Route({ summary: 'Fetch it anew', does: ['changed', 'other-calendar'], byId: true })
  refresh(@CheckedParams(idParam) { id }: { id: string }): Promise<BusyCalendar> {
    return this.busy.refresh(id);
  }

  @Delete('busy/:id')
  @HttpCode(204)
  @Route({ summary: 'Forget it', does: ['removed', 'other-calendar'], byId: true, answers: 204 })
  removeBusy(@CheckedParams(idParam) { id }: { id: string }): Promise<void> {
    return this.busy.remove(id);
  }
}
