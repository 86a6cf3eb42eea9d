import { readOptions } from './options.js';
import { pushReadings } from './push.js';
import { every } from './run.js';
import { history, isHeard, read, type SensorSpec } from './sensor.js';

/** Readings it kept while it was not heard are half an hour apart. */
const KEPT_EVERY_MS = 30 * 60_000;

/** A simulated hygrometer: its own process, pushing like a real one. */
try {
  const { target, everyMs, sinceMs, ...sensor } = readOptions(process.argv.slice(2), process.env);
  const spec: SensorSpec = { ...sensor, madeMs: Date.now() };
  let kept = sinceMs;
  await every(everyMs, async () => {
    const now = Date.now();
    if (kept !== null) {
      await pushReadings(target, history(spec, kept + KEPT_EVERY_MS, now, KEPT_EVERY_MS));
      kept = null;
    }
    if (isHeard(spec, now)) await pushReadings(target, [read(spec, now)]);
  });
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
