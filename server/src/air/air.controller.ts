import {
  airErrors,
  calibrationInput,
  deviceInput,
  deviceUpdate,
  handReading,
  idParam,
  logImportQuery,
  logPreviewRequest,
  PUSHED,
  pushQuery,
  senmlPack,
  versioned,
  type Accepted,
  type CalibrationInput,
  type Device,
  type DeviceInput,
  type Devices,
  type DeviceToken,
  type DeviceUpdate,
  type HandReading,
  type LogImportQuery,
  type LogImportResult,
  type LogPreview,
  type LogPreviewRequest,
  type Versioned,
} from '@bright-keeper/contract';
import { sources } from '@bright-keeper/core';
import { Controller, Delete, Get, Headers, HttpCode, Post, Put, Req, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { checked, CheckedBody, CheckedParams, CheckedQuery, Route, problem } from '../http/index.js';
import { DeviceService } from './device.service.js';
import { ExportService } from './export.service.js';
import { LogService } from './log.service.js';
import { PushService } from './push.service.js';

type ById = { id: string };

@ApiTags('air')
@Controller('api/air')
export class AirController {
  constructor(
    private readonly devices: DeviceService,
    private readonly pushes: PushService,
    private readonly logs: LogService,
    private readonly exports: ExportService,
  ) {}

  @Get('devices')
  @Route({ summary: 'The hygrometers and weather stations with what they say now' })
  async list(): Promise<Devices> {
    return { devices: await this.devices.all() };
  }

  @Post('devices')
  @Route({ summary: 'A hygrometer or a weather station', does: ['added', 'hygrometer'], body: deviceInput, answers: 201 })
  add(@CheckedBody(deviceInput) input: DeviceInput): Promise<Device> {
    return this.devices.add(input);
  }

  @Get('devices/:id')
  @Route({ summary: 'One of them', byId: true })
  get(@CheckedParams(idParam) { id }: ById): Promise<Device> {
    return this.devices.get(id);
  }

  @Put('devices/:id')
  @Route({
    summary: 'Correct what is said of it, or move it to another place',
    does: ['changed', 'hygrometer'],
    body: deviceUpdate,
    byId: true,
  })
  update(@CheckedParams(idParam) { id }: ById, @CheckedBody(deviceUpdate) change: DeviceUpdate): Promise<Device> {
    return this.devices.update(id, change);
  }

  @Post('devices/:id/archive')
  @HttpCode(204)
  @Route({ summary: 'Take it out of use; what it read stays', does: ['put-away', 'hygrometer'], body: versioned, byId: true, answers: 204 })
  archive(@CheckedParams(idParam) { id }: ById, @CheckedBody(versioned) { version }: Versioned): Promise<void> {
    return this.devices.archive(id, version);
  }

  @Post('devices/:id/token')
  @Route({ summary: 'A new key to push readings with; shown once', does: ['made', 'key'], byId: true, answers: 201 })
  token(@CheckedParams(idParam) { id }: ById): Promise<DeviceToken> {
    return this.devices.newToken(id);
  }

  @Delete('devices/:id/token')
  @HttpCode(204)
  @Route({ summary: 'Take its key away', does: ['revoked', 'key'], byId: true, answers: 204 })
  revoke(@CheckedParams(idParam) { id }: ById): Promise<void> {
    return this.devices.revokeToken(id);
  }

  @Post('devices/:id/calibrations')
  @Route({ summary: 'A salt test with one or two salts', does: ['added', 'salt-test'], body: calibrationInput, byId: true, answers: 201 })
  calibrate(@CheckedParams(idParam) { id }: ById, @CheckedBody(calibrationInput) input: CalibrationInput): Promise<Device> {
    return this.devices.calibrate(id, input);
  }

  @Post('devices/:id/readings')
  @HttpCode(200)
  @Route({ summary: 'A reading typed by hand', does: ['added', 'reading'], body: handReading, byId: true })
  byHand(@CheckedParams(idParam) { id }: ById, @CheckedBody(handReading) reading: HandReading): Promise<Accepted> {
    return this.devices.addByHand(id, reading);
  }

  @Post('readings')
  @HttpCode(200)
  @Route({
    summary: 'What a device measured, with its key as Bearer: SenML (RFC 8428), JSON of any shape, or line protocol as text/plain',
    by: 'device',
    body: senmlPack,
    query: pushQuery,
  })
  push(
    @Headers('authorization') key: string | undefined,
    @CheckedQuery(pushQuery) options: sources.PushOptions,
    @Req() request: Request,
  ): Promise<Accepted> {
    const body: unknown = request.body;
    const format = sources.pushFormatOf(request.get('content-type')?.split(';')[0]!.trim().toLowerCase() ?? '', body);
    if (!format) throw problem(airErrors, 'push-type');
    return this.pushes.push(key, { format, body: checked(PUSHED[format], body), options });
  }

  @Post('forecast')
  @HttpCode(200)
  @Route({ summary: 'What a weather station expects, as SenML with its key as Bearer', by: 'device', body: senmlPack })
  forecast(@Headers('authorization') key: string | undefined, @CheckedBody(senmlPack) pack: sources.SenmlRecord[]): Promise<Accepted> {
    return this.pushes.pushForecast(key, pack);
  }

  @Post('log-preview')
  @HttpCode(200)
  @Route({ summary: 'How the beginning of a CSV log would be read', does: 'asks', body: logPreviewRequest })
  preview(@CheckedBody(logPreviewRequest) request: LogPreviewRequest): Promise<LogPreview> {
    return this.logs.preview(request);
  }

  @Post('devices/:id/log')
  @HttpCode(200)
  @Route({
    summary: 'Import a CSV log: the body is the file (text/csv), read as it streams in',
    does: ['taken-in', 'log'],
    query: logImportQuery,
    byId: true,
  })
  import(
    @CheckedParams(idParam) { id }: ById,
    @CheckedQuery(logImportQuery) { format, check }: LogImportQuery,
    @Req() request: Request,
  ): Promise<LogImportResult> {
    // By now the body parser has read a body of this type, and there is nothing left to read.
    if (request.is(['json', '+json'])) throw problem(airErrors, 'log-type');
    return this.logs.import(id, request, this.logs.formatFrom(format), check);
  }

  @Get('devices/:id/readings.csv')
  @Route({ summary: 'Every reading of a device as CSV, raw and corrected', byId: true })
  async export(@CheckedParams(idParam) { id }: ById, @Res() response: Response): Promise<void> {
    await this.exports.toCsv(id, response);
  }
}
