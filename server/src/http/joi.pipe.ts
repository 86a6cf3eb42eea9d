import { commonErrors, fieldsOf, JOI_OPTIONS, JOI_QUERY_OPTIONS, unkeepableTexts } from '@bright-keeper/contract';
import { Body, Param, Query, type PipeTransform } from '@nestjs/common';
import type Joi from 'joi';
import { problem } from './problem.js';

/** As what JSON is sent. */
export const JSON_TYPES = ['application/json', 'application/senml+json'];

class JoiPipe<T> implements PipeTransform<unknown, T> {
  constructor(
    private readonly schema: Joi.Schema<T>,
    private readonly options: Joi.ValidationOptions,
  ) {}

  transform(value: unknown): T {
    const unkeepable = unkeepableTexts(value);
    if (Object.keys(unkeepable).length > 0) throw problem(commonErrors, 'bad-input', { fields: unkeepable });
    const result = this.schema.validate(value ?? {}, this.options);
    if (result.error) throw problem(commonErrors, 'bad-input', { fields: fieldsOf(result.error) });
    return result.value;
  }
}

/** What was sent, held against a schema that is known only once one sees it. @throws ProblemError 400 naming each field. */
export const checked = <T>(schema: Joi.Schema<T>, value: unknown): T => new JoiPipe(schema, JOI_OPTIONS).transform(value);

/** The request body, checked against a schema of the contract. */
export const CheckedBody = (schema: Joi.Schema): ParameterDecorator => Body(new JoiPipe(schema, JOI_OPTIONS));
/** The query, checked; numbers and booleans are read from its text. */
export const CheckedQuery = (schema: Joi.Schema): ParameterDecorator => Query(new JoiPipe(schema, JOI_QUERY_OPTIONS));
/** The path parameters, checked. */
export const CheckedParams = (schema: Joi.Schema): ParameterDecorator => Param(new JoiPipe(schema, JOI_QUERY_OPTIONS));
