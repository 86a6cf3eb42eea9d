import {
  drawerIsAll,
  idParam,
  startDrawer,
  supplyInput,
  supplyUpdate,
  supplyWashed,
  versioned,
  type Drawer,
  type DrawerIsAll,
  type StartDrawer,
  type Supply,
  type SupplyInput,
  type SupplyUpdate,
  type SupplyWashed,
  type Versioned,
} from '@bright-keeper/contract';
import { Controller, Delete, Get, HttpCode, Post, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { CheckedBody, CheckedParams, Route } from '../http/index.js';
import { SuppliesService } from './supplies.service.js';

type ById = { id: string };

@ApiTags('supplies')
@Controller('api/supplies')
export class SuppliesController {
  constructor(private readonly service: SuppliesService) {}

  @Get()
  @Route({ summary: 'The drawer' })
  list(): Promise<Drawer> {
    return this.service.drawer();
  }

  @Post('starter')
  @HttpCode(200)
  @Route({
    summary: 'A drawer to begin with: what a way of working usually holds, uncounted',
    does: ['begun', 'drawer'],
    body: startDrawer,
  })
  start(@CheckedBody(startDrawer) { starter }: StartDrawer): Promise<Drawer> {
    return this.service.start(starter);
  }

  @Put('all')
  @Route({ summary: 'Is the drawer all there is? Plans then keep to it', does: ['changed', 'drawer'], body: drawerIsAll })
  setIsAll(@CheckedBody(drawerIsAll) { isAll }: DrawerIsAll): Promise<Drawer> {
    return this.service.setIsAll(isAll);
  }

  @Post()
  @Route({ summary: 'Put a tool or a pack of something into the drawer', does: ['added', 'supply'], body: supplyInput, answers: 201 })
  add(@CheckedBody(supplyInput) input: SupplyInput): Promise<Supply> {
    return this.service.add(input);
  }

  @Put(':id')
  @Route({ summary: 'Correct what is said of it', does: ['changed', 'supply'], body: supplyUpdate, byId: true })
  update(@CheckedParams(idParam) { id }: ById, @CheckedBody(supplyUpdate) change: SupplyUpdate): Promise<Supply> {
    return this.service.update(id, change);
  }

  @Post(':id/wash')
  @HttpCode(200)
  @Route({
    summary: 'It was washed, now or earlier: clean again; if now, back at what it was sold for',
    does: ['washed', 'supply'],
    body: supplyWashed,
    byId: true,
  })
  wash(@CheckedParams(idParam) { id }: ById, @CheckedBody(supplyWashed) washed: SupplyWashed): Promise<Supply> {
    return this.service.wash(id, washed);
  }

  @Post(':id/demote')
  @HttpCode(200)
  @Route({ summary: 'It has touched a shell: from now on it is for shells', does: ['changed', 'supply'], body: versioned, byId: true })
  demote(@CheckedParams(idParam) { id }: ById, @CheckedBody(versioned) { version }: Versioned): Promise<Supply> {
    return this.service.demote(id, version);
  }

  @Delete(':id')
  @HttpCode(204)
  @Route({ summary: 'Take it out of the drawer', does: ['removed', 'supply'], byId: true, answers: 204 })
  remove(@CheckedParams(idParam) { id }: ById): Promise<void> {
    return this.service.remove(id);
  }
}
