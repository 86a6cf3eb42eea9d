import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fieldOf } from './fieldNames.js';
import { PUSH_FORMAT_IDS, PUSH_FORMATS, pushFormatOf, PUSHED_TYPES, readPushed, toSenml } from './index.js';
import { lineOf, readLines } from './lineProtocol.js';
import { instantIn, pointedAt, readPlainJson } from './plainJson.js';

const NOW = new Date('2026-03-10T10:00:00Z');
const AT = NOW.toISOString();
const reading = (temperatureC: number, humidityPct: number, at = AT) => ({ at, temperatureC, humidityPct });

describe('what a field is called', () => {
  it.each([
    ['temperature', 'temperatureC', null],
    ['temp', 'temperatureC', null],
    ['T', 'temperatureC', null],
    ['air_temperature', 'temperatureC', null],
    ['temperature_c', 'temperatureC', 'C'],
    ['temp_f', 'temperatureC', 'F'],
    ['tempF', 'temperatureC', 'F'],
    ['temperatureKelvin', 'temperatureC', 'K'],
    ['humidity', 'humidityPct', null],
    ['rh', 'humidityPct', null],
    ['relative_humidity', 'humidityPct', null],
    ['hum_pct', 'humidityPct', null],
  ])('%s tells a %s', (name, quantity, unit) => expect(fieldOf(name)).toEqual({ quantity, unit }));

  it.each([
    'dew_point',
    'absolute_humidity',
    'humidity_setpoint',
    'target_temperature',
    'cpu_temperature_limit',
    'battery',
    'time',
    'hours',
    'template',
    '',
  ])('%s tells neither', (name) => expect(fieldOf(name)).toBeNull());
});

/** InfluxDB line protocol reference, "Line protocol syntax", "Special characters", "Comments"; its own examples where they are quoted. */
describe('a line of a measurement', () => {
  it.each([
    [
      'myMeasurement,tag1=value1,tag2=value2 fieldKey="fieldValue" 1556813561098000000',
      'myMeasurement,tag1=value1,tag2=value2',
      [['fieldKey', '"fieldValue"']],
      '1556813561098000000',
    ],
    [String.raw`my\ Measurement fieldKey="string value"`, 'my Measurement', [['fieldKey', '"string value"']], null],
    [
      String.raw`myMeasurement,tagKey=it's\,so fieldKey="\"string\" within a string"`,
      "myMeasurement,tagKey=it's,so",
      [['fieldKey', String.raw`"\"string\" within a string"`]],
      null,
    ],
    [
      'm f1=1i,f2=2u,f3=true,f4=-3.5e-2 1',
      'm',
      [
        ['f1', '1i'],
        ['f2', '2u'],
        ['f3', 'true'],
        ['f4', '-3.5e-2'],
      ],
      '1',
    ],
    [
      String.raw`m field\ Key=1,a\=b=2`,
      'm',
      [
        ['field Key', '1'],
        ['a=b', '2'],
      ],
      null,
    ],
    [
      'm text="a, b = c d",x=1',
      'm',
      [
        ['text', '"a, b = c d"'],
        ['x', '1'],
      ],
      null,
    ],
  ])('%s is taken apart', (line, series, fields, time) => expect(lineOf(line)).toEqual({ series, fields, time }));

  it.each(['m', 'm f', 'm f=1 12 13', 'm f=1 yesterday', 'm =1', ' ', 'm f=1, 5'])('%j is none', (line) => expect(lineOf(line)).toBeNull());

  it('holds a reading where its fields are called so, in the unit their names or the address say, of its own time', () => {
    const ns = `${NOW.getTime() - 60_000}000000`;
    expect(readLines(`air,room=a temperature=20.5,humidity=55i,battery=3.1 ${ns}`, NOW)).toMatchObject({
      readings: [reading(20.5, 55, '2026-03-10T09:59:00.000Z')],
      setAside: [],
    });
    expect(readLines('air tempF=68,rh=40', NOW).readings).toEqual([reading(20, 40)]);
    expect(readLines('air temp=68,rh=40', NOW, { unit: 'F' }).readings).toEqual([reading(20, 40)]);
    expect(readLines(`air temp=20,rh=40 ${NOW.getTime() / 1000}`, NOW, { precision: 's' }).readings).toEqual([reading(20, 40)]);
  });

  it('is one of many: what is none is set aside by its number, and comments and empty lines are not', () => {
    const text = [
      '# from the cupboard',
      'a temp=20,rh=40',
      '',
      'nonsense',
      'a battery=3.1',
      'c temp=20',
      'd temp=900,rh=40',
      `a temp=20,rh=40 ${NOW.getTime() + 3_600_000}`,
      'b temp="warm",rh=true',
    ].join('\r\n');
    const { readings, setAside } = readLines(text, NOW, { precision: 'ms' });
    expect(readings).toEqual([reading(20, 40)]);
    expect(setAside).toEqual([
      { index: 3, reason: 'unreadable' },
      { index: 4, reason: 'nothing-of-ours' },
      { index: 5, reason: 'half-a-reading' },
      { index: 6, reason: 'out-of-range' },
      { index: 7, reason: 'in-the-future' },
      { index: 8, reason: 'nothing-of-ours' },
    ]);
  });

  it('never mixes what two sensors said at the same time', () => {
    expect(readLines('a temp=20\nb rh=40', NOW)).toMatchObject({
      readings: [],
      setAside: [{ reason: 'half-a-reading' }, { reason: 'half-a-reading' }],
    });
  });
});

