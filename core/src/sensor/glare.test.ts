import { describe, expect, it } from 'vitest';
import { sequence } from './dust/testing/render.js';
import { GLARE_CARD, GlareUnreadable, veilingGlarePct, whyNotComparable, glareGrade } from './glare.js';

/** A photograph of the card: where it lies in the frame, how much light the lens scatters over it, noise and all. */
function photograph({
  glare,
  width = 900,
  height = 600,
  left = 0,
  top = 0,
  size = 1,
  noise = 0.01,
  white = 0.7,
  transfer = 'srgb',
  blur = 3,
}: {
  glare: number;
  width?: number;
  height?: number;
  left?: number;
  top?: number;
  size?: number;
  noise?: number;
  white?: number;
  transfer?: 'srgb' | 'linear';
  blur?: number;
}) {
  const random = sequence(31);
  const [cw, ch] = [width * size, height * size];
  const discs = GLARE_CARD.discs.map((d) => ({
    x: left * width + d.x * cw,
    y: top * height + d.y * ch,
    r: (GLARE_CARD.discShare * ch) / 2,
  }));
  const data = new Uint16Array(width * height);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const onCard = x >= left * width && x < left * width + cw && y >= top * height && y < top * height + ch;
      let open = onCard ? 1 : 0.02;
      for (const d of discs) open = Math.min(open, Math.min(1, Math.max(0, (Math.hypot(x + 0.5 - d.x, y + 0.5 - d.y) - d.r) / blur + 0.5)));
      // ISO 9358: black against white is glare; what is white gains as much.
      const light = white * (open + (1 - open) * (glare / 100)) * (1 + noise * (random() + random() + random() - 1.5));
      const v = transfer === 'linear' ? light : light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055;
      data[y * width + x] = Math.round(65_535 * Math.min(1, Math.max(0, v)));
    }
  }
  return { width, height, data };
}
const eightBits = ({ width, height, data }: ReturnType<typeof photograph>) => ({
  width,
  height,
  data: Uint8Array.from(data, (v) => Math.round(v / 257)),
});

describe('veiling glare', () => {
  it.each([0.8, 2, 4, 9, 20])('of %f %% is told within 5 %% of that', (glare) => {
    const found = veilingGlarePct(photograph({ glare }));
    expect(Math.abs(found.glarePct / glare - 1)).toBeLessThan(0.05);
    expect(found.patches).toHaveLength(5);
  });
  it.each([2, 6])('of %f %% is told from eight bits too, and lies within its own bounds', (glare) => {
    const found = veilingGlarePct(eightBits(photograph({ glare })));
    expect(Math.abs(found.glarePct / glare - 1)).toBeLessThan(0.05);
    expect(found.lowPct).toBeLessThanOrEqual(glare * 1.02);
    expect(found.highPct).toBeGreaterThanOrEqual(glare * 0.98);
  });
  it('finds the card where it lies, and when it fills only a part of the frame', () => {
    const found = veilingGlarePct(photograph({ glare: 5, left: 0.12, top: 0.06, size: 0.84 }));
    expect(Math.abs(found.glarePct / 5 - 1)).toBeLessThan(0.05);
    expect(found.patches[0]!.x).toBeCloseTo(0.12 + 0.5 * 0.84, 2);
    expect(found.patches[0]!.y).toBeCloseTo(0.06 + 0.5 * 0.84, 2);
  });
  it('takes off what the screen itself shows as black', () =>
    expect(veilingGlarePct(photograph({ glare: 5 }), { blackPct: 1 }).glarePct).toBeCloseTo(4, 1));
  it('reads a linear file as one', () =>
    expect(veilingGlarePct(photograph({ glare: 5, transfer: 'linear' }), { transfer: 'linear' }).glarePct).toBeCloseTo(5, 1));
  it.each([
    ['no-card', { width: 300, height: 200, data: new Uint8Array(60_000).fill(180) }],
    ['clipped', photograph({ glare: 2, white: 1.6 })],
    ['dark', photograph({ glare: 2, white: 0.03 })],
  ] as const)('is not told where there is %s', (trouble, frame) => {
    try {
      veilingGlarePct(frame);
      expect.unreachable();
    } catch (error) {
      expect(error).toBeInstanceOf(GlareUnreadable);
      expect((error as GlareUnreadable).trouble).toBe(trouble);
    }
  });
});

describe('two glare tests', () => {
  const taken = { body: 'A', fNumber: 8, exposureS: 1 / 60, iso: 200, style: 'Neutral' };
  it('are held against each other only when taken alike', () => {
    expect(whyNotComparable(taken, taken)).toEqual([]);
    expect(whyNotComparable(taken, { ...taken, exposureS: 1 / 120, iso: 400 })).toEqual([]);
    expect(whyNotComparable(taken, { ...taken, exposureS: 1 / 30 })).toEqual(['exposure']);
    expect(whyNotComparable(taken, { body: 'B', fNumber: 2.8, exposureS: 1 / 60, iso: 200, style: 'Vivid' })).toEqual([
      'body',
      'aperture',
      'style',
    ]);
    expect(whyNotComparable(taken, { body: null, fNumber: null, exposureS: null, iso: null, style: null })).toEqual([]);
  });
  it('are graded by orders of magnitude', () => expect([1, 5, 12].map(glareGrade)).toEqual(['clean', 'old', 'hazy']));
});
