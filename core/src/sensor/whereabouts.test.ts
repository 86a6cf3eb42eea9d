import { describe, expect, it } from 'vitest';
import type { Spot } from './dust/spot.js';
import { sequence } from './dust/testing/render.js';
import { storyOf } from './story.js';
import { whereaboutsOf, type FrameOfSitting } from './whereabouts.js';

const random = sequence(77);
const strewn = (count: number): Spot[] =>
  Array.from({ length: count }, (_, i) => ({
    x: 0.1 + (0.8 * (i + 0.3 + 0.4 * random())) / count,
    y: 0.1 + 0.8 * random(),
    depth: 0.08 + 0.2 * random(),
    fwhmPx: 14 * 3 ** random(),
    diameterPx: 60,
    kind: 'dust',
    confidence: 1,
  }));

const onSensor = strewn(7);
const inLensA = strewn(2);
const [sceneOne, sceneTwo, sceneThree] = [strewn(2), strewn(1), strewn(2)];

/** The shadows of what lies on the sensor, under a lens whose exit pupil lies at another distance: all a little nearer the middle. */
const under = (spots: readonly Spot[], scale: number): Spot[] =>
  spots.map((s) => ({ ...s, x: 0.5 + (s.x - 0.5) * scale, y: 0.5 + (s.y - 0.5) * scale }));

const taken = (minute: number, lens: string | null, spots: Spot[], more: Partial<FrameOfSitting> = {}): FrameOfSitting => ({
  at: `2026-05-01T10:${String(minute).padStart(2, '0')}:00Z`,
  fNumber: 16,
  width: 6000,
  height: 4000,
  lens,
  spots,
  tries: [],
  exposures: 0,
  ...more,
});
const three = (more: Partial<FrameOfSitting> = {}) => [
  taken(0, 'A', [...onSensor, ...inLensA, ...sceneOne]),
  taken(2, 'A', [...onSensor, ...inLensA, ...sceneTwo], more),
  taken(5, 'B', [...under(onSensor, 0.985), ...sceneThree], more),
];

describe('three frames of one sitting, the camera moved between the first two and the lens changed before the third', () => {
  const all = (n: number, where: string | null) => Array.from({ length: n }, () => where);

  it('tell the sensor from the lens, and both from the scene', () => {
    expect(whereaboutsOf(three())).toEqual([
      [...all(7, 'sensor'), ...all(2, 'lens'), ...all(2, 'scene')],
      [...all(7, 'sensor'), ...all(2, 'lens'), ...all(1, 'scene')],
      [...all(7, 'sensor'), ...all(2, 'lens-or-scene')],
    ]);
  });

  it('tell nothing where something was done, an outing lay between, days passed, or no file says which lens', () => {
    const nothing = three().map((f) => f.spots.map(() => null));
    expect(whereaboutsOf(three({ tries: ['blow'] }))).toEqual(nothing);
    expect(whereaboutsOf(three({ exposures: 1 }))).toEqual(nothing);
    expect(whereaboutsOf(three().map((f, i) => ({ ...f, at: `2026-0${5 + i}-01T10:00:00Z` })))).toEqual(nothing);
    expect(whereaboutsOf(three().map((f) => ({ ...f, lens: null })))).toEqual(nothing);
  });

  it('do not take for missing what would be too faint at the wider aperture of another frame', () => {
    const faint = strewn(1).map((s) => ({ ...s, depth: 0.04 }));
    const [first, , third] = three();
    const wide = { ...third!, fNumber: 8 };
    expect(whereaboutsOf([{ ...first!, spots: [...onSensor, ...faint] }, wide])[0]!.at(-1)).toBeNull();
    expect(whereaboutsOf([{ ...first!, spots: [...onSensor, ...faint] }, third!])[0]!.at(-1)).toBe('lens-or-scene');
  });

  it('and a single speck at the side of the sensor, which the other lens shifts, is the same one', () => {
    const side: Spot[] = [{ ...onSensor[0]!, x: 0.95, y: 0.5 }];
    expect(whereaboutsOf([taken(0, 'A', side), taken(5, 'B', under(side, 0.97))])).toEqual([['sensor'], ['sensor']]);
  });

  it('are judged by what may lie on the sensor alone', () => {
    const facts = three().map((f, i) => ({ ...f, id: `f${i}`, workingAt: 16, lensChanges: null }));
    const { chapters } = storyOf(facts, [], 'self');
    expect(chapters.map((c) => c.judgement.shows)).toEqual([7, 7, 7]);
    const clean = [taken(0, 'A', inLensA), taken(3, 'B', [])].map((f, i) => ({ ...f, id: `f${i}`, workingAt: 16, lensChanges: null }));
    expect(storyOf(clean, [], 'self').chapters[0]!.judgement.advice).toBe('leave');
  });
});
