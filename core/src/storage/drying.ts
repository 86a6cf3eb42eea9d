import { columnsOf, firstFrom, part } from '../air/index.js';
import { MS_PER_DAY } from '../units.js';
import { spellsPast, tooDamp } from './alerts.js';
import { boxAlong, type Box } from './box.js';
import { dampFrom, DRIED_LOADING, type GelQuestion, type GelReckoning, yearOf } from './gel.js';

/** The damp season of a box is over when it would not stand damp any more without desiccant. */
export type Drying =
  /** Dried once on a day of these it lasts past the damp season, which ends on `until`; null: for a year and longer. */
  | { dry: 'once'; from: string; by: string; until: string | null }
  /** No one time is enough: dried by each of these it holds until then. */
  | { dry: 'again'; by: string[]; until: string | null }
  /** It is spent again within days. */
  | { dry: 'too-little' };

const FINENESS_DAYS = 7;
/** Who has to dry it more often than once a week has too little of it (our choice). */
const SHORTEST_DAYS = 7;

type Spent = Pick<GelReckoning, 'kind' | 'massG' | 'spentOn'>;

/** The first day on which it may be dried to last: what is dried later lasts longer, so the span is halved down to a week. */
function earliest(nowMs: number, byMs: number, againAfter: (fromMs: number) => number | null): number {
  if (againAfter(nowMs) === null) return nowMs;
  let [tooSoon, soonEnough] = [nowMs, byMs];
  while (soonEnough - tooSoon > FINENESS_DAYS * MS_PER_DAY) {
    const mid = (tooSoon + soonEnough) / 2;
    if (againAfter(mid) === null) soonEnough = mid;
    else tooSoon = mid;
  }
  return soonEnough;
}

/**
 * When to dry it next: each day is tried by walking the box from the oven to the end of the damp season. Null where it is
 * not spent within the year, or nobody read how the year behind went.
 */
export function dryingOf(
  { box: bare, room, now }: Pick<GelQuestion, 'box' | 'room' | 'now'>,
  { kind, massG, spentOn }: Spent,
): Drying | null {
  const nowMs = Date.parse(now);
  const { ahead, roomAs } = yearOf(columnsOf(room), nowMs);
  if (spentOn === null || roomAs === 'last-month') return null;
  const spentMs = Date.parse(spentOn);
  const dried: Box = { ...bare, desiccant: { kind, massG, loadingGPerG: DRIED_LOADING[kind] } };
  const iso = (ms: number) => new Date(ms).toISOString();
  const until = spellsPast(boxAlong(bare, ahead).air, tooDamp(bare.targetPct)).at(-1)?.until ?? null;
  const endMs = until === null ? Infinity : Date.parse(until);
  /** When it is spent again before the damp season is over; null where it lasts. */
  const againAfter = (fromMs: number): number | null => {
    const air = boxAlong(dried, part(ahead, firstFrom(ahead.ms, fromMs), ahead.length)).air;
    const ms = air.length > 0 ? dampFrom(air, bare.targetPct) : null;
    return ms !== null && ms < endMs ? ms : null;
  };
  if (againAfter(spentMs) === null) return { dry: 'once', from: iso(earliest(nowMs, spentMs, againAfter)), by: iso(spentMs), until };
  const by: string[] = [];
  for (let ms: number | null = spentMs; ms !== null;) {
    by.push(iso(ms));
    const next: number | null = againAfter(ms);
    if (next !== null && next - ms < SHORTEST_DAYS * MS_PER_DAY) return { dry: 'too-little' };
    ms = next;
  }
  return { dry: 'again', by, until };
}
