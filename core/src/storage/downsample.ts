/** A stretch of a log as a chart shows it: the mean of each, and its extremes, so that no peak is lost. */
export type Bucket = {
  /** Middle of the stretch, ms since 1970. */
  at: number;
  temperatureC: { min: number; mean: number; max: number };
  humidityPct: { min: number; mean: number; max: number };
};
/** A part of a log that was summed up already, or a single reading (`count` 1). */
export type Part = Bucket & { count: number };

/**
 * Sums up parts of a log into at most `buckets` stretches of equal length between two instants, keeping every
 * extreme. Stretches without a reading are left out: a gap stays a gap.
 *
 * @throws RangeError when buckets is not a whole number above 0 or the span is empty.
 */
export function downsample(parts: readonly Part[], fromMs: number, toMs: number, buckets: number): Bucket[] {
  const stretches = new Stretches(fromMs, toMs, buckets);
  for (const { at, count, temperatureC: t, humidityPct: h } of parts) stretches.add(at, count, t.min, t.mean, t.max, h.min, h.mean, h.max);
  return stretches.all();
}

/** The same for parts told one after another, as numbers: for years of hours that nobody keeps as objects. */
export class Stretches {
  private readonly counts: Float64Array;
  private readonly middles: Float64Array;
  private readonly temperature: Extremes;
  private readonly humidity: Extremes;
  private readonly perMs: number;

  /** @throws RangeError when buckets is not a whole number above 0 or the span is empty. */
  constructor(
    private readonly fromMs: number,
    private readonly toMs: number,
    private readonly buckets: number,
  ) {
    if (!(Number.isInteger(buckets) && buckets > 0)) throw new RangeError(`buckets ${buckets} must be a whole number above 0`);
    if (!(toMs > fromMs)) throw new RangeError('the span must end after it begins');
    this.perMs = buckets / (toMs - fromMs);
    this.counts = new Float64Array(buckets);
    this.middles = new Float64Array(buckets);
    this.temperature = new Extremes(buckets);
    this.humidity = new Extremes(buckets);
  }

  /** `at` ms since 1970, °C and % RH; what lies outside the span is passed over. */
  add(at: number, count: number, minC: number, meanC: number, maxC: number, minPct: number, meanPct: number, maxPct: number): void {
    if (at < this.fromMs || at > this.toMs) return;
    const slot = Math.min(this.buckets - 1, Math.floor((at - this.fromMs) * this.perMs));
    this.counts[slot]! += count;
    this.middles[slot]! += at * count;
    this.temperature.add(slot, minC, meanC, maxC, count);
    this.humidity.add(slot, minPct, meanPct, maxPct, count);
  }

  all(): Bucket[] {
    const told: Bucket[] = [];
    for (const [slot, count] of this.counts.entries())
      if (count > 0)
        told.push({
          at: this.middles[slot]! / count,
          temperatureC: this.temperature.of(slot, count),
          humidityPct: this.humidity.of(slot, count),
        });
    return told;
  }
}

/** Least, greatest and the sum for the mean of each stretch. */
class Extremes {
  private readonly min: Float64Array;
  private readonly max: Float64Array;
  private readonly sum: Float64Array;

  constructor(stretches: number) {
    this.min = new Float64Array(stretches).fill(Infinity);
    this.max = new Float64Array(stretches).fill(-Infinity);
    this.sum = new Float64Array(stretches);
  }

  add(slot: number, min: number, mean: number, max: number, count: number): void {
    if (min < this.min[slot]!) this.min[slot] = min;
    if (max > this.max[slot]!) this.max[slot] = max;
    this.sum[slot]! += mean * count;
  }

  of(slot: number, count: number): Bucket['humidityPct'] {
    return { min: this.min[slot]!, mean: this.sum[slot]! / count, max: this.max[slot]! };
  }
}
