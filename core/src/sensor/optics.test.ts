import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sequence } from './dust/testing/render.js';
import { F_NUMBERS, frontMark, markShowsFrom, type FrontMarkCase } from './frontMark.js';
import { SENSOR_VIEWS, sensorPosition, zoneOf, type Point, type SensorView } from './position.js';
import { overlapArea, shadowOf, shareTaken } from './shadow.js';
import { showsFrom, sizeMm, visibilityAt } from './visibility.js';

const FULL_FRAME = { sensorWidthMm: 36, sensorHeightMm: 24 };

describe('a shadow', () => {
  it('is the overlap of two discs: by counting points in both', () => {
    const random = sequence(4);
    for (const [r1, r2, far] of [
      [3, 1, 0],
      [3, 1, 2.4],
      [2, 2, 1],
      [1, 4, 4.5],
      [1, 1, 3],
    ] as const) {
      let inBoth = 0;
      const tries = 40_000;
      for (let i = 0; i < tries; i += 1) {
        const [x, y] = [(random() * 2 - 1) * r1, (random() * 2 - 1) * r1];
        if (Math.hypot(x, y) < r1 && Math.hypot(x - far, y) < r2) inBoth += 1;
      }
      expect(overlapArea(r1, r2, far)).toBeCloseTo((inBoth / tries) * 4 * r1 * r1, 0);
    }
  });
  it('is (D/c)² deep, c + D wide, with a plateau c − D, while the speck is smaller than the cone', () =>
    fc.assert(
      fc.property(fc.double({ min: 1, max: 100, noNaN: true }), fc.double({ min: 0.05, max: 0.95, noNaN: true }), (c, share) => {
        const { depth, diameter, plateau, fwhm } = shadowOf(c, c * share);
        expect(depth).toBeCloseTo(share ** 2, 9);
        expect(diameter).toBeCloseTo(c * (1 + share), 9);
        expect(plateau).toBeCloseTo(c * (1 - share), 9);
        expect(fwhm).toBeGreaterThan(plateau);
        expect(fwhm).toBeLessThan(diameter);
        expect(shareTaken(c, c * share, 0)).toBeCloseTo(depth, 9);
        expect(shareTaken(c, c * share, fwhm / 2)).toBeCloseTo(depth / 2, 6);
      }),
    ));
  it('needs a cone', () => expect(() => shadowOf(0, 1)).toThrow(RangeError));
});

describe('how a speck shows at another aperture', () => {
  const speck = { ...shadowOf(40, 12), fwhmPx: 40, diameterPx: 52 };
  it('deepens with the square of the f-number until all light is taken', () => {
    expect(visibilityAt(speck, { measuredAt: 16, workingAt: 8 }).depth).toBeCloseTo(0.09 / 4, 6);
    expect(visibilityAt(speck, { measuredAt: 16, workingAt: 22 }).depth).toBeCloseTo(0.09 * (22 / 16) ** 2, 6);
    expect(visibilityAt(speck, { measuredAt: 16, workingAt: 64 }).depth).toBe(1);
  });
  it('a hair deepens with the f-number itself: it is long, and only its width is cut into', () =>
    expect(visibilityAt({ ...speck, kind: 'hair' }, { measuredAt: 16, workingAt: 8 }).depth).toBeCloseTo(0.045, 6));
  it('never grows shallower as the aperture closes', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.005, max: 1, noNaN: true }), fc.constantFrom('dust', 'hair'), (depth, kind) => {
        const spot = { depth, fwhmPx: 20, diameterPx: 20 * (1 + Math.sqrt(depth)), kind } as const;
        const depths = F_NUMBERS.map((workingAt) => visibilityAt(spot, { measuredAt: 16, workingAt }).depth);
        expect(depths).toEqual([...depths].sort((a, b) => a - b));
      }),
    ));
  it('shows from the aperture at which it is just seen', () => {
    const from = showsFrom(speck, 16)!;
    expect(visibilityAt(speck, { measuredAt: 16, workingAt: from * 1.01 }).visible).toBe(true);
    expect(visibilityAt(speck, { measuredAt: 16, workingAt: from * 0.99 }).visible).toBe(false);
    expect(showsFrom({ ...speck, depth: 0 }, 16)).toBeNull();
    expect(showsFrom({ ...speck, depth: 1e-6 }, 16)).toBeNull();
  });
  it('tells how large a speck is', () => {
    // 1.5 mm of cover glass in air, f/16, pixels of 4 µm: a cone 23.4 pixels wide; a speck of 40 µm is 10 pixels.
    const { depth, fwhm, diameter } = shadowOf(1.5 / 16 / 0.004, 0.04 / 0.004);
    const spot = { depth, fwhmPx: fwhm, diameterPx: diameter };
    expect(sizeMm(spot, 0.004)).toBeCloseTo(0.04, 3);
  });
  it('knows no f-number of 0', () => expect(() => visibilityAt(speck, { measuredAt: 0, workingAt: 8 })).toThrow(RangeError));
});

