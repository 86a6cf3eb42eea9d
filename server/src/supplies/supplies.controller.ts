import {
  drawerIsAll,
  idParam,
  startDrawer,
  supplyInput,
  supplyUpdate,
  versioned,
  type Drawer,
  type DrawerIsAll,
  type StartDrawer,
  type Supply,
  type SupplyInput,
  type SupplyUpdate,
  type Versioned,
} from '@bright-keeper/contract';
import { Controller, Delete, Get, HttpCode, Post, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { CheckedBody, CheckedParams, Describe } from '../http/index.js';
import { SuppliesService } from './supplies.service.js';

type ById = { id: string };

@ApiTags('supplies')
@Controller('api/supplies')
export class SuppliesController {
  constructor(private readonly service: SuppliesService) {}

  @Get()
  @Describe({ summary: 'The drawer' })
  list(): Promise<Drawer> {
    return this.service.drawer();
  }

  @Post('starter')
  @HttpCode(200)
  @Describe({ summary: 'A drawer to begin with: what a way of working usually holds, uncounted', body: startDrawer })
  start(@CheckedBody(startDrawer) { starter }: StartDrawer): Promise<Drawer> {
    return this.service.start(starter);
  }

  @Put('all')
  @Describe({ summary: 'Is the drawer all there is? Plans then keep to it', body: drawerIsAll })
  setIsAll(@CheckedBody(drawerIsAll) { isAll }: DrawerIsAll): Promise<Drawer> {
    return this.service.setIsAll(isAll);
  }

  @Post()
  @Describe({ summary: 'Put a tool or a pack of something into the drawer', body: supplyInput, answers: 201 })
  add(@CheckedBody(supplyInput) input: SupplyInput): Promise<Supply> {
    return this.service.add(input);
  }

  @Put(':id')
  @Describe({ summary: 'Correct what is said of it', body: supplyUpdate, byId: true })
  update(@CheckedParams(idParam) { id }: ById, @CheckedBody(supplyUpdate) change: SupplyUpdate): Promise<Supply> {
    return this.service.update(id, change);
  }

  @Post(':id/wash')
  @HttpCode(200)
  @Describe({ summary: 'It was washed: clean again, and back at what it was sold for', body: versioned, byId: true })
  wash(@CheckedParams(idParam) { id }: ById, @CheckedBody(versioned) { version }: Versioned): Promise<Supply> {
    return this.service.wash(id, version);
  }

  @Post(':id/demote')
  @HttpCode(200)
  @Describe({ summary: 'It has touched a shell: from now on it is for shells', body: versioned, byId: true })
  demote(@CheckedParams(idParam) { id }: ById, @CheckedBody(versioned) { version }: Versioned): Promise<Supply> {
    return this.service.demote(id, version);
  }

  @Delete(':id')
  @HttpCode(204)
  @Describe({ summary: 'Take it out of the drawer', byId: true, answers: 204 })
  remove(@CheckedParams(idParam) { id }: ById): Promise<void> {
    return this.service.remove(id);
  }
}
