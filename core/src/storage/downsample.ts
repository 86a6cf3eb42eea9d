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
  if (!(Number.isInteger(buckets) && buckets > 0)) throw new RangeError(`buckets ${buckets} must be a whole number above 0`);
  if (!(toMs > fromMs)) throw new RangeError('the span must end after it begins');
  const width = (toMs - fromMs) / buckets;
  const counts = new Float64Array(buckets);
  const middles = new Float64Array(buckets);
  const temperature = new Extremes(buckets);
  const humidity = new Extremes(buckets);
  for (const { at, count, temperatureC, humidityPct } of parts) {
    if (at < fromMs || at > toMs) continue;
    const slot = Math.min(buckets - 1, Math.floor((at - fromMs) / width));
    counts[slot]! += count;
    middles[slot]! += at * count;
    temperature.add(slot, temperatureC, count);
    humidity.add(slot, humidityPct, count);
  }
  const stretches: Bucket[] = [];
  for (const [slot, count] of counts.entries())
    if (count > 0)
      stretches.push({ at: middles[slot]! / count, temperatureC: temperature.of(slot, count), humidityPct: humidity.of(slot, count) });
  return stretches;
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

  add(slot: number, { min, mean, max }: Bucket['humidityPct'], count: number): void {
    if (min < this.min[slot]!) this.min[slot] = min;
    if (max > this.max[slot]!) this.max[slot] = max;
    this.sum[slot]! += mean * count;
  }

  of(slot: number, count: number): Bucket['humidityPct'] {
    return { min: this.min[slot]!, mean: this.sum[slot]! / count, max: this.max[slot]! };
  }
}
