/** The first letter as a capital, for headings and the beginnings of lines. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** "1 day", "3 days". */
export const count = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;

/** A name with the unit it is typed in; a sum with its currency. */
export const withUnit = (name: string, unit: string): string => (unit ? `${name}, ${unit}` : name);

/** A list in words: "a, b and c". */
export const inWords = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
