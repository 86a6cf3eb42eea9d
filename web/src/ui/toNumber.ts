const DECIMAL_COMMA = /^\s*[-−]?\d+,\d+\s*$/;

/**
 * A number as typed into a field, with a point or a comma; empty is "not known", and what is no number stays text
 * for the schema to name.
 */
export const toNumber = (text: unknown): unknown => {
  if (text === '' || text === null || text === undefined) return null;
  const number = Number(typeof text === 'string' && DECIMAL_COMMA.test(text) ? text.replace(',', '.').replace('−', '-') : text);
  return Number.isNaN(number) ? text : number;
};
