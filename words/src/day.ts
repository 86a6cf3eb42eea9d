const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'];

export const monthWords = (month: number): string => MONTHS[month - 1]!;
/** A day within a year of now, `YYYY-MM-DD`, as one says it: "14 December". */
export const dayOfYear = (day: string): string => `${Number(day.slice(8, 10))} ${monthWords(Number(day.slice(5, 7)))}`;
