import type { Place, RoomClimate } from '@bright-keeper/contract';
import { air, storage, MS_PER_DAY, MS_PER_HOUR } from '@bright-keeper/core';
import type { HouseAir, KnownDevice, Span } from '../air/index.js';

const ASSUMED = storage.ASSUMED_ROOM;
const ASSUMED_EVERY_H = 6;
const FEWEST_READINGS = 24;
/** What-if and advice look at the same weeks, so that they say the same. What was not measured in them is no air of today’s. */
export const WHAT_IF_DAYS = 120;
const isMeasuredLately = (log: air.AirLog, { toMs }: Span): boolean =>
  air.between(log, toMs - WHAT_IF_DAYS * MS_PER_DAY, toMs).length >= FEWEST_READINGS;

export type Room = {
  climate: RoomClimate;
  log: air.AirLog;
  /** What was measured around the place, whether room or weather: what its past is held against. Null where nothing was. */
  measured: air.AirLog | null;
};

/** The air a place stands in: measured in the room around it, else made of the air outdoors, else assumed. */
export function roomAround(
  house: HouseAir,
  names: ReadonlyMap<string, string>,
  { standsInId }: Pick<Place, 'standsInId'>,
  span: Span,
): Room {
  if (standsInId) {
    const log = house.hourly(standsInId, span);
    const name = names.get(standsInId) ?? '';
    if (isMeasuredLately(log, span)) return { climate: { source: 'place', name, readings: log.length }, log, measured: log };
  }
  const station = house.station();
  const log = station && air.between(indoorsOf(station), span.fromMs, span.toMs);
  if (log && isMeasuredLately(log, span)) {
    const measured = air.between(station.log.hourly, span.fromMs, span.toMs);
    return { climate: { source: 'outdoors', name: station.row.name, readings: log.length }, log, measured };
  }
  return {
    climate: { source: 'assumed', name: `${ASSUMED.temperatureC} °C, ${ASSUMED.humidityPct} %`, readings: 0 },
    log: steady(span),
    measured: null,
  };
}

/** Made once for a station's log, and kept as long as that is. */
const indoors = new WeakMap<air.AirLog, air.AirLog>();

/** A lived-in room made of the air outside: by the mean of the last day (EN 15026). */
function indoorsOf({ log: { hourly } }: KnownDevice): air.AirLog {
  const known = indoors.get(hourly);
  if (known) return known;
  const room = air.emptyLog(hourly.length);
  let [sum, first] = [0, 0];
  for (let i = 0; i < hourly.length; i++) {
    sum += hourly.temperatureC[i]!;
    while (i - first >= 24) sum -= hourly.temperatureC[first++]!;
    const { temperatureC, humidityPct } = storage.indoorFromOutdoor(sum / (i - first + 1));
    room.ms[i] = hourly.ms[i]!;
    room.temperatureC[i] = temperatureC;
    room.humidityPct[i] = humidityPct;
  }
  indoors.set(hourly, room);
  return room;
}

function steady({ fromMs, toMs }: Span): air.AirLog {
  const every = ASSUMED_EVERY_H * MS_PER_HOUR;
  const log = air.emptyLog(Math.floor((toMs - fromMs) / every) + 1);
  log.temperatureC.fill(ASSUMED.temperatureC);
  log.humidityPct.fill(ASSUMED.humidityPct);
  for (let i = 0; i < log.length; i++) log.ms[i] = fromMs + i * every;
  return log;
}
