/**
 * The loops that go through every pixel of a frame, several pixels at a time. `npm run compile:loops` makes
 * `core/src/sensor/dust/loops.wasm.ts` of them; `loops.ts` there says what each is for, lays out the memory and calls them.
 *
 * Frames hold 16 bits a pixel, row by row; what is called a place is where in the memory something begins, bytes.
 */

/** The light of four pixels, in 32 bits each. */
@inline
function four(at: usize): v128 {
  return v128.load16x4_u(at);
}

@inline
function add(a: v128, b: v128): v128 {
  return i32x4.add(a, b);
}

@inline
function light(data: usize, i: i32): i32 {
  return i32(load<u16>(data + (usize(i) << 1)));
}

/**
 * Puts for each byte what a table says of it: 16 bits, over the bytes themselves.
 *
 * @param into room for so many times 16 bits, with the bytes in its second half. What is written never overtakes what is read.
 */
export function spread(into: usize, count: i32, table: usize): void {
  const bytes = into + usize(count);
  let i = 0;
  for (; i + 4 <= count; i += 4) {
    const four = load<u32>(bytes + usize(i));
    const out = into + (usize(i) << 1);
    store<u16>(out, load<u16>(table + ((four & 255) << 1)));
    store<u16>(out, load<u16>(table + (((four >> 8) & 255) << 1)), 2);
    store<u16>(out, load<u16>(table + (((four >> 16) & 255) << 1)), 4);
    store<u16>(out, load<u16>(table + ((four >> 24) << 1)), 6);
  }
  for (; i < count; i++) store<u16>(into + (usize(i) << 1), load<u16>(table + (usize(load<u8>(bytes + usize(i))) << 1)));
}

/** Halves a frame: each pixel is the mean of four. */
export function halve(from: usize, width: i32, height: i32, into: usize): void {
  const halfWidth = width >> 1;
  const halfHeight = height >> 1;
  const two = i32x4.splat(2);
  for (let y = 0; y < halfHeight; y++) {
    const above = from + (usize(2 * y * width) << 1);
    const below = above + (usize(width) << 1);
    const out = into + (usize(y * halfWidth) << 1);
    let x = 0;
    for (; x + 8 <= halfWidth; x += 8) {
      const at = usize(x) << 2;
      const left = add(i32x4.extadd_pairwise_i16x8_u(v128.load(above + at)), i32x4.extadd_pairwise_i16x8_u(v128.load(below + at)));
      const right = add(
        i32x4.extadd_pairwise_i16x8_u(v128.load(above + at + 16)),
        i32x4.extadd_pairwise_i16x8_u(v128.load(below + at + 16)),
      );
      v128.store(out + (usize(x) << 1), i16x8.narrow_i32x4_u(i32x4.shr_u(add(left, two), 2), i32x4.shr_u(add(right, two), 2)));
    }
    for (; x < halfWidth; x++) {
      const sum = light(above, 2 * x) + light(above, 2 * x + 1) + light(below, 2 * x) + light(below, 2 * x + 1);
      store<u16>(out + (usize(x) << 1), u16((sum + 2) >> 2));
    }
  }
}

/** The row that lies so many pixels down, or its mirror image where that is outside. */
@inline
function row(data: usize, y: i32, width: i32, height: i32): usize {
  const inside = y < 0 ? -y - 1 : y >= height ? 2 * height - y - 1 : y;
  return data + (usize(inside * width) << 1);
}

/** The two sums beside either end of a row of them: its mirror image. */
function mirror(sums: usize, width: i32): void {
  store<i32>(sums + 4, load<i32>(sums + 8));
  store<i32>(sums, load<i32>(sums + 12));
  const end = sums + (usize(width + 2) << 2);
  store<i32>(end, load<i32>(end - 4));
  store<i32>(end + 4, load<i32>(end - 8));
}

/**
 * The mean of five pixels square about each but for the three square in its middle; mirrored at the rim.
 *
 * @param fives @param middles room for 8 more sums of 32 bits than a row has pixels.
 */
export function surround(data: usize, width: i32, height: i32, into: usize, fives: usize, middles: usize): void {
  const half = i32x4.splat(8);
  for (let y = 0; y < height; y++) {
    const a = row(data, y - 2, width, height);
    const b = row(data, y - 1, width, height);
    const c = row(data, y, width, height);
    const d = row(data, y + 1, width, height);
    const e = row(data, y + 2, width, height);
    let x = 0;
    for (; x + 4 <= width; x += 4) {
      const at = usize(x) << 1;
      const middle = add(add(four(b + at), four(c + at)), four(d + at));
      v128.store(middles + (usize(x + 2) << 2), middle);
      v128.store(fives + (usize(x + 2) << 2), add(add(middle, four(a + at)), four(e + at)));
    }
    for (; x < width; x++) {
      const middle = light(b, x) + light(c, x) + light(d, x);
      store<i32>(middles + (usize(x + 2) << 2), middle);
      store<i32>(fives + (usize(x + 2) << 2), middle + light(a, x) + light(e, x));
    }
    mirror(fives, width);
    mirror(middles, width);
    const out = into + (usize(y * width) << 1);
    for (x = 0; x + 4 <= width; x += 4) {
      const f = fives + (usize(x) << 2);
      const t = middles + (usize(x + 1) << 2);
      const wide = add(add(add(v128.load(f), v128.load(f, 4)), add(v128.load(f, 8), v128.load(f, 12))), v128.load(f, 16));
      const narrow = add(add(v128.load(t), v128.load(t, 4)), v128.load(t, 8));
      const mean = i32x4.shr_u(add(i32x4.sub(wide, narrow), half), 4);
      v128.store64_lane(out + (usize(x) << 1), i16x8.narrow_i32x4_u(mean, mean), 0);
    }
    for (; x < width; x++) {
      let sum = 8;
      for (let i = 0; i < 5; i++) sum += load<i32>(fives + (usize(x + i) << 2));
      for (let i = 1; i < 4; i++) sum -= load<i32>(middles + (usize(x + i) << 2));
      store<u16>(out + (usize(x) << 1), u16(sum >> 4));
    }
  }
}

