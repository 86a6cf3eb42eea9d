import { describe, expect, it } from 'vitest';
import { guessKind } from './guessKind.js';
import { ITEM_KINDS } from './registry.js';

/** How things are written in lists (common practice; names invented). */
const WRITTEN: readonly (readonly [string, string | null])[] = [
  ['Corvane 50mm f/1.8', 'lens'],
  ['Corvane 24-70 f2.8', 'lens'],
  ['Ostrane 135/3.5', 'lens'],
  ['Fennick 1:2.8 Makro', 'lens'],
  ['Objektiv 35 mm', 'lens'],
  ['Objectif macro 100', 'lens'],
  ['Zirkularpolarisator 67 mm', 'filter'],
  ['UV 52 mm', 'filter'],
  ['ND1000 77mm', 'filter'],
  ['C-PL 58', 'filter'],
  ['Clear filter', 'filter'],
  ['Lens cap 58 mm', 'accessory'],
  ['Objektivdeckel 52', 'accessory'],
  ['Ball head', 'accessory'],
  ['Stativ', 'accessory'],
  ['Battery grip', 'accessory'],
  ['Binoculars 8x32', 'binocular'],
  ['Fernglas 10×42', 'binocular'],
  ['1.4x extender', 'teleconverter'],
  ['Telekonverter 2x', 'teleconverter'],
  ['Eyepiece 12 mm', 'eyepiece'],
  ['Newton 150/750', 'reflector'],
  ['Refractor 80 mm', 'refractor'],
  ['Dome port', 'port'],
  ['Viewfinder loupe', 'viewfinder-loupe'],
  ['Speedlight', 'flash'],
  ['Systemkamera', 'mirrorless-body'],
  ['Gehäuse Wherry II', 'mirrorless-body'],
  ['DSLR', 'slr-body'],
  ['Rangefinder (1958)', 'film-camera'],
  ['Kompaktkamera', 'compact'],
  ['Camera', 'mirrorless-body'],
  ['Drone', 'drone'],
  ['Smartphone', 'phone'],
  ['Wherry', null],
  ['', null],
  ['Chair', null],
];

describe('the kind a list means', () => {
  it.each(WRITTEN)('%s: %s', (words, kind) => {
    expect(guessKind(words)).toBe(kind);
  });
  it('is written in some way for every kind', () => {
    expect(ITEM_KINDS.filter((kind) => !WRITTEN.some(([, k]) => k === kind))).toEqual([]);
  });
});
