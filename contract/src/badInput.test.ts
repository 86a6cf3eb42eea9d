import { describe, expect, it } from 'vitest';
import type Joi from 'joi';
import {
  calibrationInput,
  chartQuery,
  deviceInput,
  fieldsOf,
  handReading,
  itemInput,
  happenedOutdoors,
  JOI_OPTIONS,
  JOI_QUERY_OPTIONS,
  logFormat,
  placeEvent,
  placeInput,
  planRequest,
  saveEvents,
  saveTeardown,
  senmlPack,
  startTeardown,
  supplyInput,
  timerInput,
} from './index.js';

const ID = '018f0000-0000-7000-8000-0000000000aa';
const place = {
  name: 'Shelf',
  kind: 'shelf',
  volumeL: 200,
  airChangesPerDay: null,
  openingsPerWeek: 0,
  lining: 'none',
  lowPct: 35,
  highPct: 60,
  standsInId: null,
  note: '',
};
const device = { name: 'Probe', source: 'push', outdoor: false, placeId: null, everyMinutes: 10, note: '' };
const salt = { salt: 'NaCl', temperatureC: 20, rawPct: 74 };
const test = { at: '2026-03-10T10:00:00Z', points: [salt] };
const format = {
  delimiter: ';',
  decimal: ',',
  dateOrder: 'dmy',
  date: 'Zeit',
  time: null,
  temperature: 'T',
  humidity: 'H',
  temperatureUnit: 'C',
  humidityUnit: 'pct',
  timeZone: 'UTC',
};
const stage = { id: ID, what: 'ring', parts: '', screws: '', turns: 2, mark: '', hasPhoto: false, closed: false };
const supply = { thing: 'sensor-swab', state: 'clean', stock: 4, packSize: 12, packPrice: 40, widthMm: 24, openedOn: null, note: '' };
const plan = { item: { kind: 'mirrorless-body', traits: {} }, findings: [], place: 'home' };

const check = (schema: Joi.Schema, value: unknown, options = JOI_OPTIONS) => {
  const { error } = schema.validate(value, options);
  return error ? fieldsOf(error) : {};
};

describe('what is right', () => {
  it.each([
    ['a place', placeInput, place],
    ['a device', deviceInput, device],
    ['a salt test', calibrationInput, test],
    ['a reading by hand', handReading, { at: null, temperatureC: 20, humidityPct: 50 }],
    ['a SenML pack with what RFC 8428 has besides', senmlPack, [{ bn: 'x', bt: 1.77e9, n: 't', u: 'Cel', v: 20, vs: 'extra' }]],
    ['a way to read a log', logFormat, format],
    ['gel put in', placeEvent, { kind: 'gel-set', at: null, desiccant: 'rice', massG: 500, loadingPct: 8 }],
    ['an indicator', placeEvent, { kind: 'indicator', at: null, colour: 'turning' }],
    ['an opening', placeEvent, { kind: 'opened', at: null }],
    ['a wait', timerInput, { size: 'mid-lens', wrapping: 'padded-bag', minutes: 40, itemId: null }],
    ['something outdoors', happenedOutdoors, { happening: 'rain', itemIds: [ID] }],
    ['a teardown', startTeardown, { itemId: ID, depth: 'front-group' }],
    ['its stages', saveTeardown, { version: 1, phase: 'opening', stages: [stage] }],
    ['a swab with its width', supplyInput, supply],
    ['a plan after the dry run', planRequest, { ...plan, sensorRehearsed: true }],
    [
      'the bench with a countdown',
      saveEvents,
      { version: 1, events: [{ type: 'exposure', step: 'a', at: '2026-03-10T10:00:00Z', seconds: 30 }] },
    ],
  ] as [string, Joi.Schema, unknown][])('passes: %s', (_, schema, value) => {
    expect(check(schema, value)).toEqual({});
  });
});

