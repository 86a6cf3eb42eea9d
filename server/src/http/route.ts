import { idParam, PROBLEM_TYPE, type TrailAct, type TrailSubject } from '@bright-keeper/contract';
import { applyDecorators, RequestMethod, type INestApplicationContext } from '@nestjs/common';
import { METHOD_METADATA, PATH_METADATA } from '@nestjs/common/constants.js';
import { ModulesContainer } from '@nestjs/core';
import { ApiBody, ApiOperation, ApiParam, ApiQuery, ApiResponse } from '@nestjs/swagger';
import type Joi from 'joi';
import joiToSwaggerModule from 'joi-to-swagger';

/** What was done, and to what: a line of the trail. */
export type Deed = { act: TrailAct; subject: TrailSubject };

/** All that is said of a route beside how it is answered: its description, what it does, and who comes by it. */
export type RouteRecord = {
  summary: string;
  body?: Joi.Schema;
  query?: Joi.ObjectSchema;
  byId?: boolean;
  answers?: number;
  /** What a call that may change something does, for the trail; `asks` where it only asks with a body. */
  does?: readonly [TrailAct, TrailSubject] | 'asks';
  /** Who may come; whoever is let in unless said. */
  by?: By;
  /** It is given a passphrase or a code, which somebody may guess: wrong tries are slowed. */
  isGuess?: boolean;
};

/**
 * Who may come by a route that is not for everybody who is let in: an owner, who is at the machine itself or has just
 * given the passphrase; whoever it is about, a reader, too; anyone; or whoever comes with a key of their own. A device
 * tells the trail of itself, key by key. Of everybody else, readers change nothing.
 */
export type By = 'owner' | 'oneself' | 'anyone' | 'device' | 'calendar';
const WITH_KEY: readonly By[] = ['device', 'calendar'];
const isByKey = (by: By | undefined): boolean => by !== undefined && WITH_KEY.includes(by);

// The package is CommonJS: its types name a default export, which Node hands over one level further in.
const joiToSwagger = joiToSwaggerModule.default;

type Part = Record<string, object>;
const swaggerOf = (schema: Joi.Schema) => joiToSwagger(schema).swagger as { properties?: Part };

/** What is not there may be told as null in OpenAPI 3.0; JSON Schema says so by a type. */
function withNull(part: unknown): unknown {
  if (Array.isArray(part)) return part.map(withNull);
  if (typeof part !== 'object' || part === null) return part;
  const { nullable, ...rest } = Object.fromEntries(Object.entries(part).map(([key, value]) => [key, withNull(value)]));
  return nullable === true && typeof rest.type === 'string' ? { ...rest, type: [rest.type, 'null'] } : rest;
}
/** A schema of the contract for the world outside (JSON Schema 2020-12), from the same that checks it here. */
export const jsonSchemaOf = (schema: Joi.Schema, head: { $id: string; title: string }): object => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  ...head,
  ...(withNull(swaggerOf(schema)) as object),
});

/** One parameter of the address for each key of a query schema. */
const queryParams = (schema: Joi.ObjectSchema) =>
  Object.entries(swaggerOf(schema).properties ?? {}).map(([name, part]) => ApiQuery({ name, required: false, schema: part }));

const decoratorsOf = ({ summary, body, query, byId, answers = 200 }: RouteRecord): MethodDecorator =>
  applyDecorators(
    ApiOperation({ summary }),
    ApiResponse({ status: answers }),
    ApiResponse({
      status: '4XX',
      description: 'A problem document (RFC 9457).',
      content: { [PROBLEM_TYPE]: { schema: { type: 'object' } } },
    }),
    ...(body ? [ApiBody({ schema: swaggerOf(body) })] : []),
    ...(query ? queryParams(query) : []),
    ...(byId ? [ApiParam({ name: 'id', schema: swaggerOf(idParam).properties!['id']! })] : []),
  );

/** Routes that are still to be described. */
const waiting: (() => void)[] = [];

/** What answers a route. */
export type Handler = (...given: never[]) => unknown;
const records = new WeakMap<Handler, RouteRecord>();

/**
 * A route's own record; one without it does not start. It is described from the same Joi schemas that check it, so that the
 * documentation cannot drift, and only when somebody wants to read it: of all routes it takes a sixth of a second, and
 * every start would pay for it.
 */
