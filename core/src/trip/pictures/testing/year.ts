import { seeded } from '../../../testing/logs.js';
import type { Day } from '../../../schedule/index.js';
import { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from '../../../units.js';
import type { Picture, RoughPlace } from '../picture.js';

/** What truly was: between which days, with how many pictures, how often a lens was changed while under way. */
export type TrueOuting = { from: Day; to: Day; frames: number; lensChanges: number };
export type Year = { pictures: Picture[]; outings: TrueOuting[]; home: RoughPlace };

const HOME: RoughPlace = { latitude: 51.2, longitude: 4.1 };
const LENSES = ['wide', 'normal', 'long', 'macro'];

/**
 * A year of pictures as an amateur takes them, from a seed: outings of an hour to five days, some by night over midnight,
 * with one body or two, bursts, raw beside JPEG, edits under the camera's name, evenings at home; handed over in no order.
 */
export function yearOf(seed: number): Year {
  const random = seeded(seed);
  const upTo = (n: number) => Math.floor(n * random());
  const [pictures, outings]: [Picture[], TrueOuting[]] = [[], []];
  const counters = { first: upTo(9000), second: upTo(9000) };
  const on = { first: LENSES[0]!, second: LENSES[2]! };
  const take = (ms: number, body: 'first' | 'second', place: RoughPlace | null): void => {
    counters[body] = (counters[body] + 1) % 10_000;
    const stem = `${body === 'first' ? 'IMG_' : 'DSC_'}${String(counters[body]).padStart(4, '0')}`;
    const one = {
      takenAt: new Date(ms).toISOString().slice(0, -1),
      body,
      lens: on[body],
      bodyIsCertain: body === 'first',
      focalMm: 50,
      fNumber: 8,
      place,
    };
    pictures.push({ ...one, name: `${stem}.JPG` });
    if (random() < 0.3) pictures.push({ ...one, name: `${stem}.NEF` });
    if (random() < 0.05) pictures.push({ ...one, name: `${stem}-2.jpg` });
  };
  /** Pictures of a few hours; how many, and how often a lens was changed between the first and the last of the outing. */
  const session = (begin: number, hours: number, twoBodies: boolean, place: RoughPlace | null, isFirst: Record<string, boolean>) => {
    let [frames, changes, ms, last] = [0, 0, begin, begin];
    while (ms < begin + hours * MS_PER_HOUR) {
      const body = twoBodies && random() < 0.4 ? 'second' : 'first';
      if (random() < 0.1) {
        const next = LENSES.filter((l) => l !== on.first && l !== on.second)[upTo(2)]!;
        on[body] = next;
        if (!isFirst[body]) changes += 1;
        ms += 40_000;
      }
      for (let burst = random() < 0.1 ? 5 : 1; burst > 0; burst -= 1) {
        take(ms, body, place);
        last = ms;
        frames += 1;
        isFirst[body] = false;
        ms += 1000;
      }
      ms += (1 + 24 * random() ** 3) * MS_PER_MINUTE;
    }
    return { frames, changes, last };
  };
  let day = Date.parse('2026-01-01T00:00:00Z');
  const end = day + 360 * MS_PER_DAY;
  while (day < end) {
    const days = random() < 0.25 ? 2 + upTo(4) : 1;
    const place = random() < 0.8 ? { latitude: 50 + upTo(20) / 10, longitude: 6 + upTo(30) / 10 } : null;
    const twoBodies = random() < 0.4;
    const isFirst = { first: true, second: true };
    const truth = { frames: 0, changes: 0, lastMs: 0 };
    const begin = day + (random() < 0.2 ? 21.5 : 8) * MS_PER_HOUR;
    for (let d = 0; d < days; d += 1) {
      const { frames, changes, last } = session(begin + d * MS_PER_DAY, days > 1 ? 9 : 1 + 5 * random(), twoBodies, place, isFirst);
      truth.frames += frames;
      truth.changes += changes;
      truth.lastMs = last;
    }
    const dayOf = (ms: number) => new Date(ms).toISOString().slice(0, 10);
    outings.push({ from: dayOf(begin), to: dayOf(truth.lastMs), frames: truth.frames, lensChanges: truth.changes });
    day += (days + 1) * MS_PER_DAY;
    // An evening at home, on some days before the next.
    for (let rest = upTo(12); rest > 0; rest -= 1, day += MS_PER_DAY)
      if (random() < 0.3) for (let n = 1 + upTo(6); n > 0; n -= 1) take(day + 18 * MS_PER_HOUR + n * MS_PER_MINUTE, 'first', HOME);
  }
  const shuffled = pictures.map((p) => ({ p, at: random() })).sort((a, b) => a.at - b.at);
  return { pictures: shuffled.map(({ p }) => p), outings, home: HOME };
}
