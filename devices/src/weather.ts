import { MS_PER_HOUR } from '@bright-keeper/core';
import { outdoors, windAndRain } from './climate.js';
import { readOptions } from './options.js';
import { pushForecast, pushReadings } from './push.js';
import { every } from './run.js';
import { history, read, type SensorSpec } from './sensor.js';

const FORECAST_H = 72;

/** A simulated weather station at a made-up place: what it is now, and what it expects for three days. */
try {
  const { way, everyMs, sinceMs, batteryPct, signalDbm, ...sensor } = readOptions(
    ['--spot', 'outdoors', ...process.argv.slice(2)],
    process.env,
  );
  if (way.by !== 'push') throw new RangeError('--token is missing: a weather station pushes, and only so tells what it expects');
  const own = { batteryPct, signalDbm };
  const spec: SensorSpec = { ...sensor, madeMs: Date.now() };
  let kept = sinceMs;
  await every(everyMs, async () => {
    const now = Date.now();
    if (kept !== null) {
      await pushReadings(way, history(spec, kept + MS_PER_HOUR, now, MS_PER_HOUR), own);
      kept = null;
    }
    await pushReadings(way, [read(spec, now)], own);
    const ahead = Array.from({ length: FORECAST_H }, (_, i) => {
      const ms = Math.ceil(now / MS_PER_HOUR) * MS_PER_HOUR + i * MS_PER_HOUR;
      return { at: new Date(ms).toISOString(), ...outdoors(ms), ...windAndRain(ms) };
    });
    await pushForecast(way, ahead);
  });
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