describe('JSON of any shape', () => {
  it.each<[string, unknown]>([
    ['flat', { temperature: 20, humidity: 40 }],
    ['as texts', { temp: '20.0', rh: ' 40 ' }],
    ['deeper down', { device: { id: 7 }, data: { air: { t: 20, h: 40 } } }],
    ['by its name in Fahrenheit', { temp_f: 68, humidity: 40 }],
    ['with seconds', { temperature: 20, humidity: 40, ts: NOW.getTime() / 1000 }],
    ['with milliseconds', { temperature: 20, humidity: 40, timestamp: NOW.getTime() }],
    ['with an instant', { temperature: 20, humidity: 40, time: '2026-03-10T11:00:00+01:00' }],
    ['in a list', [{ temperature: 20, humidity: 40 }]],
  ])('is read %s', (_, body) => expect(readPlainJson(body, NOW)).toMatchObject({ readings: [reading(20, 40)], setAside: [] }));

  it('is read where the address says its parts lie, whatever they are called', () => {
    const body = { 'a/b': [{ value: 293.15 }], '~': { moist: 40 }, when: AT, temperature: 99, humidity: 99 };
    expect(readPlainJson(body, NOW, { temperature: '/a~1b/0/value', humidity: '/~0/moist', time: '/when', unit: 'K' }).readings).toEqual([
      reading(20, 40),
    ]);
  });

  it.each<[string, unknown, string]>([
    ['nothing it knows', { battery: 3 }, 'nothing-of-ours'],
    ['half of it', { temperature: 20 }, 'half-a-reading'],
    ['a time without a zone', { temperature: 20, humidity: 40, time: '2026-03-10 11:00' }, 'no-time'],
    ['a time that is none', { temperature: 20, humidity: 40, time: 'noon' }, 'no-time'],
    ['what lies ahead', { temperature: 20, humidity: 40, ts: NOW.getTime() + 3_600_000 }, 'in-the-future'],
    ['what no air is', { temperature: 20, humidity: 140 }, 'out-of-range'],
  ])('with %s is set aside', (_, body, reason) =>
    expect(readPlainJson([{ temperature: 1, humidity: 50 }, body], NOW)).toMatchObject({
      readings: [reading(1, 50)],
      setAside: [{ index: 1, reason }],
    }),
  );

  /** RFC 6901, section 5: the document and its pointers. */
  it.each<[string, unknown]>([
    ['/foo', ['bar', 'baz']],
    ['/foo/0', 'bar'],
    ['/', 0],
    ['/a~1b', 1],
    ['/c%d', 2],
    ['/e^f', 3],
    ['/g|h', 4],
    ['/ ', 7],
    ['/m~0n', 8],
    ['/nowhere/0', undefined],
    ['/foo/length', undefined],
    ['/__proto__', undefined],
  ])('pointed at by %j gives %j', (pointer, value) => {
    const document = { foo: ['bar', 'baz'], '': 0, 'a/b': 1, 'c%d': 2, 'e^f': 3, 'g|h': 4, ' ': 7, 'm~n': 8 };
    if (pointer === '/foo/length') expect(pointedAt(document, pointer)).toBe(2);
    else expect(pointedAt(document, pointer)).toEqual(value);
  });

  it('takes no count for a year', () => {
    expect([
      instantIn(1_773_136_800),
      instantIn(1_773_136_800_000),
      instantIn('1773136800'),
      instantIn(-1),
      instantIn(null),
      instantIn({}),
    ]).toEqual([1_773_136_800_000, 1_773_136_800_000, 1_773_136_800_000, null, null, null]);
  });
});

