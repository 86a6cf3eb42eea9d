import { readOptions, type Way } from './options.js';
import { answering, logging, type Outlet, publishing, pushing } from './outlets.js';
import { every } from './run.js';
import { history, isHeard, read, type SensorSpec } from './sensor.js';

/** Readings it kept while it was not heard are half an hour apart. */
const KEPT_EVERY_MS = 30 * 60_000;

function outletFor(way: Way): Outlet | Promise<Outlet> {
  switch (way.by) {
    case 'push':
      return pushing(way);
    case 'mqtt':
      return publishing(way.broker, way.topic);
    case 'serve':
      return answering(way.port);
    case 'log':
      return logging(way.folder);
    default:
      return way satisfies never;
  }
}

/** A simulated hygrometer: its own process, that lets its readings be known as a real one does. */
try {
  const { way, everyMs, sinceMs, batteryPct, signalDbm, ...sensor } = readOptions(process.argv.slice(2), process.env);
  const tell = await outletFor(way);
  const own = { batteryPct, signalDbm };
  const spec: SensorSpec = { ...sensor, madeMs: Date.now() };
  let kept = sinceMs;
  await every(everyMs, async () => {
    const now = Date.now();
    if (kept !== null) {
      await tell(history(spec, kept + KEPT_EVERY_MS, now, KEPT_EVERY_MS), own);
      kept = null;
    }
    if (isHeard(spec, now)) await tell([read(spec, now)], own);
  });
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