const TILE = 64;

/** The sum of nine pixels about one; each of the three places is that of the first of three in a row. */
@inline
function nine(above: usize, here: usize, below: usize, x: i32): i32 {
  let sum = 0;
  for (let i = x; i < x + 3; i++) sum += light(above, i) + light(here, i) + light(below, i);
  return sum;
}

/**
 * Where in a row a square of three pixels is darker or brighter than what is asked of its tile, against its surroundings.
 *
 * @param around the surroundings of the row: one for two pixels. @param tiles for each tile of 64 pixels the two bounds,
 * in parts of 2^shift of the light around, for nine pixels. @returns how many places were put into `hits`.
 */
export function standOut(data: usize, width: i32, y: i32, around: usize, tiles: usize, shift: i32, hits: usize): i32 {
  // From the column before: what is summed up begins there.
  const here = data + (usize(y * width - 1) << 1);
  const above = here - (usize(width) << 1);
  const below = here + (usize(width) << 1);
  const nothing = i32x4.splat(0);
  let count = 0;
  for (let left = 0; left < width; left += TILE) {
    const bounds = tiles + (usize(left / TILE) << 3);
    const darker = load<i32>(bounds);
    const brighter = load<i32>(bounds, 4);
    const right = min(width - 1, left + TILE);
    let x = max(2, left);
    let at = usize(x) << 1;
    // The sums of four columns, and of the four that follow.
    let columns = add(add(four(above + at), four(here + at)), four(below + at));
    for (; x + 4 <= right; x += 4) {
      at = usize(x + 4) << 1;
      const next = add(add(four(above + at), four(here + at)), four(below + at));
      const sum = add(add(columns, v128.shuffle<i32>(columns, next, 1, 2, 3, 4)), v128.shuffle<i32>(columns, next, 2, 3, 4, 5));
      columns = next;
      const lights = v128.load32_zero(around + (usize(x >> 1) << 1));
      const ring = v128.shuffle<i16>(lights, nothing, 0, 8, 0, 8, 1, 8, 1, 8);
      const dark = i32x4.shr_s(i32x4.mul(ring, i32x4.splat(darker)), shift);
      const bright = i32x4.shr_s(i32x4.mul(ring, i32x4.splat(brighter)), shift);
      const out = v128.or(i32x4.le_s(sum, dark), i32x4.ge_s(sum, bright));
      if (!v128.any_true(out)) continue;
      for (let mask = i32x4.bitmask(out); mask != 0; mask &= mask - 1) {
        store<i32>(hits + (usize(count) << 2), x + ctz(mask));
        count++;
      }
    }
    for (; x + 1 < right; x += 2) {
      const ring = light(around, x >> 1);
      const dark = (ring * darker) >> shift;
      const bright = (ring * brighter) >> shift;
      for (let i = x; i < x + 2; i++) {
        const sum = nine(above, here, below, i);
        if (sum > dark && sum < bright) continue;
        store<i32>(hits + (usize(count) << 2), i);
        count++;
      }
    }
  }
  return count;
}

/**
 * How much darker places of a tile are than their surroundings, as a share: one in so many columns and rows.
 *
 * @param around of the whole level, one for two by two pixels. @returns how many were put into `samples`, at most `most`.
 */
export function darker(
  data: usize, width: i32, around: usize, aroundWidth: i32, aroundHeight: i32, samples: usize, most: i32,
  left: i32, right: i32, top: i32, bottom: i32, every: i32,
): i32 {
  let n = 0;
  for (let y = top; y < bottom; y += every) {
    const here = data + (usize(y * width - 1) << 1);
    const ring = around + (usize(min(aroundHeight - 1, y >> 1) * aroundWidth) << 1);
    for (let x = left; x < right && n < most; x += every) {
      const sum = nine(here - (usize(width) << 1), here, here + (usize(width) << 1), x);
      const light9 = 9 * max(1, light(ring, min(aroundWidth - 1, x >> 1)));
      store<f32>(samples + (usize(n) << 2), f32(1 - f64(sum) / f64(light9)));
      n++;
    }
  }
  return n;
}

