import {
  routes,
  type Accepted,
  type Device,
  type DeviceInput,
  type DeviceToken,
  type LogImportResult,
  type LogPreview,
  type Trail,
} from '@bright-keeper/contract';
import { air, MS_PER_MINUTE, sources } from '@bright-keeper/core';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { START, testApp, type TestApp } from '../testing/testApp.js';
import { instantFrom } from './logFormat.js';
import { daysOf, mergeDays, packHours, packReadings, tellHours, unpackReadings } from './packedDay.js';

let t: TestApp;
beforeAll(async () => void (t = await testApp()));
afterAll(() => t.app.close());

const device: DeviceInput = { name: 'Probe', source: 'push', outdoor: false, placeId: null, everyMinutes: 10, note: '', intake: null };
const addDevice = async (more: Partial<DeviceInput> = {}) =>
  (
    await t.http
      .post(routes.devices)
      .send({ ...device, ...more })
      .expect(201)
  ).body as Device;
const get = async (id: string) => (await t.http.get(routes.device(id)).expect(200)).body as Device;
const tokenOf = async (id: string) => ((await t.http.post(routes.deviceToken(id)).expect(201)).body as DeviceToken).token;
const log = (count: number, fromMs = START.getTime() - count * 10 * MS_PER_MINUTE): air.Reading[] =>
  Array.from({ length: count }, (_, i) => ({
    at: new Date(fromMs + i * 10 * MS_PER_MINUTE).toISOString(),
    temperatureC: 20 + (i % 5) / 10,
    humidityPct: 50 + (i % 7),
  }));
const push = (token: string, pack: object) =>
  t.http
    .post(routes.pushReadings)
    .set('authorization', `Bearer ${token}`)
    .set('content-type', 'application/senml+json')
    .send(JSON.stringify(pack));

describe('a packed day', () => {
  const dayOf = (...readings: [second: number, temperatureC: number, humidityPct: number][]) =>
    daysOf(
      air.columnsOf(
        readings.map(([second, temperatureC, humidityPct]) => ({
          at: new Date(Date.UTC(2026, 2, 10) + second * 1000).toISOString(),
          temperatureC,
          humidityPct,
        })),
      ),
    ).get('2026-03-10')!;
  const day = dayOf([0, -12.34, 99.99], [59, 20.1, 45.5], [86_399, 30, 0]);
  it('gives back what went in, to a hundredth, and its hours with their extremes', () => {
    expect(unpackReadings(packReadings(day))).toEqual(day);
    const hours: number[][] = [];
    tellHours('2026-03-10', packHours(day), (...hour) => hours.push(hour));
    expect(hours).toEqual([
      [Date.parse('2026-03-10T00:30:00Z'), 2, -12.34, 3.88, 20.1, 45.5, 72.75, 99.99],
      [Date.parse('2026-03-10T23:30:00Z'), 1, 30, 30, 30, 0, 0, 0],
    ]);
  });
  it('keeps the first of two readings in the same second', () => {
    const { merged, fresh } = mergeDays(day, dayOf([59, 1, 1], [60, 2, 2]));
    expect(fresh).toBe(1);
    expect([...merged.temperature]).toEqual([-1234, 2010, 200, 3000]);
    // Told twice in one go, and out of order.
    expect([...dayOf([60, 3, 3], [59, 1, 1], [60, 2, 2]).temperature]).toEqual([100, 300]);
  });
});

