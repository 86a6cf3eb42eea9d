/** The first letter as a capital, for headings and the beginnings of lines. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** "1 day", "3 days". */
export const count = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;

/** A name with the unit it is typed in; a sum with its currency. */
export const withUnit = (name: string, unit: string): string => (unit ? `${name}, ${unit}` : name);
