import { Controller, Get, Module, Post, RequestMethod } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import { describe, expect, it } from 'vitest';
import { checkRoutes, keyedPaths, lackOf, Route } from './route.js';

@Controller('api/bell')
class BellController {
  @Get()
  @Route({ summary: 'Every bell' })
  all(): void {}

  @Post()
  @Route({ summary: 'Another bell', does: ['added', 'thing'] })
  add(): void {}

  @Post('rung/:key')
  @Route({ summary: 'It rang', by: 'device' })
  rang(): void {}
}

@Controller('api/door')
class DoorController {
  @Get('all')
  all(): void {}

  @Post('open')
  @Route({ summary: 'Opens it' })
  open(): void {}
}

@Module({ controllers: [BellController] })
class Whole {}

@Module({ controllers: [BellController, DoorController] })
class Lacking {}

const programOf = (module: object) => NestFactory.create(module, { logger: false });

describe('the record of a route', () => {
  it('lets a program start that says of every route what it is', async () => {
    const app = await programOf(Whole);
    expect(() => checkRoutes(app)).not.toThrow();
    expect(keyedPaths(app)).toEqual(['/api/bell/rung']);
  });

  it('is missed by name, and no program starts without it', async () => {
    const app = await programOf(Lacking);
    expect(() => checkRoutes(app)).toThrow('GET /api/door/all has no record; POST /api/door/open does not say what it does.');
  });

  it.each([
    [RequestMethod.GET, { summary: '', does: ['added', 'thing'] }, /changes nothing/],
    [RequestMethod.POST, { summary: '', by: 'device', does: 'asks' }, /whoever comes with a key/],
    [RequestMethod.DELETE, { summary: '' }, /does not say what it does/],
  ] as const)('of %s is none that contradicts itself: %o', (method, record, told) => expect(lackOf({ method, record })).toMatch(told));
});
