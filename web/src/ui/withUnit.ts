/** A name with the unit it is typed in; a sum with its currency. */
export const withUnit = (name: string, unit: string): string => (unit ? `${name}, ${unit}` : name);
