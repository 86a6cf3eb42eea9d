import type { TakenBack } from '@bright-keeper/contract';

export const things = (n: number): string => (n === 1 ? '1 thing' : `${n} things`);

/** What was done to all of them, in words, and how it is taken back. */
export type Done = { words: string; /** Null where there is nothing to take back, or no more. */ takeBack: (() => Promise<Done>) | null };

export const backWords = (takenBack: number, kept: number): Done => ({
  words: `Taken back for ${things(takenBack)}.${kept > 0 ? ` ${things(kept)} changed since and stayed as they are.` : ''}`,
  takeBack: null,
});
export const backOf = ({ takenBack, kept }: TakenBack): Done => backWords(takenBack, kept.length);

/** What is done with all that is chosen. The form is gone when it is taken back: that is a promise of its own. */
export type WithMany = { itemIds: string[]; onDone: (done: Done) => void; onLeave: () => void };