export const Route =
  (record: RouteRecord): MethodDecorator =>
  (target, name, descriptor) => {
    records.set(descriptor.value as Handler, record);
    waiting.push(() => decoratorsOf(record)(target, name, descriptor));
  };

/** What the record of a route says that it does; null where it only answers, or a device tells it of itself. */
export function deedOf(handler: Handler): Deed | null {
  const does = records.get(handler)?.does;
  return does === undefined || does === 'asks' ? null : { act: does[0], subject: does[1] };
}

/** Who may come by a route, as its record says; whoever is let in unless said. */
export const mayCome = (handler: Handler): By | 'let-in' => records.get(handler)?.by ?? 'let-in';

/** To be called before the documentation is made. */
export function describeRoutes(): void {
  for (const describe of waiting.splice(0)) describe();
}

type Found = { call: string; path: string; method: RequestMethod; record: RouteRecord | undefined };
const joined = (...parts: string[]): string =>
  `/${parts
    .flatMap((part) => part.split('/'))
    .filter(Boolean)
    .join('/')}`;

/** Every route of a program, with its record. */
function routesOf(app: INestApplicationContext): Found[] {
  const controllers = [...app.get(ModulesContainer).values()].flatMap((module) => [...module.controllers.values()]);
  return controllers.flatMap(({ metatype }) => {
    const { prototype } = metatype as { prototype: Record<string, Handler> };
    const handlers = Object.getOwnPropertyNames(prototype).map((name) => prototype[name]!);
    return handlers
      .filter((handler) => Reflect.hasMetadata(METHOD_METADATA, handler))
      .map((handler) => {
        const method = Reflect.getMetadata(METHOD_METADATA, handler) as RequestMethod;
        const path = joined(Reflect.getMetadata(PATH_METADATA, metatype!) as string, Reflect.getMetadata(PATH_METADATA, handler) as string);
        return { call: `${RequestMethod[method]} ${path}`, path, method, record: records.get(handler) };
      });
  });
}

/** What a route does not say, or says and should not; null where its record is whole. */
export function lackOf({ method, record }: Pick<Found, 'method' | 'record'>): string | null {
  if (!record) return 'has no record';
  if (method === RequestMethod.GET) return record.does === undefined ? null : 'is a GET, and changes nothing';
  if (record.by === 'anyone' && !record.isGuess) return 'lets anyone change something';
  if (isByKey(record.by)) return record.does === undefined ? null : 'is told of by whoever comes with a key';
  return record.does === undefined ? 'does not say what it does' : null;
}

/** @throws Error naming every route whose record lacks something: such a program does not start. */
export function checkRoutes(app: INestApplicationContext): void {
  const lacking = routesOf(app).flatMap((route) => {
    const lack = lackOf(route);
    return lack === null ? [] : [`${route.call} ${lack}`];
  });
  if (lacking.length > 0) throw new Error(`Routes whose @Route(…) is not whole: ${lacking.join('; ')}.`);
}

/** Where whoever comes with a key is answered: the part of the address before the key. */
export const keyedPaths = (app: INestApplicationContext): string[] =>
  routesOf(app).flatMap(({ path, record }) => (isByKey(record?.by) ? [path.split('/:')[0]!] : []));

/** Where wrong tries are slowed. */
export const guessedPaths = (app: INestApplicationContext): string[] =>
  routesOf(app).flatMap(({ path, record }) => (record?.isGuess ? [path] : []));

/** An address as exactly this path, with something for each part that varies. */
const exactly = (path: string): RegExp =>
  new RegExp(`^${path.replaceAll(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`).replaceAll(/:\w+/g, '[^/]+')}$`);

/** Who may come by a request's method and address. */
export type WhoMay = (method: string, path: string) => By | 'let-in';

/** Says by a request's method and address who may come by it. What is no route, or only looks like one, is for those who are let in. */
export function whoMayCome(app: INestApplicationContext): WhoMay {
  const open = routesOf(app).flatMap(({ path, method, record }) =>
    record?.by && record.by !== 'owner' && record.by !== 'oneself'
      ? [{ by: record.by, method: RequestMethod[method], address: exactly(path) }]
      : [],
  );
  return (method, path) => {
    const asked = method === 'HEAD' ? 'GET' : method;
    return open.find((route) => route.method === asked && route.address.test(path))?.by ?? 'let-in';
  };
}
