import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bareHalf, type Half, isBatteryLow, joinHalf, lastWordAfter, offersIn, parsedText, readPushed, unitOfTopic } from './index.js';
import { vitalsIn } from './vitals.js';

const NOW = new Date('2026-03-10T10:00:00Z');
const vitals = (format: 'senml' | 'json' | 'line-protocol', body: unknown) => readPushed(format, body, NOW);

describe('what a field says of the device', () => {
  it.each([
    ['battery', 87, { batteryPct: 87 }],
    ['battery_level', 3, { batteryPct: 3 }],
    ['batt_pct', 0, { batteryPct: 0 }],
    ['bat', 100, { batteryPct: 100 }],
    ['battery_low', true, { isBatteryLow: true }],
    ['lowBattery', 0, { isBatteryLow: false }],
    ['rssi', -71, { signalDbm: -71 }],
    ['signal_dbm', -110.5, { signalDbm: -110.5 }],
  ])('%s of %s', (name, value, said) => expect(vitalsIn(name, value)).toEqual(said));

  it.each([
    // Volts of a cell, or a share of it: a fresh one must not be called empty.
    ['battery', 3.1],
    ['battery', 1],
    ['battery', 0.9],
    ['battery', 101],
    ['battery_voltage', 87],
    ['battery', true],
    // A quality, and what those say that do not know.
    ['rssi', 72],
    ['rssi', 0],
    ['signal', -400],
    ['battery_low', 7],
    ['humidity', 50],
  ])('%s of %s says nothing of it', (name, value) => expect(vitalsIn(name, value)).toEqual({}));
});

/** Units: RFC 8428, section 12.1 (%EL, dBW), RFC 8798, table 1 (dBm, /100); both from memory. */
describe('a device that says how it is', () => {
  it.each([
    ['senml', [{ n: 'battery', u: '%EL', v: 12 }], { batteryPct: 12 }],
    ['senml', [{ n: 'battery', u: '/', v: 0.5 }], { batteryPct: 50 }],
    ['senml', [{ n: 'radio', u: 'dBm', v: -88 }], { signalDbm: -88 }],
    ['senml', [{ n: 'radio', u: 'dBW', v: -118 }], { signalDbm: -88 }],
    ['json', { device: { battery: 55, rssi: -60 }, temperature: 20, humidity: 40 }, { batteryPct: 55, signalDbm: -60 }],
    ['json', { temperature: 20, humidity: 40, battery_low: true }, { isBatteryLow: true }],
    ['line-protocol', 'a temp=20,rh=40,battery=91,battery_low=false', { batteryPct: 91, isBatteryLow: false }],
  ] as const)('as %s', (format, body, said) => expect(vitals(format, body)).toMatchObject({ vitals: said }));

  it('is not set aside where it says nothing else', () => {
    expect(vitals('json', { battery: 55 })).toEqual({ readings: [], setAside: [], vitals: { batteryPct: 55 }, aheadMs: null });
    expect(vitals('line-protocol', 'a battery=55')).toMatchObject({ readings: [], setAside: [] });
    expect(vitals('senml', [{ n: 'battery', u: '%EL', v: 55 }])).toMatchObject({ readings: [], setAside: [] });
  });

  it('never has a humidity taken for its battery, nor a battery for a humidity', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 100 }), fc.integer({ min: 0, max: 100 }), (battery, humidity) => {
        for (const said of [
          vitals('json', { temperature: 20, humidity, battery }),
          vitals('line-protocol', `a temperature=20,humidity=${humidity},battery=${battery}`),
          vitals('senml', [
            { n: 'temperature', u: 'Cel', v: 20 },
            { n: 'battery', u: '/', v: battery / 100 },
            { n: 'humidity', u: '/', v: humidity / 100 },
          ]),
        ]) {
          expect(said.readings[0]!.humidityPct).toBeCloseTo(humidity, 9);
          expect(said.vitals.batteryPct).toBeCloseTo(battery, 9);
        }
      }),
    );
  });

  it('needs a new battery by its level or its own word', () => {
    expect(isBatteryLow({ batteryPct: 15 })).toBe(true);
    expect(isBatteryLow({ batteryPct: 16 })).toBe(false);
    expect(isBatteryLow({ batteryPct: 80, isBatteryLow: true })).toBe(true);
    expect(isBatteryLow({ batteryPct: null, isBatteryLow: null })).toBe(false);
  });
});

