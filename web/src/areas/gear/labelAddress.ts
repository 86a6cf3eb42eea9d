const OWN_MACHINE = ['localhost', '127.0.0.1', '[::1]'];

/** The address labels lead to, without its end; null where what was typed is none. */
export function labelBase(typed: string): string | null {
  if (!URL.canParse(typed)) return null;
  const { protocol, origin } = new URL(typed);
  return protocol === 'http:' || protocol === 'https:' ? origin : null;
}
/** Only this machine reaches it: a phone that reads the label does not. */
export const isOwnMachine = (base: string): boolean => OWN_MACHINE.includes(new URL(base).hostname);
