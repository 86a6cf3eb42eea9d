import { airErrors, type DeviceToken } from '@bright-keeper/contract';
import { Controller, Delete, Get, Headers, HttpCode, Post, Req, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { askerOf, isIn } from '../../access/index.js';
import { problem, Route } from '../../http/index.js';
import { DeviceService } from '../device.service.js';
import { keyShown } from '../keyShown.js';
import { MetricsKey } from './metricsKey.js';
import { metricsText } from './metricsText.js';

@ApiTags('air')
@Controller('api/air/metrics')
export class MetricsController {
  constructor(
    private readonly devices: DeviceService,
    private readonly key: MetricsKey,
  ) {}

  @Get()
  @Route({
    summary: 'What the hygrometers say now, as Prometheus reads it; on the network with its key as Bearer',
    by: 'device',
  })
  async metrics(
    @Headers('authorization') authorization: string | undefined,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<string> {
    if (!isIn(askerOf(request)) && !this.key.isKey(keyShown(authorization))) throw problem(airErrors, 'bad-token');
    const { type, text } = await metricsText(await this.devices.all());
    response.setHeader('Content-Type', type);
    return text;
  }

  @Post('key')
  @HttpCode(201)
  @Route({ summary: 'A new key to read them with; shown once', does: ['made', 'key'], by: 'owner', answers: 201 })
  make(): DeviceToken {
    return { token: this.key.make() };
  }

  @Delete('key')
  @HttpCode(204)
  @Route({ summary: 'Take that key away', does: ['revoked', 'key'], by: 'owner', answers: 204 })
  revoke(): void {
    this.key.revoke();
  }
}
