import {
  routes,
  type Chart,
  type Device,
  type ItemExposure,
  type Moved,
  type Place,
  type PlaceExplanation,
  type PlaceInput,
  type PlacePage,
  type StorageOverview,
  type Timer,
  type Today,
  type WhatIfStart,
} from '@bright-keeper/contract';
import { air, MS_PER_HOUR, sources, storage } from '@bright-keeper/core';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { START, testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeEach(async () => void (t = await testApp()));
afterEach(() => t.app.close());

const DAY = 24 * MS_PER_HOUR;

/** A place with a hygrometer and a log up to now; invented. */
async function measured(place: Place, hours: number, rule: (hourAgo: number) => [number, number]): Promise<Device> {
  const input = { name: `Probe in ${place.name}`, source: 'push', outdoor: false, placeId: place.id, everyMinutes: 60, note: '' };
  const device = (await t.http.post(routes.devices).send(input).expect(201)).body as Device;
  const { token } = (await t.http.post(routes.deviceToken(device.id)).expect(201)).body as { token: string };
  const readings: air.Reading[] = Array.from({ length: hours }, (_, i) => {
    const ago = hours - 1 - i;
    const [temperatureC, humidityPct] = rule(ago);
    return { at: new Date(START.getTime() - ago * MS_PER_HOUR).toISOString(), temperatureC, humidityPct };
  });
  for (let i = 0; i < readings.length; i += 5000)
    await t.http
      .post(routes.pushReadings)
      .set('authorization', `Bearer ${token}`)
      .send(sources.toSenml('p', readings.slice(i, i + 5000)))
      .expect(200);
  return device;
}
const airLog = (readings: readonly air.Reading[]) => air.columnsOf(readings);
const page = async (id: string) => (await t.http.get(routes.placePage(id)).expect(200)).body as PlacePage;
const today = async () => (await t.http.get(routes.today).expect(200)).body as Today;
/** What wants the keeper of the air and what lies in it, as it stands on Today. */
const inTheAir = async () => (await today()).duties.flatMap((d) => (d.facts.says === 'air' ? [d.facts] : []));
const settings = async (change: object) => {
  const now = (await t.http.get(routes.settings).expect(200)).body;
  await t.http
    .put(routes.settings)
    .send({ ...now, schools: { ...now.schools, ...change } })
    .expect(200);
};

describe('a place', () => {
  it('shows its ribbon, zone and risk, and follows the keeper’s humidity school', async () => {
    const place = await t.addPlace();
    await measured(place, 150 * 24, () => [22, 72]);
    await settings({ humidity: 'relaxed' });
    const relaxed = await page(place.id);
    expect(relaxed).toMatchObject({ zone: 'damp', assessment: { level: 'safe' } });
    expect(relaxed.ribbon.length).toBeGreaterThan(85);
    expect(relaxed.ribbon.at(-1)!.meanPct).toBeCloseTo(72, 6);
    await settings({ humidity: 'cautious' });
    expect((await page(place.id)).assessment!.level).toBe('act');
    expect((await inTheAir()).map((a) => a.cause)).toEqual(['fungus']);
  });

  it('alerts once a cause, with the one action that helps, and withdraws it with hysteresis', async () => {
    const place = await t.addPlace();
    await settings({ humidity: 'relaxed' });
    await measured(place, 10 * 24, (ago) => [20, ago > 5 * 24 ? 50 : 63]);
    const [damp, ...more] = (await today()).duties;
    expect(more).toEqual([]);
    expect(damp).toMatchObject({
      id: `damp/place/${place.id}`,
      gravity: 'worsens',
      facts: { cause: 'damp', placeId: place.id, highPct: place.highPct },
    });
    expect((damp!.facts as { since: string }).since).toBeTruthy();
  });

  it('charts years by hours and days by readings, keeping every extreme, with its gaps', async () => {
    const place = await t.addPlace();
    await measured(place, 400 * 24, (ago) => [20, ago === 5000 ? 97 : ago > 3000 && ago < 3100 ? 12 : 50]);
    const chart = async (days: number) =>
      (
        await t.http
          .get(routes.placeChart(place.id))
          .query({ from: new Date(START.getTime() - days * DAY).toISOString(), to: START.toISOString(), points: 200 })
          .expect(200)
      ).body as Chart;
    const year = await chart(400);
    expect(year.points.length).toBeLessThanOrEqual(200);
    expect(Math.max(...year.points.map((p) => p.humidityPct.max))).toBe(97);
    expect(Math.min(...year.points.map((p) => p.humidityPct.min))).toBe(12);
    expect(year.points.every((p) => p.dewPointC <= p.temperatureC.max)).toBe(true);
    expect((await chart(1)).points.length).toBeGreaterThan(20);
    await t.http.get(routes.placeChart(place.id)).query({ from: 'then', to: START.toISOString() }).expect(400);
  });

  it('measures its seal against the room around it, and reckons with that', async () => {
    const room = await t.addPlace({ name: 'Room' });
    const box = await t.addPlace({ name: 'Box', kind: 'sealed-box', volumeL: 50, standsInId: room.id });
    const weather = (ago: number): [number, number] => [20, 58 + 14 * Math.sin(ago / 30) + 5 * Math.sin(ago / 7)];
    await measured(room, 30 * 24, weather);
    const log = Array.from({ length: 30 * 24 }, (_, i) => 30 * 24 - 1 - i).map((ago) => ({
      at: new Date(START.getTime() - ago * MS_PER_HOUR).toISOString(),
      temperatureC: weather(ago)[0],
      humidityPct: weather(ago)[1],
    }));
    const inside = storage.simulateBox({ volumeL: 50, airChangesPerDay: 1, openingsPerWeek: 0, targetPct: 60 }, log).readings;
    await measured(box, 30 * 24, (ago) => [20, inside[30 * 24 - 1 - ago]!.humidityPct]);
    const seen = await page(box.id);
    expect(seen.seal!.determined).toBe(true);
    expect(seen.airChanges).toMatchObject({ from: 'measured' });
    expect(seen.airChanges.perDay! / 1).toBeCloseTo(1, 0);
    expect(seen.room).toMatchObject({ source: 'place', name: 'Room' });
  });

  it('knows the day its gel is spent, warns before, and believes the indicator', async () => {
    const room = await t.addPlace({ name: 'Room', highPct: 90 });
    await measured(room, 60 * 24, () => [22, 65]);
    const box = await t.addPlace({
      name: 'Box',
      kind: 'sealed-box',
      volumeL: 50,
      airChangesPerDay: 0.5,
      openingsPerWeek: 2,
      highPct: 45,
      standsInId: room.id,
    });
    const event = (body: object) => t.http.post(routes.placeEvents(box.id)).send(body);
    const at = new Date(START.getTime() - 40 * DAY).toISOString();
    const set = (await event({ kind: 'gel-set', at, desiccant: 'silica-gel', massG: 50, loadingPct: 2 }).expect(201)).body as PlacePage;
    expect(set.gel).toMatchObject({ massG: 50, knownFrom: 'reckoned' });
    expect((Date.parse(set.gel!.spentOn!) - START.getTime()) / DAY).toBeCloseTo(9, -1);
    expect((await inTheAir()).map((a) => a.cause)).toContain('gel-spent');
    const spent = (await event({ kind: 'indicator', colour: 'spent' }).expect(201)).body as PlacePage;
    expect(spent.gel).toMatchObject({ knownFrom: 'indicator', left: 0 });
    const dried = (await event({ kind: 'gel-dried' }).expect(201)).body as PlacePage;
    expect(dried.gel!.left).toBeCloseTo(1, 1);
    await event({ kind: 'gel-set', desiccant: 'sand', massG: 5, loadingPct: 2 }).expect(400);
    const ahead = await event({ kind: 'gel-dried', at: '2027-01-01T00:00:00Z' }).expect(422);
    expect(ahead.body.fields.at).toBe('This lies in the future.');
    const start = await whatIfOf(box.id);
    expect(start.place.desiccant).toMatchObject({ kind: 'silica-gel', massG: 50 });
    // Nothing was measured in it: what is reckoned is a rule of thumb, and said to be.
    expect(start).toMatchObject({ fit: { cannot: 'inside-not-measured' }, measured: null, ends: [], hindcast: null, closed: true });
    expect(start.advice).toMatchObject({ by: 'usual' });
    expect(start.outside.length).toBeGreaterThan(1000);
    const dry = await t.addPlace({ name: 'Dry room' });
    await measured(dry, 30 * 24, () => [20, 35]);
    const there = await whatIfOf(box.id, dry.id);
    expect(there.place).toEqual(start.place);
    expect(there.outside.every((r) => r.humidityPct === 35)).toBe(true);
  });

  it('is called safe only where that was measured: in its band, long enough and up to now', async () => {
    const says = async (name: string, hours: number, pct: (ago: number) => number) => {
      const place = await t.addPlace({ name, lowPct: 35, highPct: 60 });
      if (hours > 0) await measured(place, hours, (ago) => [20, pct(ago)]);
      const { standing } = await page(place.id);
      const overview = (await t.http.get(routes.storage).expect(200)).body as StorageOverview;
      expect(overview.places.find((p) => p.id === place.id)!.standing).toEqual(standing);
      return standing.says;
    };
    expect(await says('Good', 30 * 24, () => 48)).toBe('safe');
    expect(await says('Never measured', 0, () => 48)).toBe('not-measured');
    expect(await says('Since Tuesday', 4 * 24, () => 48)).toBe('too-little');
    expect(await says('Damp since last week', 30 * 24, (ago) => (ago > 5 * 24 ? 48 : 66))).toBe('over-band');
    expect(await says('Too dry', 30 * 24, () => 24)).toBe('under-band');
  });

  it('warns of what is forgotten in a bag, and finds a better home', async () => {
    const bag = await t.addPlace({ name: 'Bag', kind: 'soft-bag' });
    const good = await t.addPlace({ name: 'Good shelf' });
    await measured(good, 30 * 24, () => [20, 45]);
    const { id } = await t.add('Forgotten lens');
    await t.http.put(routes.itemPlace(id)).send({ placeId: bag.id }).expect(200);
    expect(await inTheAir()).toEqual([]);
    t.clock.set(new Date(START.getTime() + 15 * DAY));
    const alerts = (await inTheAir()).filter((a) => a.cause === 'too-closed');
    expect(alerts[0]).toMatchObject({ itemId: id });
    expect((await page(bag.id)).items[0]!.better).toMatchObject({ place: { name: 'Good shelf' } });
  });

  it('read once a week is not called safe, and says that the log is too thin', async () => {
    const place = await t.addPlace();
    const device = (
      await t.http
        .post(routes.devices)
        .send({ name: 'Dial', source: 'hand', outdoor: false, placeId: place.id, everyMinutes: 10_080, note: '' })
        .expect(201)
    ).body as Device;
    for (let week = 30; week >= 0; week--) {
      const reading = {
        at: new Date(START.getTime() - week * 7 * DAY).toISOString(),
        temperatureC: 22,
        humidityPct: week % 3 === 0 ? 66 : 52,
      };
      await t.http.post(routes.deviceReadings(device.id)).send(reading).expect(200);
    }
    const { assessment } = await page(place.id);
    const alerts = await inTheAir();
    expect([assessment!.best.level, assessment!.worst.level, assessment!.level]).toEqual(['safe', 'watch', 'watch']);
    expect(alerts[0]).toMatchObject({ cause: 'fungus', threat: 'thin-log', because: { says: 'gap', best: 'safe', worst: 'watch' } });
  });

  it('tells of a hygrometer that has fallen silent', async () => {
    const place = await t.addPlace();
    await measured(place, 48, () => [20, 45]);
    t.clock.set(new Date(START.getTime() + 2 * DAY));
    expect((await inTheAir()).map((a) => a.cause)).toEqual(['silent']);
  });
});

const whatIfOf = async (id: string, roomId?: string) =>
  (
    await t.http
      .get(routes.placeWhatIf(id))
      .query(roomId ? { roomId } : {})
      .expect(200)
  ).body as WhatIfStart;
const explanationOf = async (id: string) => (await t.http.get(routes.placeExplanation(id)).expect(200)).body as PlaceExplanation;

/** The air of a room, and of a cupboard in it on a cold wall: made by what is hidden from the fit, read to a tenth with some noise. */
const HIDDEN: storage.FittedPlace = {
  ...storage.usualPlace({ volumeL: 300, airChangesPerDay: 3, openingsPerWeek: 0, targetPct: 60 }, null),
  vapourExcessGm3: 0.4,
  bufferPerDay: 6,
  bufferDays: 4,
  warmerC: -2,
  lagH: 12,
};
/** `season`: how much damper than in the mean it is, so many hours ago. */
function roomAndCupboard(hours: number, season: (hoursAgo: number) => number = () => 0) {
  const outside = Array.from({ length: hours }, (_, i) => ({
    at: new Date(START.getTime() - (hours - 1 - i) * MS_PER_HOUR).toISOString(),
    temperatureC: 20 + 1.5 * Math.sin(i / 3.8) + 1.2 * Math.sin(i / 150),
    humidityPct: 58 + season(hours - 1 - i) + 7 * Math.sin(i / 61) + 4 * Math.sin(i / 17 + 1) + 2 * Math.sin(i * 0.7),
  }));
  const inside = storage.simulatePlace(HIDDEN, outside).readings;
  const read =
    (log: air.Reading[]) =>
    (ago: number): [number, number] => {
      const { temperatureC, humidityPct } = log[hours - 1 - ago]!;
      return [Math.round(10 * temperatureC) / 10, Math.round(10 * (humidityPct + 0.4 * Math.sin(ago * 12.9898))) / 10];
    };
  return { room: read(outside), cupboard: read(inside) };
}
async function homeWith(days: number, more: Partial<PlaceInput> = {}, season?: (hoursAgo: number) => number) {
  const { room, cupboard } = roomAndCupboard(days * 24, season);
  const around = await t.addPlace({ name: 'Room' });
  const place = await t.addPlace({
    name: 'Cupboard',
    kind: 'cupboard',
    volumeL: 300,
    openingsPerWeek: 0,
    highPct: 60,
    standsInId: around.id,
    ...more,
  });
  await measured(around, days * 24, room);
  await measured(place, days * 24, cupboard);
  return { around, place };
}

describe('a place that explains its past', () => {
  it('finds what it is from its log, and how far that holds on days it never saw', async () => {
    const { place } = await homeWith(120, { highPct: 65 });
    const { fit, around, advice } = await explanationOf(place.id);
    expect(around).toMatchObject({ source: 'place', name: 'Room' });
    expect(around.dampest!.humidityPct).toBeGreaterThan(55);
    if ('cannot' in fit) throw new Error(`it cannot: ${JSON.stringify(fit)}`);
    expect(fit.place.warmerC).toBeCloseTo(-2, 1);
    expect(fit.leakPerDay).toBeGreaterThan(2);
    expect(fit.leakPerDay).toBeLessThan(4);
    expect(fit.hindcast.medianPct).toBeLessThan(1);
    expect(fit.hindcast.days).toBeCloseTo(40, -1);
    // Its cold wall is what makes it damper than the room.
    if (advice?.verdict !== 'helps') throw new Error(`expected help, not ${advice?.verdict}`);
    expect(advice.by).toBe('past');
    expect(advice.changes.map((c) => c.id)).toContain('off-the-wall');
  });
  it('tells how the year ahead goes by the year behind, and warns a month before it leaves its band', async () => {
    // Its dampest day was 310 days ago and comes again in 55; it stands at 48 % in the mean of the year.
    const season = (hoursAgo: number) => -18 + 13 * Math.cos((2 * Math.PI * (hoursAgo / 24 - 310)) / 365);
    const { place } = await homeWith(400, { highPct: 59 }, season);
    const { season: ahead } = await explanationOf(place.id);
    if (!ahead || 'cannot' in ahead) throw new Error(`nobody can tell: ${JSON.stringify(ahead)}`);
    expect(ahead.out).toBe(null);
    expect(ahead.leaves!.side).toBe('damp');
    const inDays = (Date.parse(ahead.leaves!.at) - START.getTime()) / DAY;
    expect(inDays).toBeGreaterThan(3);
    expect(inDays).toBeLessThan(30);
    // The fit is done by now: Today says the same.
    const [told] = (await inTheAir()).filter((f) => f.cause === 'leaves-band');
    expect(told).toMatchObject({ side: 'damp', on: ahead.leaves!.at.slice(0, 10), highPct: 59, placeId: place.id });
    // Where gel lies in it, that is told of the gel instead.
    const at = START.toISOString();
    await t.http
      .post(routes.placeEvents(place.id))
      .send({ kind: 'gel-set', at, desiccant: 'silica-gel', massG: 500, loadingPct: 2 })
      .expect(201);
    expect((await explanationOf(place.id)).season).toBe(null);
    expect((await inTheAir()).filter((f) => f.cause === 'leaves-band')).toEqual([]);
    expect((await page(place.id)).gel!.roomAs).toBe('last-year');
  });

  it('says that nobody can tell the year ahead where the room was not read for one', async () => {
    const { place } = await homeWith(120);
    expect((await explanationOf(place.id)).season).toEqual({ cannot: 'no-year' });
  });

  it('says the same on its page and as its what-if, while nothing is changed', async () => {
    const { place } = await homeWith(120);
    const { assessment } = await page(place.id);
    const start = await whatIfOf(place.id);
    expect(start.fit).toEqual((await explanationOf(place.id)).fit);
    const trial = { place: start.place, ends: start.ends, outside: airLog(start.outside), measured: airLog(start.measured!) };
    const then = storage.tryChange(trial, {}, start, { humiditySchool: 'standard', surfaceState: 'soiled-glass', ...start.start });
    expect(then.level).toBe(assessment!.level);
    expect(then.end.dose).toBeCloseTo(assessment!.now.dose, 6);
    expect(then.end.index).toBeCloseTo(assessment!.now.index, 2);
    const unchanged = storage.tryChange(trial, {}, start, {
      humiditySchool: 'standard',
      surfaceState: 'soiled-glass',
      ...start.start,
      nowMs: Date.parse(start.now),
    });
    expect(unchanged.standing).toEqual((await page(place.id)).standing);
    expect(unchanged.standing.says).not.toBe('safe');
    const drier = storage.tryChange(trial, { warmerC: 0 }, start, {
      humiditySchool: 'standard',
      surfaceState: 'soiled-glass',
      ...start.start,
    });
    expect(drier.meanPct).toBeLessThan(then.meanPct - 4);
    expect(Math.max(...drier.halfPct)).toBeLessThan(5);
    expect(start.hindcast!.modelled).toHaveLength(240);
    const off = start.hindcast!.modelled.map((pct, i) => Math.abs(pct! - start.hindcast!.measured[i]!));
    expect(off.reduce((a, b) => a + b) / off.length).toBeLessThan(1.5);
  });
  it('promises nothing of too short a log, and says how long it takes', async () => {
    const { place } = await homeWith(10, { highPct: 45 });
    const { fit, advice } = await explanationOf(place.id);
    expect(fit).toMatchObject({ cannot: 'too-short', needDays: storage.FEWEST_DAYS });
    expect(advice?.by).toBe('usual');
    expect(await whatIfOf(place.id)).toMatchObject({ measured: null, ends: [], hindcast: null });
  });
  it('nor where the air around was never measured', async () => {
    const place = await t.addPlace({ name: 'Cupboard', kind: 'cupboard' });
    await measured(place, 60 * 24, () => [20, 60]);
    expect((await explanationOf(place.id)).fit).toEqual({ cannot: 'outside-not-measured' });
  });
  it('is fitted anew from when its gel was last seen to', async () => {
    const { place } = await homeWith(60, { kind: 'sealed-box' });
    const event = (body: object) => t.http.post(routes.placeEvents(place.id)).send(body).expect(201);
    expect((await explanationOf(place.id)).fit).not.toHaveProperty('cannot');
    const at = new Date(START.getTime() - 5 * DAY).toISOString();
    await event({ kind: 'gel-set', at, desiccant: 'silica-gel', massG: 50, loadingPct: 2 });
    expect((await explanationOf(place.id)).fit).toMatchObject({ cannot: 'too-short' });
    // A look at the indicator changes nothing in it.
    await event({ kind: 'indicator', at: new Date(START.getTime() - DAY).toISOString(), colour: 'turning' });
    expect((await explanationOf(place.id)).fit).toMatchObject({ cannot: 'too-short' });
  });
  it('takes no air that was measured once for the air of today', async () => {
    const room = await t.addPlace({ name: 'Measured in spring' });
    const box = await t.addPlace({ name: 'Box', kind: 'sealed-box', volumeL: 20, standsInId: room.id });
    // A week of it, two hundred days ago.
    const device = await measured(room, 1, () => [20, 50]);
    const { token } = (await t.http.post(routes.deviceToken(device.id)).expect(201)).body as { token: string };
    const old = Array.from({ length: 7 * 24 }, (_, i) => ({
      at: new Date(START.getTime() - 200 * DAY + i * MS_PER_HOUR).toISOString(),
      temperatureC: 20,
      humidityPct: 50,
    }));
    await t.http.post(routes.pushReadings).set('authorization', `Bearer ${token}`).send(sources.toSenml('p', old)).expect(200);
    expect((await explanationOf(box.id)).around).toMatchObject({ source: 'assumed', dampest: null });
    const { outside, around } = await whatIfOf(box.id);
    expect(around.source).toBe('assumed');
    expect(outside.length).toBeGreaterThan(400);
  });
  it('has an answer for every place there is, and for none', async () => {
    const bag = await t.addPlace({ name: 'Bag', kind: 'soft-bag' });
    expect(await explanationOf(bag.id)).toMatchObject({
      advice: null,
      fit: { cannot: 'inside-not-measured' },
      around: { source: 'assumed', dampest: null },
    });
    await t.http.get(routes.placeExplanation('0190f3a0-0000-7000-8000-000000000000')).expect(404);
    await t.http.get(routes.placeExplanation('nonsense')).expect(400);
  });
});

describe('what is said of a place and what is advised', () => {
  it('are of one mind: what is safe needs nothing, and what is not safe is never told that nothing has to change', async () => {
    const around = await t.addPlace({ name: 'Room' });
    await measured(around, 60 * 24, (ago) => [20 + Math.sin(ago / 4), 56 + 3 * Math.sin(ago / 40)]);
    const courses: [string, (ago: number) => number][] = [
      ['good', () => 48],
      ['dry at first', (ago) => (ago > 30 * 24 ? 26 : 44)],
      ['damp lately', (ago) => (ago > 3 * 24 ? 48 : 66)],
      ['damp at first', (ago) => (ago > 40 * 24 ? 70 : 48)],
      ['dry', () => 22],
      ['damp', () => 72],
    ];
    for (const [name, pct] of courses) {
      const place = await t.addPlace({ name, kind: 'sealed-box', volumeL: 30, lowPct: 35, highPct: 60, standsInId: around.id });
      await measured(place, 60 * 24, (ago) => [20 + Math.sin(ago / 4), pct(ago) + 0.5 * Math.sin(ago)]);
      const [{ standing }, { advice }] = [await page(place.id), await explanationOf(place.id)];
      expect(advice!.verdict === 'nothing-needed', `${name}: ${standing.says}`).toBe(standing.says === 'safe');
    }
  });
});

/** One question, one answer: what a place’s page says of its air is what the what-if begins with. */
describe('a place and its what-if', () => {
  it('say the same of the same log, however far back it began and whatever its gaps may hide', async () => {
    const place = await t.addPlace({ highPct: 60 });
    await measured(place, 300 * 24, (ago) => [22, 70 + 4 * Math.sin(ago / 90)]);
    const { assessment, ribbon } = await page(place.id);
    const { start } = await whatIfOf(place.id);
    expect(start.start.dose).toBeGreaterThan(1);
    expect(start.startRange.worst).toEqual(start.start);
    // The ribbon stands where the verdict stands, on its last and unfinished day too.
    expect(ribbon.at(-1)!.dose).toBeCloseTo(assessment!.now.dose, 1);
    expect(ribbon.at(-1)!.daysPast).toBeGreaterThan(90);
  });

  it('advise no gel for an electric cabinet, and nothing for a bag but to empty it', async () => {
    const room = await t.addPlace({ name: 'Room' });
    await measured(room, 60 * 24, (ago) => [22 + Math.sin(ago / 4), 76]);
    const cabinet = await t.addPlace({ name: 'Cabinet', kind: 'dry-cabinet', lowPct: 35, highPct: 50, standsInId: room.id });
    await measured(cabinet, 60 * 24, (ago) => [22, 58 + Math.sin(ago)]);
    const { advice, fit } = await explanationOf(cabinet.id);
    if ('cannot' in fit) throw new Error(`it cannot: ${JSON.stringify(fit)}`);
    expect(fit.place.setPointPct).toBeCloseTo(58, 0);
    if (advice?.verdict !== 'helps') throw new Error(`expected help, not ${advice?.verdict}`);
    // Its set-point is what is wrong with it.
    expect(advice.changes[0]!.id).toBe('lower-set-point');
    const ids = advice.changes.map((c) => c.id);
    for (const gel of ['more-gel', 'dry-gel', 'better-seal'] as const) expect(ids).not.toContain(gel);
  });
  it('turn a cabinet up that is kept too dry', async () => {
    const room = await t.addPlace({ name: 'Room' });
    await measured(room, 60 * 24, (ago) => [22 + Math.sin(ago / 4), 60]);
    const cabinet = await t.addPlace({ name: 'Cabinet', kind: 'dry-cabinet', lowPct: 35, highPct: 50, standsInId: room.id });
    await measured(cabinet, 60 * 24, (ago) => [22, 25 + Math.sin(ago)]);
    const { advice } = await explanationOf(cabinet.id);
    expect(advice).toMatchObject({ by: 'past', verdict: 'helps', changes: [{ id: 'higher-set-point', amount: 43 }] });
  });
});

describe('a thing with fungus', () => {
  const put = (itemId: string, placeId: string) => t.http.put(routes.itemPlace(itemId)).send({ placeId }).expect(200);

  it('is sent to no place where others live, and nobody is sent to it', async () => {
    const cupboard = await t.addPlace({ name: 'Cupboard', kind: 'cupboard' });
    const cabinet = await t.addPlace({ name: 'Cabinet', kind: 'dry-cabinet' });
    await measured(cupboard, 60 * 24, () => [22, 78]);
    await measured(cabinet, 60 * 24, () => [22, 44]);
    const [sick, well, settled] = [await t.add('Sick'), await t.add('Well'), await t.add('Settled')];
    await put(sick.id, cupboard.id);
    await put(well.id, cupboard.id);
    await put(settled.id, cabinet.id);
    await t.look(sick.id, { 'inner-glass': { fungus: 2 } });
    const items = (await page(cupboard.id)).items;
    expect(items.find((i) => i.itemId === sick.id)).toMatchObject({ sick: true, better: { place: null, stays: false } });
    expect(items.find((i) => i.itemId === well.id)).toMatchObject({ sick: false, better: { place: { name: 'Cabinet' } } });
    const exposure = (await t.http.get(routes.itemExposure(sick.id)).expect(200)).body as ItemExposure;
    expect(exposure).toMatchObject({ sick: true, home: { place: null, stays: false } });
  });

  it('is not the only one: what was sent there before takes its room', async () => {
    const shelf = await t.addPlace({ name: 'Damp shelf' });
    const small = await t.addPlace({ name: 'Small cabinet', kind: 'dry-cabinet', volumeL: 5 });
    await measured(shelf, 60 * 24, () => [22, 78]);
    await measured(small, 60 * 24, () => [22, 44]);
    // 3 L may be filled: two lenses of 1.5 L, and not a third.
    for (const name of ['One', 'Two', 'Three']) await put((await t.add(name)).id, shelf.id);
    const sent = (await page(shelf.id)).items.filter((i) => i.better?.place?.name === 'Small cabinet');
    expect(sent).toHaveLength(2);
  });
});

describe('a thing', () => {
  it('carries its exposure from place to place', async () => {
    const [damp, dry] = [await t.addPlace({ name: 'Damp' }), await t.addPlace({ name: 'Dry' })];
    await measured(damp, 100 * 24, () => [24, 78]);
    await measured(dry, 100 * 24, () => [20, 42]);
    t.clock.set(new Date(START.getTime() - 99 * DAY));
    const [wet, lucky] = [await t.add('Wet'), await t.add('Lucky')];
    await t.http.put(routes.itemPlace(wet.id)).send({ placeId: damp.id }).expect(200);
    await t.http.put(routes.itemPlace(lucky.id)).send({ placeId: dry.id }).expect(200);
    t.clock.set(new Date(START.getTime() - 40 * DAY));
    await t.http.put(routes.itemPlace(wet.id)).send({ placeId: dry.id }).expect(200);
    t.clock.set(START);
    const exposure = async (id: string) => (await t.http.get(routes.itemExposure(id)).expect(200)).body as ItemExposure;
    const a = await exposure(wet.id);
    const b = await exposure(lucky.id);
    expect(a.assessment!.peak.dose).toBeGreaterThan(1);
    expect(a.assessment!.now.dose).toBeLessThan(a.assessment!.peak.dose);
    expect(b.assessment).toMatchObject({ level: 'safe', now: { dose: 0 } });
    expect(a.home).toMatchObject({ place: { name: 'Dry' }, stays: true });
    expect(a.measuredDays).toBeCloseTo(99, 0);
  });
});

describe('a wait', () => {
  it('lands on Today until it is over', async () => {
    const timer = (
      await t.http.post(routes.timers).send({ size: 'mid-lens', wrapping: 'padded-bag', minutes: 45, itemId: null }).expect(201)
    ).body as Timer;
    const [waiting] = (await today()).duties;
    expect(waiting).toMatchObject({ code: 'warm-up', facts: { says: 'warming', timerId: timer.id, endsAt: timer.endsAt } });
    expect(Date.parse(timer.endsAt) - Date.parse(timer.startedAt)).toBe(45 * 60_000);
    await t.http.delete(routes.timer(timer.id)).expect(204);
    await t.http.delete(routes.timer(timer.id)).expect(404);
    await t.http.post(routes.timers).send({ size: 'house', wrapping: 'bare', minutes: 0, itemId: null }).expect(400);
  });
});

describe('a shelf that begins', () => {
  it('is asked how long its things have lain there, until that is told; then the air of that time counts', async () => {
    const place = await t.addPlace({ name: 'Old cabinet' });
    const things = await Promise.all(
      ['One', 'Two', 'Three'].map((name) => t.add(name, name === 'Three' ? { acquiredOn: '2019-05-01' } : {})),
    );
    for (const { id } of things) await t.http.put(routes.itemPlace(id)).send({ placeId: place.id });
    const asked = async () => ((await t.http.get(routes.storage).expect(200)).body as StorageOverview).longOwned;
    const [of] = await asked();
    expect(of?.place).toEqual({ id: place.id, name: 'Old cabinet' });
    expect(of?.things.map((t) => t.acquiredOn)).toEqual([null, null, '2019-05-01']);
    const since = new Date(t.clock.now().getTime() - 300 * 86_400_000).toISOString();
    const itemIds = of!.things.map((t) => t.id);
    const moved = (await t.http.post(routes.moves).send({ itemIds, placeId: place.id, since }).expect(201)).body as Moved;
    expect(moved.entryIds).toHaveLength(3);
    expect(await asked()).toEqual([]);
    await t.http.post(routes.movesTakenBack).send({ entryIds: moved.entryIds }).expect(200);
    expect((await asked())[0]?.things).toHaveLength(3);
  });
});
