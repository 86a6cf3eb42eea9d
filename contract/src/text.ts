/** The sign that ends text in many programs, and halves of letters: no database and few programs take them. */
const NO_SIGN = /\0|\p{Surrogate}/u;
const FAULT = 'This holds a sign that is none; take it out.';
const DEEPEST = 40;

/**
 * Texts that cannot be kept, by field path, keys of objects included. What is nested more deeply than anything of ours
 * counts as one.
 */
export function unkeepableTexts(value: unknown, path: readonly (string | number)[] = []): Record<string, string> {
  const here = path.join('.') || 'body';
  if (typeof value === 'string') return NO_SIGN.test(value) ? { [here]: FAULT } : {};
  if (value === null || typeof value !== 'object') return {};
  if (path.length > DEEPEST) return { [path.slice(0, 3).join('.')]: 'This is nested far too deeply.' };
  const parts: [string | number, unknown][] = Array.isArray(value) ? value.map((part, i) => [i, part]) : Object.entries(value);
  const faults: Record<string, string> = {};
  for (const [key, part] of parts) {
    if (typeof key === 'string' && NO_SIGN.test(key)) faults[here] = FAULT;
    else Object.assign(faults, unkeepableTexts(part, [...path, key]));
  }
  return faults;
}