/** How much brighter pixels of a tile are than the mean of the two beside them, as a share: one in so many columns and rows. */
export function besideTwo(
  data: usize, width: i32, samples: usize,
  left: i32, right: i32, top: i32, bottom: i32, every: i32,
): i32 {
  let n = 0;
  for (let y = top; y < bottom; y += every) {
    const here = data + (usize(y * width) << 1);
    for (let x = left; x < right; x += every) {
      const mean = f64(light(here, x - 1) + light(here, x + 1)) / 2;
      store<f32>(samples + (usize(n) << 2), f32((f64(light(here, x)) - mean) / max(mean, 1)));
      n++;
    }
  }
  return n;
}

/** Numbers that are in the same order as the bits of some floats, and back. */
@inline
function ordered(bits: v128): v128 {
  return v128.xor(bits, v128.and(i32x4.shr_s(bits, 31), i32x4.splat(0x7fffffff)));
}

/** The k-th smallest of some numbers: by halves of what it may be, counting how many lie below. @param n a multiple of four. */
function kth(numbers: usize, n: i32, k: i32): i32 {
  let low = v128.load(numbers);
  let high = low;
  for (let i = 4; i < n; i += 4) {
    const here = v128.load(numbers + (usize(i) << 2));
    low = i32x4.min_s(low, here);
    high = i32x4.max_s(high, here);
  }
  let from = i64(min(min(i32x4.extract_lane(low, 0), i32x4.extract_lane(low, 1)), min(i32x4.extract_lane(low, 2), i32x4.extract_lane(low, 3))));
  let to = i64(max(max(i32x4.extract_lane(high, 0), i32x4.extract_lane(high, 1)), max(i32x4.extract_lane(high, 2), i32x4.extract_lane(high, 3))));
  while (from < to) {
    const middle = (from + to) >> 1;
    const bound = i32x4.splat(i32(middle));
    let count = i32x4.splat(0);
    for (let i = 0; i < n; i += 4) count = i32x4.sub(count, i32x4.le_s(v128.load(numbers + (usize(i) << 2)), bound));
    const below = i32x4.extract_lane(count, 0) + i32x4.extract_lane(count, 1) + i32x4.extract_lane(count, 2) + i32x4.extract_lane(count, 3);
    if (below > k) to = middle;
    else from = middle + 1;
  }
  return i32(from);
}

/**
 * The median of some numbers, and how far so many of them at the least lie from it. They are lost, and room for four more.
 *
 * @param into room for three numbers: the median; how far the `half`-th nearest lies from it, and the `most`-th.
 */
export function spreadOf(samples: usize, n: i32, half: i32, most: i32, into: usize): void {
  const padded = (n + 3) & ~3;
  for (let i = n; i < padded; i++) store<f32>(samples + (usize(i) << 2), Infinity);
  for (let i = 0; i < padded; i += 4) v128.store(samples + (usize(i) << 2), ordered(v128.load(samples + (usize(i) << 2))));
  const key = kth(samples, padded, half);
  const median = reinterpret<f32>(key ^ ((key >> 31) & 0x7fffffff));
  const middle = f32x4.splat(median);
  for (let i = 0; i < padded; i += 4) {
    const values = ordered(v128.load(samples + (usize(i) << 2)));
    // What is not negative is in the order of its bits.
    v128.store(samples + (usize(i) << 2), f32x4.abs(f32x4.sub(values, middle)));
  }
  store<f32>(into, median);
  store<f32>(into, reinterpret<f32>(kth(samples, padded, half)), 4);
  store<f32>(into, reinterpret<f32>(kth(samples, padded, most)), 8);
}

/**
 * Where in a row two pixels side by side differ by more than a part of their light.
 *
 * @param parts for each tile of 64 pixels the number that what they differ by, taken so often, may not be more than they are.
 * @returns how many left ones of such were put into `hits`.
 */
export function edges(here: usize, width: i32, parts: usize, hits: usize): i32 {
  let count = 0;
  for (let left = 0; left < width - 1; left += TILE) {
    const part = load<i32>(parts + (usize(left / TILE) << 2));
    const right = min(width - 1, left + TILE);
    let x = left;
    for (; x + 4 <= right; x += 4) {
      const at = here + (usize(x) << 1);
      const a = four(at);
      const b = four(at + 2);
      const off = i32x4.mul(i32x4.sub(a, b), i32x4.splat(part));
      const out = v128.or(i32x4.ge_s(off, b), i32x4.le_s(off, i32x4.neg(a)));
      if (!v128.any_true(out)) continue;
      for (let mask = i32x4.bitmask(out); mask != 0; mask &= mask - 1) {
        store<i32>(hits + (usize(count) << 2), x + ctz(mask));
        count++;
      }
    }
    for (; x < right; x++) {
      const a = light(here, x);
      const b = light(here, x + 1);
      const off = (a - b) * part;
      if (off < b && off > -a) continue;
      store<i32>(hits + (usize(count) << 2), x);
      count++;
    }
  }
  return count;
}
