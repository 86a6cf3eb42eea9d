import { describe, expect, it } from 'vitest';
import { comparedWith } from './comparedWith';

const at = (focalMm: number | null, body: string | null = 'Corvane Z') => ({ focalMm, body });

describe('what stands in the way of comparing two frames', () => {
  it.each([
    ['nothing, of the same body at about the same focal length', at(50), at(52), []],
    ['nothing, of a first frame', null, at(null, null), []],
    ['another focal length', at(85), at(24), [/^The frame before was taken at 85 mm/]],
    ['a focal length that this file does not tell', at(85), at(null), [/^This file does not say at which focal length/]],
    ['one that the file before did not', at(null), at(50), [/^The file of the frame before does not say/]],
    ['one that neither tells', at(null), at(null), [/^Neither this file nor the one before says at which/]],
    ['another body', at(50), at(50, 'Corvane Y'), [/from Corvane Y, the frame before from Corvane Z\. Is this the right body\?$/]],
    ['another body and another focal length', at(50), at(24, 'Corvane Y'), [/right body/, /taken at 50 mm/]],
  ] as const)('%s', (_, before, now, expected) => {
    const told = comparedWith(before, now);
    expect(told).toHaveLength(expected.length);
    for (const [i, words] of expected.entries()) expect(told[i]).toMatch(words);
  });
});