describe('what is wrong', () => {
  it.each([
    ['a place without a name', placeInput, { ...place, name: '   ' }, 'name', /not be empty/],
    ['a box of no size', placeInput, { ...place, volumeL: 0 }, 'volumeL', /At least 1/],
    ['a band upside down', placeInput, { ...place, lowPct: 60, highPct: 40 }, 'highPct', /above the lower/],
    ['a lining nobody knows', placeInput, { ...place, lining: 'moss' }, 'lining', /Choose one of/],
    ['a seal that cannot be', placeInput, { ...place, airChangesPerDay: -1 }, 'airChangesPerDay', /At least/],
    ['a key that is not ours', placeInput, { ...place, colour: 'red' }, 'colour', /leave it out/],
    ['a weather station in a cupboard', deviceInput, { ...device, outdoor: true, placeId: ID }, 'placeId', /outdoors/],
    ['a device that never reads', deviceInput, { ...device, everyMinutes: 0 }, 'everyMinutes', /At least/],
    ['a salt test without salt', calibrationInput, { ...test, points: [] }, 'points', /.+/],
    ['a salt nobody knows', calibrationInput, { ...test, points: [{ ...salt, salt: 'pepper' }] }, 'points.0.salt', /Choose one of/],
    ['a salt test far off', calibrationInput, { ...test, points: [{ ...salt, rawPct: 30 }] }, 'points', /settle/],
    [
      'two salts that contradict each other',
      calibrationInput,
      { ...test, points: [salt, { ...salt, rawPct: 60 }] },
      'points',
      /too close|swapped/,
    ],
    ['a humidity beyond 100', handReading, { temperatureC: 20, humidityPct: 101 }, 'humidityPct', /At most 100/],
    ['a temperature in kelvins', handReading, { temperatureC: 293, humidityPct: 50 }, 'temperatureC', /At most 85/],
    ['a value that is text', senmlPack, [{ n: 't', u: 'Cel', v: '20' }], '0.v', /number/],
    ['no records', senmlPack, [], 'body', /.+/],
    ['a time zone nobody lives in', logFormat, { ...format, timeZone: 'Mars/North' }, 'timeZone', /not a time zone/],
    ['a delimiter that is none', logFormat, { ...format, delimiter: 'x' }, 'delimiter', /Choose one of/],
    [
      'sand as a desiccant',
      placeEvent,
      { kind: 'gel-set', at: null, desiccant: 'sand', massG: 5, loadingPct: 2 },
      'desiccant',
      /Choose one of/,
    ],
    [
      'gel fuller than it gets',
      placeEvent,
      { kind: 'gel-set', at: null, desiccant: 'silica-gel', massG: 5, loadingPct: 90 },
      'loadingPct',
      /At most 40/,
    ],
    ['an event nobody knows', placeEvent, { kind: 'exploded', at: null }, 'kind', /Choose one of/],
    ['an opening with grams', placeEvent, { kind: 'opened', at: null, massG: 4 }, 'massG', /leave it out/],
    ['a wait of three days', timerInput, { size: null, wrapping: 'bare', minutes: 4321, itemId: null }, 'minutes', /At most/],
    ['a happening to nothing', happenedOutdoors, { happening: 'rain', itemIds: [] }, 'itemIds', /.+/],
    ['a happening to the same thing twice', happenedOutdoors, { happening: 'rain', itemIds: [ID, ID] }, 'itemIds.1', /twice/],
    ['a depth nobody knows', startTeardown, { itemId: ID, depth: 'the core' }, 'depth', /Choose one of/],
    ['two stages with one id', saveTeardown, { version: 1, phase: 'opening', stages: [stage, stage] }, 'stages.1', /twice/],
    ['a swab as wide as a hand', supplyInput, { ...supply, widthMm: 90 }, 'widthMm', /At most 80/],
    [
      'a mirror on a mirrorless body',
      planRequest,
      { ...plan, findings: [{ surface: 'reflex-mirror', soil: 'dust', severity: 2 }] },
      'findings.0.surface',
      /has no reflex-mirror/,
    ],
    [
      'an exposure of a second',
      saveEvents,
      { version: 1, events: [{ type: 'exposure', step: 'a', at: '2026-03-10T10:00:00Z', seconds: 1 }] },
      'events.0',
      /.+/,
    ],
  ] as [string, Joi.Schema, unknown, string, RegExp][])('is refused beside its field: %s', (_, schema, value, field, message) => {
    expect(check(schema, value)[field]).toMatch(message);
  });

  it('in an address is refused too, and numbers are read from its text', () => {
    const span = { from: '2026-01-01T00:00:00Z', to: '2026-02-01T00:00:00Z' };
    expect(chartQuery.validate({ ...span, points: '300' }, JOI_QUERY_OPTIONS).value.points).toBe(300);
    expect(check(chartQuery, { ...span, points: '5' }, JOI_QUERY_OPTIONS).points).toMatch(/At least 10/);
    expect(check(chartQuery, { ...span, from: 'Tuesday' }, JOI_QUERY_OPTIONS).from).toBeTruthy();
  });
});

describe('tags', () => {
  const withTags = (tags: unknown) => ({ name: 'A lens', kind: 'lens', traits: {}, notes: '', acquiredOn: null, particulars: { tags } });
  it.each([
    [[{ toString: 'x' }, 'kit']],
    [['kit', { toLowerCase: 1 }, null]],
    [[null, undefined, 'kit']],
    [[1, 2, ['kit']]],
    [[{ toString: 'x' }, { toString: 'x' }]],
  ])('of whatever kind are told of by their field, and break nothing: %j', (tags) => {
    const { error } = itemInput.validate(withTags(tags), JOI_OPTIONS);
    expect(Object.keys(fieldsOf(error!)).every((field) => field.startsWith('particulars.tags'))).toBe(true);
  });
  it('that differ only in their letters are one tag', () => {
    expect(itemInput.validate(withTags(['Kit', 'kit']), JOI_OPTIONS).error).toBeDefined();
    expect(itemInput.validate(withTags(['kit', 'kits']), JOI_OPTIONS).error).toBeUndefined();
  });
});