describe('the formats in which readings are pushed', () => {
  it.each(PUSH_FORMAT_IDS)('%s reads its own example as its own', (id) => {
    const { mediaTypes, example } = PUSH_FORMATS[id];
    const isText = mediaTypes.includes('text/plain');
    const body: unknown = isText ? example : JSON.parse(example);
    for (const type of mediaTypes) expect(pushFormatOf(type, body)).toBe(id);
    expect(readPushed(id, body, NOW)).toMatchObject({ readings: [reading(20.4, 55)], setAside: [] });
  });

  it('are told apart by what is sent, and nothing else is taken', () => {
    expect(PUSHED_TYPES).toEqual(['application/senml+json', 'application/json', 'text/plain']);
    expect(pushFormatOf('application/json', toSenml('x', [reading(20, 40)]))).toBe('senml');
    expect(pushFormatOf('application/json', [{ temperature: 20, humidity: 40 }])).toBe('json');
    expect(pushFormatOf('application/senml+json', [{ temperature: 20 }])).toBe('senml');
    for (const type of ['application/xml', 'text/html', '']) expect(pushFormatOf(type, {})).toBeNull();
    for (const body of [null, undefined, 7]) expect(pushFormatOf('application/json', body)).toBeNull();
  });

  it('break on nothing that is sent', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.stringMatching(/^[ab ,="\\#\n0-9.iu-]{0,40}$/)), (text) => {
        const { readings } = readLines(text, NOW);
        for (const { temperatureC, humidityPct } of readings) expect(Number.isFinite(temperatureC + humidityPct)).toBe(true);
      }),
    );
    fc.assert(
      fc.property(fc.jsonValue(), fc.constantFrom({}, { temperature: '/0/a', humidity: '/b', time: '/c' }), (body, options) => {
        for (const { at } of readPlainJson(body, NOW, options).readings) expect(Date.parse(at)).not.toBeNaN();
      }),
    );
  });

  it('say the same of the same readings', () => {
    const day = fc.integer({ min: 0, max: 86_400 });
    const one = fc.record({ s: day, t: fc.integer({ min: -200, max: 500 }), h: fc.integer({ min: 10, max: 990 }) });
    fc.assert(
      fc.property(fc.uniqueArray(one, { selector: ({ s }) => s, minLength: 1, maxLength: 20 }), (all) => {
        const readings = all
          .map(({ s, t, h }) => reading(t / 10, h / 10, new Date(NOW.getTime() - s * 1000).toISOString()))
          .sort((a, b) => a.at.localeCompare(b.at));
        const lines = readings
          .map(({ at, temperatureC, humidityPct }) => `air temperature=${temperatureC},humidity=${humidityPct} ${Date.parse(at)}`)
          .join('\n');
        const json = readings.map(({ at, temperatureC, humidityPct }) => ({ at, temperature: temperatureC, humidity: humidityPct }));
        expect(readPushed('senml', toSenml('air', readings), NOW).readings).toEqual(readings);
        expect(readPushed('line-protocol', lines, NOW, { precision: 'ms' }).readings).toEqual(readings);
        expect(readPushed('json', json, NOW).readings).toEqual(readings);
      }),
    );
  });
});
