import { sameWay } from '@bright-keeper/contract';
import { randomBytes } from 'node:crypto';

/** What a guess costs (OWASP Password Storage Cheat Sheet, Argon2id: 19 MiB, two passes, one lane). */
const COSTS = { memoryCost: 19 * 1024, timeCost: 2, parallelism: 1 };

/** One at a time: many at once would take the machine's memory. */
let turn: Promise<unknown> = Promise.resolve();
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const mine = turn.then(work);
  turn = mine.catch(() => undefined);
  return mine;
}

/** Loaded only where somebody chooses or gives a passphrase: a household of one machine never does. */
const argon2 = () => import('@node-rs/argon2');

/** Argon2id (RFC 9106) of a passphrase with a salt of its own, in its PHC string. */
export const hashOfPassphrase = (passphrase: string): Promise<string> =>
  inTurn(async () => (await argon2()).hash(sameWay(passphrase), COSTS));

let noPassphrase: Promise<string> | null = null;
/** Something to compare with where nothing was chosen, so that a refusal takes as long. */
const nobodys = (): Promise<string> => (noPassphrase ??= hashOfPassphrase(randomBytes(32).toString('hex')));

/** Whether it is the one that was chosen; takes as long where none was. */
export async function isPassphrase(kept: string | null, passphrase: string): Promise<boolean> {
  const against = kept ?? (await nobodys());
  const fits = await inTurn(async () => (await argon2()).verify(against, sameWay(passphrase)));
  return kept !== null && fits;
}
