import type { TakenBack } from '@bright-keeper/contract';

export const things = (n: number): string => (n === 1 ? '1 thing' : `${n} things`);

/** What was done to all of them, in words, and how it is taken back. */
export type Done = { words: string; /** Null where that was taken back already. */ takeBack: (() => void) | null };

export const backWords = (takenBack: number, kept: number): Done => ({
  words: `Taken back for ${things(takenBack)}.${kept > 0 ? ` ${things(kept)} changed since and stayed as they are.` : ''}`,
  takeBack: null,
});
export const backOf = ({ takenBack, kept }: TakenBack): Done => backWords(takenBack, kept.length);

/** What is done with all that is chosen: `onDone` once it is, and `onGone` when it was taken back. */
export type WithMany = { itemIds: string[]; onDone: (done: Done) => void; onBack: (done: Done) => void; onLeave: () => void };
