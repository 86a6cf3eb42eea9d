import { describe, expect, it } from 'vitest';
import { saidTwice, sentenceFault } from './sentenceLaws.js';

/* English grammar and orthography as any handbook of style has them. */
describe('the laws of sentences', () => {
  it.each([
    ['The dials and buttons does not come off.', 'many with a verb of one'],
    ['The front glass are dusty.', 'one surface with a verb of many'],
    ['It shows 1 specks.', 'one of a noun of many'],
    ['Wipe the the rim.', 'a word twice in a row'],
    ['Take a eyecup off.', 'a before a vowel'],
    ['Take an cloth.', 'an before a consonant'],
    ['It waits..', 'a stop too many'],
    ['It waits., Then it goes on.', 'a stop too many'],
  ])('notice %s', (text, law) => expect(sentenceFault(text)).toContain(law));

  it.each([
    'The dials and buttons do not come off. The front glass is dusty; 1 speck shows at f/16.',
    'The front glass and the rear glass are dusty.',
    'A used cloth, a one-way stroke, an o-ring, an hour: 0.5 mL (2 drops).',
    'Nothing since 10 weeks ago … and more.',
  ])('let %s stand', (text) => expect(sentenceFault(text)).toBeNull());

  it('hear what is said twice, wherever it stands', () => {
    expect(saidTwice(['It wants air. Look at it.', 'It wants air.'])).toBe('It wants air.');
    expect(saidTwice(['It wants air.', 'It wants water.'])).toBeNull();
  });
});
