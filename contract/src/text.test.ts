import { describe, expect, it } from 'vitest';
import { day, id, instant, uuidText } from './joi.js';
import { unkeepableTexts } from './text.js';

describe('text that cannot be kept', () => {
  it.each([
    ['a\0b', ['body']],
    [{ name: 'x\ud800' }, ['name']],
    [{ answers: [{ note: 'fine' }, { note: '\udc00' }] }, ['answers.1.note']],
    [{ traits: { 'a\0': 1 } }, ['traits']],
    ['a lens 🔭 “Zwölf”', []],
    [{ n: 1, b: null, c: [true] }, []],
  ])('%j is told by its field', (value, fields) => {
    expect(Object.keys(unkeepableTexts(value))).toEqual(fields);
  });

  it('is not looked for for ever', () => {
    let deep: unknown = 'x';
    for (let i = 0; i < 5000; i += 1) deep = [deep];
    expect(Object.values(unkeepableTexts(deep))[0]).toMatch(/nested/);
  });
});

const ID = '01a20000-0000-7000-8000-0000000000aa';
const takes = (schema: { validate: (value: unknown) => { error?: unknown } }, value: unknown) => !schema.validate(value).error;

describe('what stands in a request', () => {
  it.each([`(${ID})`, `[${ID}]`, `{${ID}}`, ID.replaceAll('-', ':'), ID.replaceAll('-', ''), '-'.repeat(36), ''])(
    'is no id: %s',
    (text) => {
      expect(takes(id(), text)).toBe(false);
      expect(uuidText.test(text)).toBe(false);
    },
  );
  it('is an id as we write them', () => expect([takes(id(), ID), uuidText.test(ID)]).toEqual([true, true]));

  it.each([
    ['2026-03-10T10:00:00Z', true],
    ['2026-03-10T10:00:00.123+05:30', true],
    ['2024-02-29T23:59:59-11:00', true],
    ['2026-02-31T10:00:00Z', false],
    ['2026-02-29T10:00:00Z', false],
    ['2026-03-10T10:75:00Z', false],
    ['2026-03-10T24:00:00Z', false],
    ['2026-03-10T10:00:00+99:99', false],
    ['2026-03-10T10:00:00', false],
    ['0000-01-01T00:00:00Z', false],
    ['-000001-01-01T00:00:00Z', false],
    ['+275760-09-13T00:00:00Z', false],
    ['1969-12-31T23:59:59Z', false],
  ])('is a moment, or none: %s', (text, good) => {
    expect(takes(instant(), text)).toBe(good);
  });

  it.each([
    ['2026-03-10', true],
    ['1890-01-01', true],
    ['2026-02-31', false],
    ['0000-01-01', false],
    ['9999-12-31', false],
  ])('is a day, or none: %s', (text, good) => {
    expect(takes(day(), text)).toBe(good);
  });
});