describe('the last word of a device', () => {
  const after = (before: Parameters<typeof lastWordAfter>[0], body: unknown) => lastWordAfter(before, vitals('json', body), NOW);
  it('is nothing while it only says what it measures', () => {
    expect(after(null, { temperature: 20, humidity: 40 })).toBeNull();
    expect(after(null, { temperature: 20, humidity: 40, time: NOW.getTime() - 30_000 })).toBeNull();
  });
  it('keeps what it does not say again, and forgets what was wrong with the message before', () => {
    const first = after(null, { battery: 50 })!;
    expect(first).toMatchObject({ batteryPct: 50, setAside: null });
    const half = after(first, { temperature: 20 })!;
    expect(half).toMatchObject({ batteryPct: 50, setAside: 'half-a-reading' });
    expect(after(half, { temperature: 20, humidity: 40, rssi: -60 })).toMatchObject({ batteryPct: 50, signalDbm: -60, setAside: null });
  });
  it('remembers since when its battery is low, and that a new one is not', () => {
    const low = after(null, { battery: 12 })!;
    expect(low.lowSince).toBe(NOW.toISOString());
    const later = lastWordAfter(low, vitals('json', { battery: 11 }), new Date(NOW.getTime() + 3_600_000))!;
    expect(later).toMatchObject({ at: '2026-03-10T11:00:00.000Z', lowSince: NOW.toISOString(), batteryPct: 11 });
    expect(after(later, { temperature: 20, humidity: 40 })!.lowSince).toBe(NOW.toISOString());
    expect(after(later, { battery: 100 })!.lowSince).toBeNull();
  });
  it('says how far its clock is off, ahead and behind', () => {
    const at = (offS: number) => after(null, { temperature: 20, humidity: 40, time: NOW.getTime() + offS * 1000 });
    expect(at(300)).toMatchObject({ clockOffS: 300, setAside: null });
    expect(at(3600)).toMatchObject({ clockOffS: 3600, setAside: 'in-the-future' });
    expect(at(-7200)).toMatchObject({ clockOffS: -7200, setAside: null });
  });
});

describe('two halves of a reading', () => {
  const half = (quantity: Half['quantity'], value: number, s: number): Half => ({ quantity, value, ms: NOW.getTime() + s * 1000 });
  it('are one where they come right after each other', () => {
    const { waiting } = joinHalf(null, half('temperatureC', 20, 0));
    expect(joinHalf(waiting, half('humidityPct', 40, 2))).toEqual({
      reading: { at: '2026-03-10T10:00:02.000Z', temperatureC: 20, humidityPct: 40 },
      waiting: null,
    });
  });
  it('are none where one is old, or both are the same: the newer waits', () => {
    const old = half('temperatureC', 20, 0);
    expect(joinHalf(old, half('humidityPct', 40, 61))).toEqual({ reading: null, waiting: half('humidityPct', 40, 61) });
    expect(joinHalf(old, half('temperatureC', 21, 1))).toEqual({ reading: null, waiting: half('temperatureC', 21, 1) });
  });
  it.each(['on', '', '20,5', '0x14', '1e3', '{"v":20}', '20 C', 'NaN', '900', '-273'])('%j is no bare temperature', (text) =>
    expect(bareHalf(text, 'temperatureC', 0)).toBeNull(),
  );
  it('takes a bare number in the unit its topic says', () => {
    expect(bareHalf(' 68 ', 'temperatureC', 0, unitOfTopic('home/cupboard/temperature_f'))).toMatchObject({ value: 20 });
    expect(bareHalf('55', 'humidityPct', 0)).toMatchObject({ value: 55 });
  });
});

describe('a text without a type', () => {
  it.each([
    ['{"temperature":20,"humidity":40}', 'json'],
    ['[{"n":"temperature","u":"Cel","v":20}]', 'senml'],
    ['air temp=20,rh=40', 'line-protocol'],
  ])('%s is %s', (text, format) => expect(parsedText(text)?.format).toBe(format));
  it.each(['20.4', 'online', '', 'null', '"text"', '[', '\u0000\u0001'])('%j is none', (text) => expect(parsedText(text)).toBeNull());
});

describe('topics that were heard', () => {
  it('offer readings from one, or from a pair with the same parent', () => {
    const heard = [
      { topic: 'home/a/status', text: 'online' },
      { topic: 'home/cupboard', text: '{"temperature":19,"humidity":61,"battery":80}' },
      { topic: 'b/temperature', text: '20.5' },
      { topic: 'b/humidity', text: '44' },
      { topic: 'c/temperature', text: '20.5' },
      { topic: 'temp_f', text: '68' },
      { topic: 'rh', text: '50' },
      { topic: 'b/temperature', text: '21' },
    ];
    expect(offersIn(heard, NOW)).toEqual([
      { topic: 'b/temperature', humidityTopic: 'b/humidity', reading: { temperatureC: 21, humidityPct: 44 } },
      { topic: 'home/cupboard', humidityTopic: null, reading: { at: NOW.toISOString(), temperatureC: 19, humidityPct: 61 } },
      { topic: 'temp_f', humidityTopic: 'rh', reading: { temperatureC: 20, humidityPct: 50 } },
    ]);
  });
  it('never throw, whatever was said', () => {
    fc.assert(
      fc.property(fc.array(fc.record({ topic: fc.string(), text: fc.oneof(fc.string(), fc.json()) })), (heard) => {
        expect(Array.isArray(offersIn(heard, NOW))).toBe(true);
      }),
    );
  });
});