describe('a device that pushes', () => {
  it('is answered for itself among others who push at once: each reading is kept, told twice it counts once, a wrong key keeps nothing', async () => {
    const probes = await Promise.all(Array.from({ length: 6 }, () => addDevice()));
    const keys = await Promise.all(probes.map(({ id }) => tokenOf(id)));
    const pack = (i: number) =>
      sources.toSenml('probe', [{ ...log(1)[0]!, at: new Date(START.getTime() - i * 10 * MS_PER_MINUTE).toISOString() }]);
    const sent = keys.flatMap((key, i) => [push(key, pack(i)), push(key, pack(i + 10)), push(key, pack(i))]);
    const [wrong, ...answers] = await Promise.all([push('no-such-key', pack(3)), ...sent]);
    expect(wrong.status).toBe(401);
    expect(answers.map((a) => a.status)).toEqual(sent.map(() => 200));
    const counts = answers.map((a) => a.body as Accepted);
    for (let i = 0; i < probes.length; i += 1) {
      const own = counts.slice(3 * i, 3 * i + 3);
      expect(own.reduce((sum, a) => sum + a.accepted, 0)).toBe(2);
      expect(own.reduce((sum, a) => sum + a.duplicates, 0)).toBe(1);
      const told = await get(probes[i]!.id);
      expect(told.latest?.at).toBe(new Date(START.getTime() - i * 10 * MS_PER_MINUTE).toISOString());
      expect(told.readings).toBe(2);
    }
    const { entries } = (await t.http.get(`${routes.trail}?who=device`).expect(200)).body as Trail;
    for (const { id } of probes) expect(entries.find((e) => e.who.is === 'device' && e.who.id === id)).toMatchObject({ times: 3 });
  });

  it('needs its own key, and an old key stops working', async () => {
    const { id } = await addDevice();
    const token = await tokenOf(id);
    const pack = sources.toSenml('probe', log(3));
    expect((await push(token, pack).expect(200)).body).toEqual({ accepted: 3, duplicates: 0, setAside: [] });
    const refused = await push('wrong', pack).expect(401);
    expect(refused.headers['content-type']).toMatch(/problem\+json/);
    await tokenOf(id);
    await push(token, pack).expect(401);
    await t.http.post(routes.pushReadings).send(pack).expect(401);
    const last = await tokenOf(id);
    await push(last, pack).expect(200);
    await t.http.delete(routes.deviceToken(id)).expect(204);
    await push(last, pack).expect(401);
    expect(((await t.http.get(routes.device(id))).body as Device).hasToken).toBe(false);
  });

  it('has its good readings kept and the others set aside with a reason', async () => {
    const { id } = await addDevice();
    const token = await tokenOf(id);
    const good = sources.toSenml('probe', log(2));
    const { body } = await push(token, [...good, { n: 'h', u: '%RH', v: 190 }, { n: 't', u: 'Fahr', v: 70 }]).expect(200);
    expect(body.accepted).toBe(2);
    expect((body as Accepted).setAside.map((s) => s.reason)).toEqual(['out-of-range', 'unknown-unit']);
    await push(token, [{ n: 'h', u: 5 }]).expect(400);
    expect((await get(id)).readings).toBe(2);
  });

  it('loses nothing when two push at once, and the same twice counts once', async () => {
    const [a, b] = [await addDevice(), await addDevice()];
    const tokens = { a: await tokenOf(a.id), b: await tokenOf(b.id) };
    const readings = log(300);
    const parts = [0, 1, 2, 3, 4, 5].map((k) => readings.slice(k * 50, (k + 1) * 50));
    await Promise.all(
      parts.flatMap((p) => [push(tokens.a, sources.toSenml('a', p)), push(tokens.b, sources.toSenml('b', p))]).map((r) => r.expect(200)),
    );
    for (const { id } of [a, b]) expect((await get(id)).readings).toBe(300);
    expect((await push(tokens.a, sources.toSenml('a', readings)).expect(200)).body).toMatchObject({ accepted: 0, duplicates: 300 });
  });

  it('out of order is put in order; a clock that goes back is marked', async () => {
    const { id } = await addDevice();
    const token = await tokenOf(id);
    const [first, second] = log(2) as [air.Reading, air.Reading];
    await push(token, sources.toSenml('x', [second])).expect(200);
    await push(token, sources.toSenml('x', [first])).expect(200);
    const seen = await get(id);
    expect(seen.latest!.at).toBe(second.at);
    expect(seen.clockJumps.map((j) => j.backMin)).toEqual([10]);
  });

  it('falls silent after six of its intervals', async () => {
    const { id } = await addDevice({ everyMinutes: 30 });
    const token = await tokenOf(id);
    await push(token, sources.toSenml('x', log(1))).expect(200);
    expect((await get(id)).silent).toBe(false);
    t.clock.set(new Date(START.getTime() + 4 * 60 * MS_PER_MINUTE));
    expect((await get(id)).silent).toBe(true);
    t.clock.set(START);
  });

  it('outdoors may send a forecast, indoors not', async () => {
    const station = await addDevice({ outdoor: true });
    const ahead = log(5, START.getTime() + 60 * MS_PER_MINUTE);
    const send = async (id: string) =>
      t.http
        .post(routes.pushForecast)
        .set('authorization', `Bearer ${await tokenOf(id)}`)
        .send(sources.toSenml('w', ahead));
    expect((await send(station.id)).body).toMatchObject({ accepted: 5, setAside: [] });
    expect((await send((await addDevice()).id)).status).toBe(409);
  });
});