describe('where a speck lies on the sensor, by following rays', () => {
  type V = readonly [number, number, number];
  const dot = (a: V, b: V): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  const cross = (a: V, b: V): V => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
  /*
   * The world stands x to the right of the photographer, y up, the scene ahead along −z; the lens turns the picture by
   * half a turn. A picture point x, y from the top left is seen in the direction (x − ½, ½ − y): its ray meets the sensor
   * at the opposite place, in the camera's own right and up.
   */
  const onSensor = ({ x, y }: Point): { right: number; up: number } => ({ right: -(x - 0.5), up: -(0.5 - y) });
  /** Where the camera's top points in the world, and who looks: along which way, with which way up. */
  const VIEWS: Record<SensorView, { up: V; look: V; eyeUp: V }> = {
    // The photographer turns the camera's mount toward the one who looks.
    upright: { up: [0, 1, 0], look: [0, 0, 1], eyeUp: [0, 1, 0] },
    // On its back: the mount looks up, one looks down at it; the top edge is far away, or near.
    'on-back-from-base': { up: [0, 0, -1], look: [0, -1, 0], eyeUp: [0, 0, -1] },
    'on-back-from-top': { up: [0, 0, 1], look: [0, -1, 0], eyeUp: [0, 0, -1] },
    // Overhead: the mount looks down, one looks up; the head leans back, so that what is behind one is up in what one sees.
    'overhead-top-away': { up: [0, 0, -1], look: [0, 1, 0], eyeUp: [0, 0, 1] },
    'overhead-top-to-you': { up: [0, 0, 1], look: [0, 1, 0], eyeUp: [0, 0, 1] },
  };
  it.each(SENSOR_VIEWS)('%s', (view) => {
    const { up, look, eyeUp } = VIEWS[view];
    // The sensor faces whoever looks at it through the mount; the camera's right is that of who stands behind it.
    const front: V = [-look[0], -look[1], -look[2]];
    const right = cross(front, up);
    const eyeRight = cross(look, eyeUp);
    for (const point of [
      { x: 0.1, y: 0.2 },
      { x: 0.9, y: 0.2 },
      { x: 0.3, y: 0.8 },
    ]) {
      const s = onSensor(point);
      const at: V = [s.right * right[0] + s.up * up[0], s.right * right[1] + s.up * up[1], s.right * right[2] + s.up * up[2]];
      const seen = sensorPosition(point, view);
      expect(seen.x).toBeCloseTo(0.5 + dot(at, eyeRight), 9);
      expect(seen.y).toBeCloseTo(0.5 - dot(at, eyeUp), 9);
    }
  });
  it('top left of the picture is bottom left as one faces the sensor (common practice)', () => {
    expect(sensorPosition({ x: 0.1, y: 0.1 })).toEqual({ x: 0.1, y: 0.9 });
    expect(zoneOf(sensorPosition({ x: 0.1, y: 0.1 }))).toBe('bottom-left');
  });
});

describe('a mark on the front glass', () => {
  const case_ = (more: Partial<FrontMarkCase>): FrontMarkCase => ({
    diameterMm: 1,
    distanceToPupilMm: 30,
    focalMm: 50,
    fNumber: 2,
    ...FULL_FRAME,
    ...more,
  });
  it.each([
    [{ focalMm: 50, fNumber: 2, diameterMm: 1 }, 0.0016, false],
    [{ focalMm: 50, fNumber: 16, diameterMm: 1 }, 0.1024, true],
    [{ focalMm: 18, fNumber: 11, diameterMm: 0.5 }, 0.0934, true],
  ] as const)('%o takes %f of the light', (more, depth, visible) => {
    const mark = frontMark(case_(more));
    expect(mark.depth).toBeCloseTo(depth, 3);
    expect(mark.visible).toBe(visible);
  });
  it('takes what a count of rays through the front glass says, and blots as wide', () => {
    const random = sequence(12);
    const mark = case_({ fNumber: 8, diameterMm: 1.5, focalMm: 35, distanceToPupilMm: 20 });
    const found = frontMark(mark);
    const [P, f, h, d] = [35 / 8, 35, 20, 1.5];
    // A picture point u mm from the axis is made by parallel rays that cross the front glass shifted by h·u/f.
    const taken = (u: number): number => {
      let hit = 0;
      const rays = 20_000;
      for (let i = 0; i < rays; i += 1) {
        const [r, a] = [Math.sqrt(random()) * (P / 2), random() * 2 * Math.PI];
        if (Math.hypot(r * Math.cos(a) + (h * u) / f, r * Math.sin(a)) < d / 2) hit += 1;
      }
      return hit / rays;
    };
    expect(taken(0)).toBeCloseTo(found.depth, 1);
    expect(Math.abs(taken(found.plateauMm / 2 - 0.3) / found.depth - 1)).toBeLessThan(0.1);
    expect(taken(found.blotMm / 2 + 0.05)).toBe(0);
    expect(taken(found.blotMm / 2 - 0.4)).toBeGreaterThan(0);
  });
  it('darkens all of the picture where its blot is wider than that, and is then not seen', () => {
    const mark = frontMark(case_({ focalMm: 200, fNumber: 2.8, distanceToPupilMm: 90, diameterMm: 15 }));
    expect(mark.dimsAll).toBe(true);
    expect(mark.visible).toBe(false);
  });
  it('shows sooner the closer the subject, the smaller the aperture and the larger the mark', () => {
    expect(frontMark(case_({ subjectMm: 150 })).depth).toBeGreaterThan(frontMark(case_({})).depth);
    expect(markShowsFrom(case_({}))!).toBe(8);
    expect(markShowsFrom(case_({ diameterMm: 0.1 }))).toBeNull();
    expect(markShowsFrom(case_({ diameterMm: 3 }))!).toBeLessThan(markShowsFrom(case_({}))!);
  });
  it('is refused where a length is none', () => {
    expect(() => frontMark(case_({ focalMm: 0 }))).toThrow('focalMm is 0');
    expect(() => frontMark(case_({ subjectMm: 10 }))).toThrow(RangeError);
  });
});
