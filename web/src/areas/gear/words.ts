/** A trait's choice in words. */
const CHOICE_WORDS: Record<string, string> = { multi: 'many hard layers', single: 'one soft layer', none: 'bare, no coating' };
export const choiceWords = (choice: string): string => CHOICE_WORDS[choice] ?? choice.replaceAll('-', ' ');