describe('a reading typed by hand', () => {
  it('is kept, and refused in the future or out of range with the field named', async () => {
    const { id } = await addDevice({ source: 'hand' });
    const type = (body: object) => t.http.post(routes.deviceReadings(id)).send(body);
    expect((await type({ temperatureC: 21, humidityPct: 55 }).expect(200)).body.accepted).toBe(1);
    expect((await type({ temperatureC: 21, humidityPct: 155 }).expect(400)).body.fields.humidityPct).toBeTruthy();
    expect((await type({ temperatureC: 21, humidityPct: 55, at: '2027-01-01T00:00:00Z' }).expect(422)).body.fields.at).toBeTruthy();
  });
});

describe('a salt test', () => {
  it('shows corrected values and keeps the raw ones', async () => {
    const { id } = await addDevice({ source: 'hand' });
    await t.http.post(routes.deviceReadings(id)).send({ temperatureC: 25, humidityPct: 55 }).expect(200);
    const points = [
      { salt: 'MgCl2', temperatureC: 25, rawPct: 36 },
      { salt: 'NaCl', temperatureC: 25, rawPct: 74 },
    ];
    const after = (await t.http.post(routes.deviceCalibrations(id)).send({ at: START.toISOString(), points }).expect(201)).body as Device;
    expect(after.latest!.rawHumidityPct).toBe(55);
    expect(after.latest!.humidityPct).toBeCloseTo(54.0, 1);
    expect(after.calibrations[0]!.correction.gain).toBeCloseTo(1.1187, 4);
    const bad = await t.http
      .post(routes.deviceCalibrations(id))
      .send({ at: START.toISOString(), points: [{ ...points[1], rawPct: 20 }] })
      .expect(400);
    expect(bad.body.fields.points).toMatch(/settle/);
    const csv = (await t.http.get(routes.deviceExport(id)).expect(200)).text.trim().split('\n');
    expect(csv[0]).toBe('at,temperatureC,humidityPct,rawHumidityPct');
    expect(csv[1]).toMatch(/^2026-03-10T10:00:00.000Z,25,54\.0\d,55$/);
  });
});

