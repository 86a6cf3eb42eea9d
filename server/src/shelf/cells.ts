/** What people write in the cells of a list, read as they mean it. What cannot be read stays text, so that it is named. */

const YES = ['yes', 'y', 'true', '1', 'x', 'ja', 'oui', 'si', 'sí', 'sim', '✓'];
const NO = ['no', 'n', 'false', '0', '-', 'nein', 'non', 'não', '–'];

export const isNo = (cell: string): boolean => NO.includes(cell.toLowerCase());

export function readYesNo(cell: string): boolean | string {
  const word = cell.toLowerCase();
  if (YES.includes(word)) return true;
  return NO.includes(word) ? false : cell;
}

/** Currencies, units and what else stands around a number: "€ 900", "900,- EUR", "ø 58 mm", "f/22", "c. 1965". */
const AROUND = /^(?:[\p{Sc}ø⌀]|ca?\.|approx\.|f\/|[A-Z]{3}\b)?\s*([\d.,'’\s]*\d)(?:[.,]-+)?\s*(?:[\p{Sc}°%]|[a-zµ]{1,10}\.?|[A-Z]{2,3})?$/u;
const THOUSANDS = /^[1-9]\d{0,2}(?:([.,'’])\d{3})(?:\1\d{3})*$/;

/** "1.250,00", "1,250.00", "1'250", "12,5", with whatever stands around it: by its last mark, which parts the decimals. */
export function readNumber(cell: string): number | string {
  const digits = AROUND.exec(cell.trim())?.[1]?.replace(/\s/g, '');
  if (!digits) return cell;
  if (THOUSANDS.test(digits)) return Number(digits.replace(/[.,'’]/g, ''));
  const mark = Math.max(digits.lastIndexOf('.'), digits.lastIndexOf(','));
  const whole = (mark < 0 ? digits : digits.slice(0, mark)).replace(/[.,'’]/g, '');
  const value = Number(mark < 0 ? whole : `${whole}.${digits.slice(mark + 1)}`);
  return Number.isFinite(value) ? value : cell;
}

/** What one of a unit is in the unit that is kept; inches are written in three ways. */
const UNITS: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  g: { g: 1, gr: 1, kg: 1000, oz: 28.349523125, lb: 453.59237, lbs: 453.59237 },
  mm: { mm: 1, cm: 10, m: 1000, in: 25.4, inch: 25.4, '"': 25.4, '″': 25.4 },
};
const IN_A_UNIT = /^(.*\d)\s*([a-z"″]{1,5})\.?$/i;
const ONE_MARK = /^\s*\d+[.,]\d+\s*$/;
/** Six figures are as exact as any scale or rule. */
const rounded = (value: number): number => Number(value.toPrecision(6));

/**
 * A number in the unit a field is kept in, whatever unit it is written in: "0,42 kg" is 420 g. What is written in a unit of
 * something else stays text, so that it is named: a weight is never read as a length.
 */
export function readMeasure(cell: string, unit: string): number | string {
  const units = UNITS[unit];
  const written = units && IN_A_UNIT.exec(cell.trim());
  if (!written) return readNumber(cell);
  const factor = units[written[2]!.toLowerCase()];
  // "1.250 kg" is no ton: in a large unit the only mark parts the decimals.
  const isLarge = factor !== undefined && factor >= 10;
  const decimal = isLarge && ONE_MARK.test(written[1]!) ? Number(written[1]!.trim().replace(',', '.')) : null;
  const value = decimal ?? readNumber(written[1]!);
  return factor === undefined || typeof value === 'string' ? cell : rounded(value * factor);
}

/** Signs that several currencies are written with. */
const SIGNS: Readonly<Record<string, readonly string[]>> = {
  '€': ['EUR'],
  '£': ['GBP'],
  '¥': ['JPY', 'CNY'],
  $: ['USD', 'CAD', 'AUD', 'NZD', 'SGD', 'HKD', 'MXN'],
};
/** The currency a sum is written in, where that is not this one; null where it is, or where none is written. */
export function otherCurrency(cell: string, own: string): string | null {
  const code = /\b[A-Z]{3}\b/.exec(cell)?.[0];
  if (code !== undefined) return code === own ? null : code;
  const sign = Object.keys(SIGNS).find((s) => cell.includes(s));
  return sign === undefined || SIGNS[sign]!.includes(own) ? null : sign;
}

const IN_PARTS = /^(\d{1,2})[./-](\d{1,2})[./-](\d{2}|\d{4})$/;
const MONTH = /^(\d{1,2})[./-](\d{4})$/;
const MONTH_ISO = /^(\d{4})-(\d{2})$/;
const YEAR = /^(\d{4})$/;

/** Dates in figures: which comes first, where both could. */
export type DayOrder = 'day-first' | 'month-first';

/** Does one of these dates have its month first, or its day, beyond doubt? Null where each could be read both ways, and where there is none. */
export function orderOf(cells: readonly string[]): { order: DayOrder | null; ambiguous: boolean } {
  const parts = cells.flatMap((cell) => {
    const match = IN_PARTS.exec(cell);
    return match ? [[Number(match[1]), Number(match[2])] as const] : [];
  });
  if (parts.some(([first]) => first > 12)) return { order: 'day-first', ambiguous: false };
  if (parts.some(([, second]) => second > 12)) return { order: 'month-first', ambiguous: false };
  return { order: null, ambiguous: parts.some(([first, second]) => first !== second) };
}

/** Whether a day is one of the past, or of a warranty that may run for years yet. */
type When = 'past' | 'may-be-ahead';
const YEARS_AHEAD = 30;
/** A date of two figures in its year: 98 is 1998, and 31 is 2031 only of what may lie ahead. */
function fullYear(year: string, now: Date, when: When): string {
  if (year.length === 4) return year;
  const latest = now.getUTCFullYear() + (when === 'past' ? 0 : YEARS_AHEAD);
  return String(2000 + Number(year) > latest ? 1900 + Number(year) : 2000 + Number(year));
}

/** A day as people write it; a month or a year alone is its first day, and `taken` says so. */
export function readDay(cell: string, order: DayOrder, now: Date, when: When = 'past'): { day: string; taken: boolean } {
  const two = (text: string) => text.padStart(2, '0');
  const parts = IN_PARTS.exec(cell);
  if (parts) {
    const [, a, b, year] = parts as unknown as [string, string, string, string];
    const [dayOfMonth, month] = order === 'day-first' ? [a, b] : [b, a];
    return { day: `${fullYear(year, now, when)}-${two(month)}-${two(dayOfMonth)}`, taken: false };
  }
  const month = MONTH.exec(cell);
  if (month) return { day: `${month[2]!}-${two(month[1]!)}-01`, taken: true };
  const iso = MONTH_ISO.exec(cell);
  if (iso) return { day: `${cell}-01`, taken: true };
  return YEAR.test(cell) ? { day: `${cell}-01-01`, taken: true } : { day: cell, taken: false };
}
