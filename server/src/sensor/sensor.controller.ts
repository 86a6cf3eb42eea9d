import {
  dismissInput,
  frameInput,
  framePart,
  frameUpdate,
  glareInput,
  idParam,
  sensorQuery,
  type Dismissed,
  type DismissInput,
  type FramePartParam,
  type GlareInput,
  type GlareTest,
  type GlareTests,
  type SensorFrame,
  type SensorFrameInput,
  type SensorFrames,
  type SensorFrameUpdate,
  type SensorQuery,
} from '@bright-keeper/contract';
import { Controller, Delete, Get, HttpCode, Post, Put, Req } from '@nestjs/common';
import { ApiConsumes, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { pictureBytes } from '../blobs/index.js';
import { CheckedBody, CheckedParams, CheckedQuery, Route } from '../http/index.js';
import { SensorService } from './sensor.service.js';

type ById = { id: string };

@ApiTags('sensor')
@Controller('api/sensor')
export class SensorController {
  constructor(private readonly sensors: SensorService) {}

  @Get('frames')
  @Route({ summary: 'The frames of a body, oldest first, and the places of it that are no dust', query: sensorQuery })
  frames(@CheckedQuery(sensorQuery) { itemId }: SensorQuery): Promise<SensorFrames> {
    return this.sensors.frames(itemId);
  }

  @Post('frames')
  @Route({ summary: 'A frame with the specks that were found in it', does: ['added', 'frame'], body: frameInput, answers: 201 })
  add(@CheckedBody(frameInput) input: SensorFrameInput): Promise<SensorFrame> {
    return this.sensors.add(input);
  }

  @Put('frames/:id')
  @Route({ summary: 'Correct it by hand', does: ['changed', 'frame'], body: frameUpdate, byId: true })
  update(@CheckedParams(idParam) { id }: ById, @CheckedBody(frameUpdate) change: SensorFrameUpdate): Promise<SensorFrame> {
    return this.sensors.update(id, change);
  }

  @Put('frames/:id/:part')
  @HttpCode(204)
  @ApiConsumes('image/jpeg', 'application/octet-stream')
  @Route({
    summary: 'Keep its picture, made small, or the file as it came: the body is the file',
    does: ['changed', 'frame'],
    byId: true,
    answers: 204,
  })
  async picture(@CheckedParams(framePart) { id, part }: FramePartParam, @Req() request: Request): Promise<void> {
    await this.sensors.keepPicture(id, part, await pictureBytes(request));
  }

  @Delete('frames/:id')
  @HttpCode(204)
  @Route({ summary: 'Remove it', does: ['removed', 'frame'], byId: true, answers: 204 })
  remove(@CheckedParams(idParam) { id }: ById): Promise<void> {
    return this.sensors.remove(id);
  }

  @Post('dismissed')
  @Route({
    summary: 'A place of a sensor that is no dust, in this frame and every other',
    does: ['changed', 'frame'],
    body: dismissInput,
    answers: 201,
  })
  dismiss(@CheckedBody(dismissInput) input: DismissInput): Promise<Dismissed> {
    return this.sensors.dismiss(input);
  }

  @Delete('dismissed/:id')
  @HttpCode(204)
  @Route({ summary: 'Take that back', does: ['changed', 'frame'], byId: true, answers: 204 })
  undismiss(@CheckedParams(idParam) { id }: ById): Promise<void> {
    return this.sensors.undismiss(id);
  }

  @Get('glare')
  @Route({ summary: 'The tests of veiling glare of a lens, oldest first', query: sensorQuery })
  glare(@CheckedQuery(sensorQuery) { itemId }: SensorQuery): Promise<GlareTests> {
    return this.sensors.glareTests(itemId);
  }

  @Post('glare')
  @Route({ summary: 'A test of veiling glare', does: ['added', 'glare-test'], body: glareInput, answers: 201 })
  addGlare(@CheckedBody(glareInput) input: GlareInput): Promise<GlareTest> {
    return this.sensors.addGlare(input);
  }

  @Delete('glare/:id')
  @HttpCode(204)
  @Route({ summary: 'Remove it', does: ['removed', 'glare-test'], byId: true, answers: 204 })
  removeGlare(@CheckedParams(idParam) { id }: ById): Promise<void> {
    return this.sensors.removeGlare(id);
  }
}
