/** A number as typed into a field; empty is "not known", and what is no number stays text for the schema to name. */
export const toNumber = (text: unknown): unknown => {
  if (text === '' || text === null || text === undefined) return null;
  const number = Number(text);
  return Number.isNaN(number) ? text : number;
};
