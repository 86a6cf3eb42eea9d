import { describe, expect, it } from 'vitest';
import { coatingShare, gentleWord } from './index.js';

describe('the gentle word', () => {
  it('is not said while there is evidence and the count is like that of its peers', () => {
    expect(gentleWord({ touches: 5, withoutEvidence: 0, peers: [4, 5, 6] })).toBeNull();
  });
  it('is said when a surface was touched for no more than a trace', () => {
    expect(gentleWord({ touches: 2, withoutEvidence: 2, peers: [] })).toEqual({ word: 'for-no-more-than-a-trace', times: 2 });
  });
  it('is said at twice the touches of its peers, naming both', () => {
    expect(gentleWord({ touches: 12, withoutEvidence: 0, peers: [2, 3, 4] })).toEqual({
      word: 'more-than-its-peers',
      touches: 12,
      usual: 3,
    });
  });
  it('says nothing beside peers that nobody touched: that they stay clean is not known', () => {
    expect(gentleWord({ touches: 12, withoutEvidence: 0, peers: [0, 0, 0] })).toBeNull();
  });
  it('compares with three peers at least, and with none when it is touched seldom', () => {
    expect(gentleWord({ touches: 12, withoutEvidence: 0, peers: [1, 1] })).toBeNull();
    expect(gentleWord({ touches: 5, withoutEvidence: 0, peers: [1, 1, 1] })).toBeNull();
  });
});

/**
 * ISO 9211-4, moderate abrasion: cheesecloth, 5 N, 50 strokes; severe: eraser, 10 N, 20 strokes (from memory; the
 * same figures stood in MIL-C-48497 and MIL-C-675, 1 lb and 2 to 2.5 lb).
 */
describe('what touches mean to a hard coating', () => {
  it('reckons the whole moderate rub test as 1', () => {
    expect(coatingShare({ strokes: 50, forceN: 5 })).toBe(1);
  });
  it('finds a gentle wipe to be a hundredth or so of it, and a year of weekly wipes less than the whole', () => {
    expect(coatingShare({ touches: 1 })).toBeGreaterThan(0.005);
    expect(coatingShare({ touches: 1 })).toBeLessThan(0.02);
    expect(coatingShare({ touches: 52 })).toBeLessThan(1);
  });
});
