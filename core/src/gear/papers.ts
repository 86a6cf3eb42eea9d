/** What is kept with a thing: what it looks like, and what belongs to its buying and using. */
export const FILE_ROLES = ['picture', 'receipt', 'manual', 'report', 'other'] as const;
export type FileRole = (typeof FILE_ROLES)[number];

/** Words in the name of a file, in the languages lists come in: what a shop, a maker or a workshop calls what it sends. */
const WORDS: Readonly<Partial<Record<FileRole, RegExp>>> = {
  receipt: /receipt|invoice|bill\b|rechnung|quittung|beleg|kassenbon|facture|re[cç]u\b|recibo|factura|fatura/u,
  manual: /manual|instruction|handbuch|anleitung|bedienung|mode.?d.?emploi|istruzioni|instrucciones/u,
  report: /report|estimate|quote|service|gutachten|kostenvoranschlag|reparatur|devis|presupuesto|r[ée]paration/u,
};

/**
 * What a file most likely is, from its name; a picture without such a word shows the thing itself. A guess: it is shown,
 * and the keeper may say otherwise.
 */
export function guessRole(name: string, isPicture: boolean): FileRole {
  // A name is words with whatever its sender puts between them.
  const said = name
    .toLowerCase()
    .normalize('NFC')
    .replace(/[_\-.+]/g, ' ');
  const told = FILE_ROLES.find((role) => WORDS[role]?.test(said));
  return told ?? (isPicture ? 'picture' : 'other');
}

/** May a file be that? Only a picture can show the thing. */
export const mayBe = (role: FileRole, isPicture: boolean): boolean => role !== 'picture' || isPicture;
