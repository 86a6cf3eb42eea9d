/**
 * Moves the k-th smallest of the first n values to place k, all smaller ones before it (Hoare's selection). In place.
 *
 * @param from all before here are known to be no larger than any after.
 */
export function selectKth(values: Float32Array, n: number, k: number, from = 0): number {
  let low = from;
  let high = n - 1;
  while (low < high) {
    const pivot = values[(low + high) >> 1]!;
    let [i, j] = [low, high];
    while (i <= j) {
      while (values[i]! < pivot) i += 1;
      while (values[j]! > pivot) j -= 1;
      if (i <= j) {
        const kept = values[i]!;
        values[i] = values[j]!;
        values[j] = kept;
        i += 1;
        j -= 1;
      }
    }
    if (k <= j) high = j;
    else if (k >= i) low = i;
    else break;
  }
  return values[k]!;
}

/** A normal distribution's standard deviation, from how far half and nine tenths of its values lie from their median. */
const SIGMA_PER_MAD = 1.4826;
const SIGMA_PER_NINE_TENTHS = 1 / 1.6449;

/**
 * Median and spread of the first n values, as few outliers move them. Where most values are the same, as in a frame a
 * JPEG has flattened, the tenth that is not tells the spread, if that is wanted. The values are lost.
 */
export function robust(values: Float32Array, n: number, isGrainy = true): { median: number; sigma: number } {
  const median = selectKth(values, n, n >> 1);
  for (let i = 0; i < n; i += 1) values[i] = Math.abs(values[i]! - median);
  const half = selectKth(values, n, n >> 1);
  if (!isGrainy) return { median, sigma: SIGMA_PER_MAD * half };
  const most = selectKth(values, n, Math.floor(n * 0.9), n >> 1);
  return { median, sigma: Math.max(SIGMA_PER_MAD * half, SIGMA_PER_NINE_TENTHS * most) };
}
