/** A stretch of a log as a chart shows it: the mean of each, and its extremes, so that no peak is lost. */
export type Bucket = {
  /** Middle of the stretch, ms since 1970. */
  at: number;
  temperatureC: { min: number; mean: number; max: number };
  humidityPct: { min: number; mean: number; max: number };
};
/** A part of a log that was summed up already, or a single reading (`count` 1). */
export type Part = Bucket & { count: number };

const merge = (a: Bucket['humidityPct'], b: Bucket['humidityPct'], weightA: number, weightB: number): Bucket['humidityPct'] => ({
  min: Math.min(a.min, b.min),
  mean: (a.mean * weightA + b.mean * weightB) / (weightA + weightB),
  max: Math.max(a.max, b.max),
});

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
  const sums = new Map<number, Part>();
  for (const part of parts) {
    if (part.at < fromMs || part.at > toMs) continue;
    const slot = Math.min(buckets - 1, Math.floor((part.at - fromMs) / width));
    const sum = sums.get(slot);
    sums.set(
      slot,
      sum
        ? {
            at: (sum.at * sum.count + part.at * part.count) / (sum.count + part.count),
            temperatureC: merge(sum.temperatureC, part.temperatureC, sum.count, part.count),
            humidityPct: merge(sum.humidityPct, part.humidityPct, sum.count, part.count),
            count: sum.count + part.count,
          }
        : part,
    );
  }
  return [...sums.entries()].sort(([a], [b]) => a - b).map(([, { count: _, ...bucket }]) => bucket);
}
