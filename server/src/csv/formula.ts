/*
 * A spreadsheet runs a cell that begins like a formula, and one that cuts at semicolons or tabs sees cells where we wrote
 * none. Such beginnings get one quotation mark more on the way out and lose one on the way in, so that what was written
 * comes back whatever it was.
 */
const AT_THE_BEGINNING = /^( *)('*[=+\-@\t\r])/;
const AFTER_A_CUT = /([;\t] *)('*[=+\-@])/g;
const GUARDED_AT_THE_BEGINNING = /^( *)'('*[=+\-@\t\r])/;
const GUARDED_AFTER_A_CUT = /([;\t] *)'('*[=+\-@])/g;

/** A text that no spreadsheet runs. */
export const guarded = (text: string): string => text.replace(AFTER_A_CUT, "$1'$2").replace(AT_THE_BEGINNING, "$1'$2");
/** What it was before it was guarded. */
export const unguarded = (text: string): string => text.replace(GUARDED_AT_THE_BEGINNING, '$1$2').replace(GUARDED_AFTER_A_CUT, '$1$2');
