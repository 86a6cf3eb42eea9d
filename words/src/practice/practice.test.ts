import { care, practice } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import { sentenceFault } from '../testing/sentenceLaws.js';
import { askWords, caseWords, othersWords, practiceChoiceWords, practiceWhyWords } from './practice.js';

const CASES = practice.practiceCases();

describe('the practice, read aloud', () => {
  it('keeps the laws of sentences, in every case of the book', () => {
    for (const one of CASES) {
      const texts = [...caseWords(one)];
      for (const { ask, choices, others } of one.questions)
        texts.push(
          askWords(ask),
          ...choices.flatMap(({ choice, why }) => [practiceChoiceWords(choice), practiceWhyWords(why)]),
          ...othersWords(others),
        );
      for (const text of texts) {
        expect(text, one.id).toMatch(/^[A-Z0-9“]/);
        expect(text, one.id).not.toMatch(/undefined|null|NaN|\{|\}|\s\s|\.\./);
        expect(sentenceFault(text), one.id).toBeNull();
      }
    }
  });

  it('tells a wrong choice why it is wrong, never in the words of the right one unless they are the reason', () => {
    for (const { id, questions } of CASES)
      for (const { ask, choices } of questions) {
        if (ask.asks !== 'still-there') continue;
        const right = practiceWhyWords(choices.find((c) => c.right)!.why);
        for (const { right: isRight, choice, why } of choices)
          if (!isRight && choice.is === 'then' && choice.then !== 'stop') expect(practiceWhyWords(why), id).not.toBe(right);
      }
  });

  it('says two choices of one question in two ways', () => {
    for (const { id, questions } of CASES)
      for (const { choices } of questions) {
        const words = choices.map(({ choice }) => practiceChoiceWords(choice));
        expect(new Set(words).size, `${id}: ${words.join(', ')}`).toBe(words.length);
      }
  });

  it('names what there is at hand where that is all there is', () => {
    const pen = CASES.find(({ id }) => id === 'eyepiece-pen-at-home')!;
    expect(caseWords(pen)).toContain(`At hand, and nothing else: ${care.TOOLS['bulb-blower'].name} and ${care.TOOLS['carbon-pen'].name}.`);
  });
});
