import { parseArgs } from 'node:util';
import { SPOTS, type Spot } from './climate.js';
import type { Target } from './push.js';

const OPTIONS = {
  url: { type: 'string', default: 'http://localhost:4870' },
  token: { type: 'string' },
  spot: { type: 'string', default: 'room' },
  every: { type: 'string', default: '60' },
  seed: { type: 'string', default: '1' },
  offset: { type: 'string', default: '0' },
  drift: { type: 'string', default: '0.8' },
  since: { type: 'string' },
} as const;

export type Options = {
  target: Target;
  spot: Spot;
  everyMs: number;
  seed: number;
  offsetPct: number;
  driftPctPerYear: number;
  /** What was read since then is sent first, as a device does that kept it. */
  sinceMs: number | null;
};

const number = (name: string, text: string, least: number): number => {
  const value = Number(text);
  if (!(value >= least)) throw new RangeError(`--${name} is “${text}”; give a number of at least ${least}`);
  return value;
};

/** The command line of a simulated device; the key may also come from BRIGHT_KEEPER_DEVICE_TOKEN. @throws RangeError naming the option. */
export function readOptions(args: string[], env: NodeJS.ProcessEnv): Options {
  const { values } = parseArgs({ args, options: OPTIONS });
  const token = values.token ?? env.BRIGHT_KEEPER_DEVICE_TOKEN;
  if (!token) throw new RangeError('--token is missing: make a key on the page of the hygrometer');
  const spot = SPOTS.find((s) => s === values.spot);
  if (!spot) throw new RangeError(`--spot is “${values.spot}”; give one of ${SPOTS.join(', ')}`);
  const sinceMs = values.since === undefined ? null : Date.parse(values.since);
  if (sinceMs !== null && Number.isNaN(sinceMs))
    throw new RangeError(`--since is “${values.since}”; give an instant like 2026-01-31T12:00Z`);
  return {
    target: { url: values.url.replace(/\/$/, ''), token },
    spot,
    everyMs: number('every', values.every, 1) * 1000,
    seed: number('seed', values.seed, 0),
    offsetPct: number('offset', values.offset, -20),
    driftPctPerYear: number('drift', values.drift, -20),
    sinceMs,
  };
}
