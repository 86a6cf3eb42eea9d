import { idParam, PROBLEM_TYPE } from '@bright-keeper/contract';
import { applyDecorators } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiParam, ApiQuery, ApiResponse } from '@nestjs/swagger';
import type Joi from 'joi';
import joiToSwaggerModule from 'joi-to-swagger';

type Described = { summary: string; body?: Joi.Schema; query?: Joi.ObjectSchema; byId?: boolean; answers?: number };

// The package is CommonJS: its types name a default export, which Node hands over one level further in.
const joiToSwagger = joiToSwaggerModule.default;

type Part = Record<string, object>;
const swaggerOf = (schema: Joi.Schema) => joiToSwagger(schema).swagger as { properties?: Part };

/** One parameter of the address for each key of a query schema. */
const queryParams = (schema: Joi.ObjectSchema) =>
  Object.entries(swaggerOf(schema).properties ?? {}).map(([name, part]) => ApiQuery({ name, required: false, schema: part }));

const decoratorsOf = ({ summary, body, query, byId, answers = 200 }: Described): MethodDecorator =>
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

/**
 * Describes a route from the same Joi schemas that check it, so that the documentation cannot drift. It is done when
 * somebody wants to read it: of all routes it takes a sixth of a second, and every start would pay for it.
 */
export const Describe =
  (described: Described): MethodDecorator =>
  (...route) =>
    void waiting.push(() => decoratorsOf(described)(...route));

/** To be called before the documentation is made. */
export function describeRoutes(): void {
  for (const describe of waiting.splice(0)) describe();
}
