import type { Device, Place } from '@bright-keeper/contract';
import { air, storage, MS_PER_DAY, MS_PER_MINUTE } from '@bright-keeper/core';
import { history, type SensorSpec, type Story } from '@bright-keeper/devices';
import { ClimateService, Database, DeviceService, KnownService, MoveService, PlaceService, type SetClock } from '@bright-keeper/server';
import type { INestApplicationContext } from '@nestjs/common';
import { DEVICES, GEL_SPENT_IN_DAYS, LOG_DAYS, LOG_GAP, PLACES, POWER_CUT, WET_FORTNIGHT, type DemoDevice } from './household.js';

/** Midday, so that a thing has come before it is put away on the same day. */
const at = (loadedAt: Date, daysAgo: number): Date => new Date(Math.min(loadedAt.getTime() - daysAgo * MS_PER_DAY, loadedAt.getTime()));

function storyOf(loadedAt: Date): Story {
  const ms = (daysAgo: number) => loadedAt.getTime() - daysAgo * MS_PER_DAY;
  return { wetFrom: ms(WET_FORTNIGHT[0]), wetTo: ms(WET_FORTNIGHT[1]), powerCutFrom: ms(POWER_CUT[0]), powerCutTo: ms(POWER_CUT[1]) };
}

export const sensorOf = (device: DemoDevice, loadedAt: Date): SensorSpec => ({
  ...device.sensor,
  madeMs: loadedAt.getTime() - LOG_DAYS * MS_PER_DAY,
  story: storyOf(loadedAt),
});

/** The log of a device up to the day of loading, with the hole that one of them has. */
function logOf(device: DemoDevice, loadedAt: Date): air.Reading[] {
  const toMs = loadedAt.getTime();
  const log = history(sensorOf(device, loadedAt), toMs - LOG_DAYS * MS_PER_DAY, toMs, device.loggedEveryMin * MS_PER_MINUTE);
  if (device.name !== LOG_GAP.device) return log;
  const [from, to] = LOG_GAP.days.map((d) => at(loadedAt, d).toISOString()) as [string, string];
  return log.filter((r) => r.at < from || r.at > to);
}

/** Puts up the places, in the order in which one stands in the other. */
async function putUpPlaces(places: PlaceService): Promise<Map<string, Place>> {
  const made = new Map<string, Place>();
  for (const { key, standsIn, things: _, ...input } of PLACES)
    made.set(key, await places.add({ ...input, standsInId: standsIn === null ? null : made.get(standsIn)!.id }));
  return made;
}

/** The stays of things, each begun on its day. */
async function putAway(
  moves: MoveService,
  clock: SetClock,
  loadedAt: Date,
  made: Map<string, Place>,
  itemIds: Map<string, string>,
): Promise<void> {
  const stays = PLACES.flatMap(({ key, things }) => things.map(([name, daysAgo]) => ({ key, name, daysAgo })));
  for (const { key, name, daysAgo } of stays.sort((a, b) => b.daysAgo - a.daysAgo)) {
    const itemId = itemIds.get(name);
    if (!itemId) throw new Error(`the household keeps no “${name}”`);
    clock.set(at(loadedAt, daysAgo));
    await moves.move(itemId, { placeId: made.get(key)!.id, since: null });
  }
}

async function putUpDevices(
  devices: DeviceService,
  clock: SetClock,
  loadedAt: Date,
  made: Map<string, Place>,
): Promise<Map<string, Device>> {
  const added = new Map<string, Device>();
  for (const device of DEVICES) {
    const { placeKey, sensor: _, loggedEveryMin: _e, ...input } = device;
    clock.set(at(loadedAt, LOG_DAYS));
    const { id } = await devices.add({ ...input, placeId: placeKey === null ? null : made.get(placeKey)!.id });
    clock.set(loadedAt);
    added.set(device.name, await devices.addLog(id, logOf(device, loadedAt)));
  }
  return added;
}

/** Two salt tests a year apart, so that its drift shows. */
async function calibrate(devices: DeviceService, loadedAt: Date, { id }: Device): Promise<void> {
  for (const [daysAgo, low, high] of [
    [400, 34.2, 76.9],
    [30, 35.6, 78.4],
  ] as const)
    await devices.calibrate(id, {
      at: at(loadedAt, daysAgo).toISOString(),
      points: [
        { salt: 'MgCl2', temperatureC: 20, rawPct: low },
        { salt: 'NaCl', temperatureC: 20, rawPct: high },
      ],
      note: 'A day in the jar each.',
    });
}

/** How full the gel has to be now to be spent in the days the story wants, % of its dry mass. */
async function loadingFor(context: INestApplicationContext, place: Place, massG: number, loadedAt: Date): Promise<number> {
  const [known, { db }] = [context.get(KnownService), context.get(Database)];
  const {
    room: { log: room },
  } = await known.one(db, await known.house(db), place);
  const { volumeL, airChangesPerDay, openingsPerWeek, highPct } = place;
  const box = { volumeL, airChangesPerDay: airChangesPerDay!, openingsPerWeek, targetPct: highPct };
  const now = loadedAt.toISOString();
  const daysLeft = (loadingPct: number): number => {
    const set: storage.GelEvent = { at: now, kind: 'gel-set', desiccant: 'silica-gel', massG, loadingPct };
    const spentOn = storage.reckonGel({ events: [set], box, room, inside: [], now })?.spentOn;
    return spentOn ? (Date.parse(spentOn) - loadedAt.getTime()) / MS_PER_DAY : Infinity;
  };
  let [low, high] = [2, 24];
  for (let i = 0; i < 9; i++) {
    const mid = (low + high) / 2;
    if (daysLeft(mid) > GEL_SPENT_IN_DAYS + 0.5) low = mid;
    else high = mid;
  }
  // Where a day is skipped, what lasts longer: it is to be spent in about so many days, and not before.
  return Math.floor(low * 10) / 10;
}

const GEL_G = 150;

/** Places, hygrometers with fourteen months of readings, and what lies where. */
export async function furnish(
  context: INestApplicationContext,
  clock: SetClock,
  loadedAt: Date,
  itemIds: Map<string, string>,
): Promise<void> {
  const places = context.get(PlaceService);
  const devices = context.get(DeviceService);
  const climate = context.get(ClimateService);
  clock.set(at(loadedAt, LOG_DAYS));
  const made = await putUpPlaces(places);
  await putAway(context.get(MoveService), clock, loadedAt, made, itemIds);
  const added = await putUpDevices(devices, clock, loadedAt, made);
  clock.set(loadedAt);
  await calibrate(devices, loadedAt, added.get('Shelf probe')!);
  const gelBox = made.get('gel')!;
  const rice = made.get('rice')!;
  const loadingPct = await loadingFor(context, gelBox, GEL_G, loadedAt);
  await climate.addEvent(gelBox.id, { kind: 'gel-set', at: loadedAt.toISOString(), desiccant: 'silica-gel', massG: GEL_G, loadingPct });
  await climate.addEvent(rice.id, { kind: 'gel-set', at: at(loadedAt, 120).toISOString(), desiccant: 'rice', massG: 800, loadingPct: 11 });
  for (const daysAgo of [41, 27, 12, 3]) await climate.addEvent(gelBox.id, { kind: 'opened', at: at(loadedAt, daysAgo).toISOString() });
}
