import { MS_PER_DAY, MS_PER_HOUR } from '../units.js';
import { type AirLog, between, emptyLog, firstFrom, part } from './airLog.js';

/** Two instruments in the same air that are further apart within an hour disagree, % RH (common practice). */
export const APART_PCT = 5;
/** Until it is known which of two is right, the wetter counts against growth and the drier against dryness (common practice). */
export type Careful = 'wetter' | 'drier';

/**
 * What is reckoned with where several instruments lay in the same air: their mean while they agree; where they are apart
 * nothing is averaged away, and the careful one counts with both its values.
 *
 * @param logs of each while it lay there, hour by hour.
 */
export function sameAir(logs: readonly AirLog[], careful: Careful): AirLog {
  const heard = logs.filter((log) => log.length > 0);
  if (heard.length <= 1) return heard[0] ?? emptyLog(0);
  const whole = emptyLog(heard.reduce((sum, log) => sum + log.length, 0));
  const next = heard.map(() => 0);
  const there: number[] = [];
  let n = 0;
  for (;;) {
    let ms = Infinity;
    for (const [k, log] of heard.entries()) if (next[k]! < log.length) ms = Math.min(ms, log.ms[next[k]!]!);
    if (ms === Infinity) return part(whole, 0, n);
    there.length = 0;
    for (const [k, log] of heard.entries()) if (next[k]! < log.length && log.ms[next[k]!] === ms) there.push(k);
    const pct = (k: number) => heard[k]!.humidityPct[next[k]!]!;
    const warmth = (k: number) => heard[k]!.temperatureC[next[k]!]!;
    const by = there.length > 1 ? there.toSorted((a, b) => pct(b) - pct(a)) : there;
    const counts = pct(by[0]!) - pct(by.at(-1)!) > APART_PCT ? [careful === 'wetter' ? by[0]! : by.at(-1)!] : by;
    whole.ms[n] = ms;
    whole.temperatureC[n] = counts.reduce((sum, k) => sum + warmth(k), 0) / counts.length;
    whole.humidityPct[n] = counts.reduce((sum, k) => sum + pct(k), 0) / counts.length;
    n += 1;
    for (const k of there) next[k]! += 1;
  }
}

/** An instrument that lies in a place now, with what it told there, hour by hour. */
export type Instrument = { id: string; log: AirLog };
/** What one of two told, in the hour in which they were compared. */
export type Said = { id: string; humidityPct: number; temperatureC: number };
/** Two instruments that disagree: what each said last, the wetter first, and since when they have. */
export type Apart = { wetter: Said; drier: Said; at: string; since: string };

/** So far back it is looked, days: a dial that is read once a week is compared twice. */
const LOOK_BACK_DAYS = 15;
/** They agree again once they have for a day of readings that both took. */
const AGAIN_MS = MS_PER_DAY;

const saidBy = ({ id, log }: Instrument, i: number): Said => ({ id, humidityPct: log.humidityPct[i]!, temperatureC: log.temperatureC[i]! });

/** The reading within an hour of an instant that is nearest to it; -1 where there is none. */
function nearest({ ms }: AirLog, at: number): number {
  const after = firstFrom(ms, at);
  let best = -1;
  for (const i of [after - 1, after])
    if (i >= 0 && i < ms.length && Math.abs(ms[i]! - at) <= (best < 0 ? MS_PER_HOUR : Math.abs(ms[best]! - at))) best = i;
  return best;
}

function apartOf(a: Instrument, b: Instrument): Apart | null {
  const [seldom, often] = a.log.length <= b.log.length ? [a, b] : [b, a];
  let last = null as { wetter: Said; drier: Said; ms: number; sinceMs: number } | null;
  for (let i = 0; i < seldom.log.length; i++) {
    const ms = seldom.log.ms[i]!;
    const k = nearest(often.log, ms);
    if (k < 0) continue;
    const both = [saidBy(seldom, i), saidBy(often, k)].sort((x, y) => y.humidityPct - x.humidityPct) as [Said, Said];
    if (both[0].humidityPct - both[1].humidityPct > APART_PCT) last = { wetter: both[0], drier: both[1], ms, sinceMs: last?.sinceMs ?? ms };
    else if (last && ms - last.ms >= AGAIN_MS) last = null;
  }
  if (!last) return null;
  const { ms, sinceMs, ...sides } = last;
  return { ...sides, at: new Date(ms).toISOString(), since: new Date(sinceMs).toISOString() };
}

/** The two that are furthest apart of those that lie in the same air now; null where none disagree. */
export function apartNow(instruments: readonly Instrument[], nowMs: number): Apart | null {
  const lately = instruments.map(({ id, log }) => ({ id, log: between(log, nowMs - LOOK_BACK_DAYS * MS_PER_DAY, nowMs) }));
  let furthest: Apart | null = null;
  const gap = ({ wetter, drier }: Apart) => wetter.humidityPct - drier.humidityPct;
  for (const [i, a] of lately.entries())
    for (const b of lately.slice(i + 1)) {
      const apart = apartOf(a, b);
      if (apart && (!furthest || gap(apart) > gap(furthest))) furthest = apart;
    }
  return furthest;
}
