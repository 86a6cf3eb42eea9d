import Joi from 'joi';
import { describe, expect, it } from 'vitest';
import { defineDocument, keptDocument, readDocument, UnreadableDocument } from './document.js';

const kind = defineDocument<{ litres: number }>({
  name: 'box',
  version: 3,
  schema: Joi.object({ litres: Joi.number().required() }),
  upgrades: { 1: (data) => ({ volume: (data as { size: number }).size }), 2: (data) => ({ litres: (data as { volume: number }).volume }) },
});

describe('a kept document', () => {
  it('is read as it was written', () => {
    expect(readDocument(kind, keptDocument(kind, { litres: 8 }))).toEqual({ litres: 8 });
  });
  it.each([
    [1, { size: 8 }],
    [2, { volume: 8 }],
    [3, { litres: 8 }],
  ])('goes from version %d up to the present one', (v, data) => {
    expect(readDocument(kind, { v, data })).toEqual({ litres: 8 });
  });
  it('is not registered while a version has no way to the next', () => {
    expect(() => defineDocument({ ...kind, upgrades: { 1: (data) => data } })).toThrow(/box: there is no upgrade from version 2 to 3/);
  });
  it.each([
    ['of a newer program', { v: 4, data: {} }, /version 4 is newer than 3/],
    ['without a version', { litres: 8 }, /carries no version/],
    ['that is not what it should be', { v: 3, data: { litres: 'much' } }, /box: litres: .* must be a number/],
  ])('is refused, by name: one %s', (_, raw, message) => {
    expect(() => readDocument(kind, raw)).toThrow(UnreadableDocument);
    expect(() => readDocument(kind, raw)).toThrow(message);
  });
  it('lies down without what the tables tell, and is whole again when read', () => {
    const named = defineDocument<{ id: string; name: string }>({
      name: 'named',
      version: 1,
      schema: Joi.object({ id: Joi.string().required() }),
      upgrades: {},
      lay: ({ id }) => ({ id }),
      makeWhole: ({ id }: { id: string }) => ({ id, name: id.toUpperCase() }),
    });
    expect(keptDocument(named, { id: 'a', name: 'A' })).toEqual({ v: 1, data: { id: 'a' } });
    expect(readDocument(named, { v: 1, data: { id: 'a' } })).toEqual({ id: 'a', name: 'A' });
  });
});
