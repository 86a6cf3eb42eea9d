import { describe, expect, it } from 'vitest';
import { FILE_ROLES, guessRole, mayBe } from './papers.js';

describe('what a file of a thing is', () => {
  it.each([
    ['Receipt_2019-03.pdf', false, 'receipt'],
    ['Rechnung-4711.pdf', false, 'receipt'],
    ['facture mars.jpg', true, 'receipt'],
    ['reçu.jpg', true, 'receipt'],
    ['lens_manual.pdf', false, 'manual'],
    ['Bedienungsanleitung.pdf', false, 'manual'],
    ["mode d'emploi.pdf", false, 'manual'],
    ['service-report.pdf', false, 'report'],
    ['Kostenvoranschlag.pdf', false, 'report'],
    ['IMG_2041.jpg', true, 'picture'],
    ['scan0001.pdf', false, 'other'],
    // Words within other words are no words.
    ['billiard table.jpg', true, 'picture'],
  ] as const)('%s', (name, isPicture, role) => expect(guessRole(name, isPicture)).toBe(role));

  it('is never guessed to be what it may not be', () => {
    for (const name of ['picture.pdf', 'a.pdf', 'receipt.pdf', '']) expect(mayBe(guessRole(name, false), false)).toBe(true);
    expect(FILE_ROLES.filter((role) => !mayBe(role, false))).toEqual(['picture']);
  });
});
