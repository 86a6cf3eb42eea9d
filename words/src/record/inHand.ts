import { care, type record } from '@bright-keeper/core';
import { capital, inWords } from '../text.js';

const nameOf = (school: care.SchoolId, choice: string): string => care.schoolFacts(school).choices[choice]?.name ?? choice;

/** What one's own hands say of a school: the numbers, and what they tell. */
export function inHandWords({ school, choices, tells }: record.SchoolInHand): { title: string; numbers: string; tells: string } {
  const numbers = choices.map(
    ({ choice, successes, failures }) => `${nameOf(school, choice)} did it ${successes} of ${successes + failures} times`,
  );
  return {
    title: care.schoolFacts(school).name,
    numbers: `In your hands, on what each of them was tried on, ${inWords(numbers)}.`,
    tells:
      tells.is === 'better'
        ? `${capital(nameOf(school, tells.better))} does it oftener than ${nameOf(school, tells.worse)} in your hands (${Math.round(tells.sure * 100)} of 100 that it is no chance). It says nothing of wear.`
        : tells.is === 'too-few'
          ? 'Too few to tell: what shows in so few may be chance.'
          : 'No difference shows in so many.',
  };
}
