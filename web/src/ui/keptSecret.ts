/** How a field for a secret is read that may be kept already: what is not typed stays as it is (null), and none is an empty text. */
export const keptSecret = (isKept: boolean) => ({ setValueAs: (typed: string | null) => (isKept && !typed ? null : (typed ?? '')) });

/** What stands below such a field. */
export const keptSecretHint = (isKept: boolean, otherwise: string): string =>
  isKept ? 'One is kept; type another to change it.' : otherwise;

/** Where secrets lie, in words. */
export const KEPT_HERE = 'It is kept on this machine, beside the household, and in no backup.';
