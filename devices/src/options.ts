import { parseArgs } from 'node:util';
import { SPOTS, type Spot } from './climate.js';

const OPTIONS = {
  url: { type: 'string', default: 'http://localhost:4870' },
  token: { type: 'string' },
  spot: { type: 'string', default: 'room' },
  every: { type: 'string', default: '60' },
  seed: { type: 'string', default: '1' },
  offset: { type: 'string', default: '0' },
  drift: { type: 'string', default: '0.8' },
  since: { type: 'string' },
  mqtt: { type: 'string' },
  topic: { type: 'string', default: 'home/hygrometer' },
  serve: { type: 'string' },
  log: { type: 'string' },
  battery: { type: 'string' },
  signal: { type: 'string', default: '-67' },
} as const;

/** Where its readings go: one of these. */
export type Way =
  | { by: 'push'; url: string; token: string }
  | { by: 'mqtt'; broker: string; topic: string }
  | { by: 'serve'; port: number }
  | { by: 'log'; folder: string };

export type Options = {
  way: Way;
  spot: Spot;
  everyMs: number;
  seed: number;
  offsetPct: number;
  driftPctPerYear: number;
  /** What was read since then is sent first, as a device does that kept it. */
  sinceMs: number | null;
  /** How full its battery is, %; null for one on the mains. */
  batteryPct: number | null;
  signalDbm: number;
};

const number = (name: string, text: string, least: number): number => {
  const value = Number(text);
  if (!(value >= least)) throw new RangeError(`--${name} is “${text}”; give a number of at least ${least}`);
  return value;
};

type Values = { url: string; token?: string; mqtt?: string; topic: string; serve?: string; log?: string };

/** @throws RangeError where none is told, or several are. */
function wayOf({ url, token, mqtt, topic, serve, log }: Values): Way {
  const ways: Way[] = [
    ...(mqtt === undefined ? [] : [{ by: 'mqtt', broker: mqtt, topic } as const]),
    ...(serve === undefined ? [] : [{ by: 'serve', port: number('serve', serve, 1) } as const]),
    ...(log === undefined ? [] : [{ by: 'log', folder: log } as const]),
    ...(token === undefined ? [] : [{ by: 'push', url: url.replace(/\/$/, ''), token } as const]),
  ];
  if (ways.length === 1) return ways[0]!;
  throw new RangeError(
    ways.length === 0
      ? '--token is missing: make a key on the page of the hygrometer, or give --mqtt mqtt://localhost:1883, --serve 8099 or --log FOLDER'
      : 'give one of --token, --mqtt, --serve and --log',
  );
}

/** The command line of a simulated device; the key may also come from BRIGHT_KEEPER_DEVICE_TOKEN. @throws RangeError naming the option. */
export function readOptions(args: string[], env: NodeJS.ProcessEnv): Options {
  const { values } = parseArgs({ args, options: OPTIONS });
  const token = values.token ?? env.BRIGHT_KEEPER_DEVICE_TOKEN;
  const way = wayOf({ ...values, ...(token ? { token } : {}) });
  const spot = SPOTS.find((s) => s === values.spot);
  if (!spot) throw new RangeError(`--spot is “${values.spot}”; give one of ${SPOTS.join(', ')}`);
  const sinceMs = values.since === undefined ? null : Date.parse(values.since);
  if (sinceMs !== null && Number.isNaN(sinceMs))
    throw new RangeError(`--since is “${values.since}”; give an instant like 2026-01-31T12:00Z`);
  return {
    way,
    spot,
    everyMs: number('every', values.every, 1) * 1000,
    seed: number('seed', values.seed, 0),
    offsetPct: number('offset', values.offset, -20),
    driftPctPerYear: number('drift', values.drift, -20),
    sinceMs,
    batteryPct: values.battery === undefined ? null : number('battery', values.battery, 0),
    signalDbm: number('signal', values.signal, -150),
  };
}
