import { idParam, PROBLEM_TYPE } from '@bright-keeper/contract';
import { applyDecorators } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiParam, ApiQuery, ApiResponse } from '@nestjs/swagger';
import type Joi from 'joi';
import joiToSwaggerModule from 'joi-to-swagger';

type Described = { summary: string; body?: Joi.Schema; query?: Joi.ObjectSchema; byId?: boolean; answers?: number };

// The package is CommonJS: its types name a default export, which Node hands over one level further in.
const joiToSwagger = joiToSwaggerModule.default;

const swaggerOf = (schema: Joi.Schema) => joiToSwagger(schema).swagger;

/** One parameter of the address for each key of a query schema. */
const queryParams = (schema: Joi.ObjectSchema) =>
  Object.entries((swaggerOf(schema) as { properties?: Record<string, object> }).properties ?? {}).map(([name, part]) =>
    ApiQuery({ name, required: false, schema: part }),
  );

/** Describes a route from the same Joi schemas that check it, so that the documentation cannot drift. */
export const Describe = ({ summary, body, query, byId, answers = 200 }: Described): MethodDecorator =>
  applyDecorators(
    ApiOperation({ summary }),
    ApiResponse({ status: answers }),
    ApiResponse({
      status: '4XX',
      description: 'A problem document (RFC 9457).',
      content: { [PROBLEM_TYPE]: { schema: { type: 'object' } } },
    }),
    ...(body ? [ApiBody({ schema: swaggerOf(body) as never })] : []),
    ...(query ? queryParams(query) : []),
    ...(byId ? [ApiParam({ name: 'id', schema: (swaggerOf(idParam) as { properties: { id: never } }).properties.id })] : []),
  );
