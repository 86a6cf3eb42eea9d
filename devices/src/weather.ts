import { outdoors } from './climate.js';
import { readOptions } from './options.js';
import { pushForecast, pushReadings } from './push.js';
import { every } from './run.js';
import { history, read, type SensorSpec } from './sensor.js';

const HOUR_MS = 3_600_000;
const FORECAST_H = 72;

/** A simulated weather station at a made-up place: what it is now, and what it expects for three days. */
try {
  const { target, everyMs, sinceMs, ...sensor } = readOptions(['--spot', 'outdoors', ...process.argv.slice(2)], process.env);
  const spec: SensorSpec = { ...sensor, madeMs: Date.now() };
  let kept = sinceMs;
  await every(everyMs, async () => {
    const now = Date.now();
    if (kept !== null) {
      await pushReadings(target, history(spec, kept + HOUR_MS, now, HOUR_MS));
      kept = null;
    }
    await pushReadings(target, [read(spec, now)]);
    const ahead = Array.from({ length: FORECAST_H }, (_, i) => {
      const ms = Math.ceil(now / HOUR_MS) * HOUR_MS + i * HOUR_MS;
      return { at: new Date(ms).toISOString(), ...outdoors(ms) };
    });
    await pushForecast(target, ahead);
  });
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
