/** An f-number as photographers write it. */
export const fStop = (fNumber: number): string => `f/${Math.round(fNumber * 10) / 10}`;