describe('a CSV log', () => {
  const preview = async (text: string) =>
    (
      await t.http
        .post(routes.logPreview)
        .send({ startBase64: Buffer.from(text).toString('base64') })
        .expect(200)
    ).body as LogPreview;
  const send = async (id: string, text: string, format: object, check = false) =>
    t.http
      .post(`${routes.logImport(id)}?check=${check}&format=${encodeURIComponent(JSON.stringify(format))}`)
      .set('content-type', 'text/csv')
      .send(text);

  it.each([
    [
      'semicolons, decimal commas, day first',
      'Datum;Uhrzeit;Temperatur °C;Feuchte %\n31.12.2025;23:50;20,5;55,2\n01.01.2026;00:00;20,4;55,3\n',
      { delimiter: ';', decimal: ',', dateOrder: 'dmy', time: 'Uhrzeit' },
      '2025-12-31T23:50:00.000Z',
    ],
    [
      'commas, month first, degrees Fahrenheit',
      'Timestamp,Temp (°F),RH (%)\n1/13/2026 11:30 PM,68.0,44\n1/14/2026 12:30 AM,68.9,45\n',
      { delimiter: ',', dateOrder: 'mdy', temperatureUnit: 'F', time: null },
      '2026-01-13T23:30:00.000Z',
    ],
    [
      'ISO with an offset, humidity as a fraction',
      'time\ttemp\thumidity\tdew point\n2026-01-05T10:00:00+02:00\t19.5\t0.48\t8\n2026-01-05T10:10:00+02:00\t19.6\t0.49\t8\n',
      { delimiter: '\t', dateOrder: 'iso', humidityUnit: 'fraction' },
      '2026-01-05T08:00:00.000Z',
    ],
    [
      'seconds since 1970',
      'date,temperature,humidity\n1767600000,20,50\n1767600600,20,51\n',
      { dateOrder: 'unix-s' },
      '2026-01-05T08:00:00.000Z',
    ],
  ])('with %s is read as it stands', async (_, text, format, first) => {
    const seen = await preview(text);
    expect(seen.format).toMatchObject(format);
    expect(seen.rows[0]!.at).toBe(first);
    expect(seen.rows[0]!.problem).toBeNull();
    expect(seen.rows[0]!.temperatureC).toBeLessThan(25);
    expect(seen.rows[0]!.humidityPct).toBeGreaterThan(40);
    const { id } = await addDevice({ source: 'csv' });
    expect(((await send(id, text, seen.format)).body as LogImportResult).accepted).toBe(2);
  });

  it('sets bad rows aside with count, reason and line, merges overlaps, marks gaps and clock jumps, and checks before it writes', async () => {
    const { id } = await addDevice({ source: 'csv' });
    const row = (minute: number) =>
      `${new Date(START.getTime() - 86_400_000 + minute * MS_PER_MINUTE).toISOString()},20.0,${50 + (minute % 3)}`;
    const text = [
      'time,temp,hum',
      row(0),
      row(10),
      'yesterday,20,50',
      `${new Date(START.getTime() - 80_000_000).toISOString()},20,dry`,
      `${new Date(START.getTime() - 80_000_000).toISOString()},20,400`,
      '2031-01-01T00:00:00Z,20,50',
      'short',
      row(10),
      row(600),
      row(20),
    ].join('\n');
    const { format } = await preview(text);
    const checked = (await send(id, text, format, true)).body as LogImportResult;
    expect(checked).toMatchObject({ rows: 10, accepted: 5 });
    expect((await get(id)).readings).toBe(0);
    const done = (await send(id, text, format)).body as LogImportResult;
    expect(done).toMatchObject({ accepted: 4, duplicates: 1, clockJumps: 1 });
    expect(done.setAside).toMatchObject({ 'no-time': 1, 'no-number': 1, 'out-of-range': 1, 'in-the-future': 1, 'short-row': 1 });
    expect(done.examples[0]).toMatchObject({ line: 4, problem: 'no-time' });
    expect(done.gaps).toHaveLength(1);
    expect((await send(id, text, format)).body as LogImportResult).toMatchObject({ accepted: 0, duplicates: 5 });
  });

  it.each([
    ['a byte-order mark before the date', '\uFEFFtime,temp,hum\n2026-01-01T00:00:00Z,20,50\n', 'utf8', [null]],
    ['UTF-16', '\uFEFFtime;temp;hum\n2026-01-01T00:00:00Z;20;50\n', 'utf16le', [null]],
    [
      'a quotation mark that is not closed',
      'time,temp,hum\n"2026-01-01T00:00:00Z,20,50\n2026-01-01T01:00:00Z,20,50\n',
      'utf8',
      ['open-quote', null],
    ],
    [
      'days and times that are none',
      'time,temp,hum\n2026-02-31T00:00:00Z,20,50\n2026-02-28T10:75:00Z,20,50\n2026-02-28T10:00:00+99:99,20,50\n1969-12-31T23:00:00Z,20,50\n2026-02-28T10:00:00+05:30,20,50\n',
      'utf8',
      ['no-time', 'no-time', 'no-time', 'no-time', null],
    ],
    [
      'times beyond any calendar',
      'date,temp,hum\n1e300,20,50\n-1e300,20,50\n1767600000,20,50\n',
      'utf8',
      ['in-the-future', 'no-time', null],
    ],
  ] as const)('with %s is read row by row', async (_, text, encoding, faults) => {
    const bytes = Buffer.from(text, encoding);
    const seen = (
      await t.http
        .post(routes.logPreview)
        .send({ startBase64: bytes.toString('base64') })
        .expect(200)
    ).body as LogPreview;
    const format = { ...seen.format, dateOrder: text.startsWith('date') ? 'unix-s' : 'iso' };
    const { id } = await addDevice({ source: 'csv' });
    const { body } = await t.http
      .post(`${routes.logImport(id)}?format=${encodeURIComponent(JSON.stringify(format))}`)
      .set('content-type', 'text/csv')
      .send(bytes)
      .expect(200);
    const done = body as LogImportResult;
    expect(done.accepted).toBe(faults.filter((f) => f === null).length);
    expect(done.examples.map((e) => e.problem)).toEqual(faults.filter((f) => f !== null));
  });

  it('is not taken as JSON', async () => {
    const { id } = await addDevice({ source: 'csv' });
    const { format } = await preview('time,temp,hum\n2026-01-01T00:00:00Z,20,50\n');
    const { body } = await t.http
      .post(`${routes.logImport(id)}?format=${encodeURIComponent(JSON.stringify(format))}`)
      .send({ time: 1 })
      .expect(415);
    expect((body as { code: string }).code).toBe('log-type');
  });

  it('notices a wrong time zone where it overlaps what is there', async () => {
    const { id } = await addDevice({ source: 'csv' });
    const course = (i: number) => `${(19 + 3 * Math.sin(i / 4) + Math.sin(i * 0.9)).toFixed(1)},${(55 + 6 * Math.cos(i / 5)).toFixed(0)}`;
    const from = START.getTime() - 10 * 86_400_000;
    const text = (shiftH: number) =>
      [
        'time,temp,hum',
        ...Array.from({ length: 150 }, (_, i) => `${new Date(from + (i + shiftH) * 60 * MS_PER_MINUTE).toISOString()},${course(i)}`),
      ].join('\n');
    const { format } = await preview(text(0));
    expect(((await send(id, text(0), format)).body as LogImportResult).shiftHours).toBeNull();
    expect(((await send(id, text(2), format, true)).body as LogImportResult).shiftHours).toBe(2);
  });

  it('refuses what is no table and a format that does not fit, naming the remedy', async () => {
    const { id } = await addDevice({ source: 'csv' });
    await t.http
      .post(routes.logPreview)
      .send({ startBase64: Buffer.from('just some words').toString('base64') })
      .expect(422);
    const { format } = await preview('time,temp,hum\n2026-01-01T00:00:00Z,20,50\n');
    const wrong = await send(id, 'a,b\n1,2\n', format);
    expect(wrong.status).toBe(400);
    expect(wrong.body.detail).toMatch(/no column “time”/);
    expect((await send(id, '', format)).status).toBe(422);
    await t.http
      .post(`${routes.logImport(id)}?format=nonsense`)
      .set('content-type', 'text/csv')
      .send('x')
      .expect(400);
  });

  it('that is long holds up nobody: who asks for something small is answered before it is in', async () => {
    const { id } = await addDevice({ source: 'csv' });
    const rows = Array.from({ length: 100_000 }, (_, i) => `${new Date(START.getTime() - (i + 1) * 60_000).toISOString()},20.5,50.5`);
    const text = `time,temp,hum\n${rows.reverse().join('\n')}\n`;
    const { format } = await preview(text.slice(0, 2000));
    let isIn = false;
    const importing = send(id, text, format).then((response) => {
      isIn = true;
      return response;
    });
    const answered: boolean[] = [];
    while (!isIn) {
      await t.http.get(routes.settings).expect(200);
      answered.push(isIn);
    }
    expect((await importing).body).toMatchObject({ accepted: 100_000 });
    expect(answered.filter((after) => !after).length).toBeGreaterThan(3);
  });

  it('counts summer time as the zone does', () => {
    const zone = { dateOrder: 'iso' as const, timeZone: 'Europe/Lisbon' };
    expect(new Date(instantFrom('2026-07-01 12:00', zone)).toISOString()).toBe('2026-07-01T11:00:00.000Z');
    expect(new Date(instantFrom('2026-01-01 12:00', zone)).toISOString()).toBe('2026-01-01T12:00:00.000Z');
    expect(instantFrom('2026-02-30 12:00', zone)).toBeNaN();
    for (const text of ['2026-02-30T12:00:00', '2026-03-01 24:00', '2026-03-01 10:61', '2026-13-01 10:00:00'])
      expect(instantFrom(text, zone), text).toEqual(instantFrom(` ${text}`, zone));
  });

  it('are read by their digits as by the rules, which a space before them asks for', () => {
    fc.assert(
      fc.property(fc.date({ min: new Date('1971-01-01'), max: new Date('2099-12-31'), noInvalidDate: true }), (date) => {
        const [iso, time] = [date.toISOString(), date.toISOString().slice(11, 19)];
        const [y, m, d] = iso.slice(0, 10).split('-') as [string, string, string];
        const timeZone = 'Europe/Lisbon';
        for (const [text, dateOrder] of [
          [iso, 'iso'],
          [`${y}-${m}-${d} ${time}`, 'iso'],
          [`${y}-${m}-${d}T${time.slice(0, 5)}`, 'iso'],
          [`${d}.${m}.${y} ${time}`, 'dmy'],
          [`${m}/${d}/${y} ${time.slice(0, 5)}`, 'mdy'],
        ] as const) {
          const quick = instantFrom(text, { dateOrder, timeZone });
          // The rules leave fractions of a second out.
          expect(Math.floor(quick / 1000), text).toBe(Math.floor(instantFrom(` ${text}`, { dateOrder, timeZone }) / 1000));
        }
      }),
      { seed: 4872 },
    );
  });
});
