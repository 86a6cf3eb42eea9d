/** After the #, which no browser sends and no log keeps. */
const PART = /^#pair=(\d{8})$/;

/** Where a phone that trusts the household already is let in by a code. */
export const pairingLink = (address: string, code: string): string => `${address}/#pair=${code}`;
/** The code that the address of this page brings along, if it does. */
export const codeIn = (hash: string): string => PART.exec(hash)?.[1] ?? '';

/** "1234 5678", to be read across a room. */
export const inGroups = (code: string): string => code.replace(/^(\d{4})(\d{4})$/, '$1 $2');
/** What was typed, without what only helps to read it. */
export const digitsOf = (typed: string): string => typed.replaceAll(/\D/g, '').slice(0, 8);
