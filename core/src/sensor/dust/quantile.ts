/** Moves the k-th smallest of the first n values to place k, all smaller ones before it (Hoare's selection). In place. */
export function selectKth(values: Float32Array, n: number, k: number): number {
  let low = 0;
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

/** Where the middle one of some values is, and how far at the least half of them and nine tenths lie from it. */
export type Scatter = { median: number; half: number; most: number };

/**
 * The spread of some values, as few outliers move it. Where most values are the same, as in a frame a JPEG has flattened,
 * the tenth that is not tells the spread, if that is wanted.
 */
export const sigmaOf = ({ half, most }: Scatter, isGrainy = true): number =>
  Math.max(SIGMA_PER_MAD * half, isGrainy ? SIGMA_PER_NINE_TENTHS * most : 0);
