import type { AdvisedChange, PlaceAdvice } from '@bright-keeper/contract';
import type { storage } from '@bright-keeper/core';

/** What a single change is, as one would say it; total over the changes. */
const CHANGE_WORDS: Record<storage.ChangeId, (change: AdvisedChange) => string> = {
  'dry-gel': ({ amount }) => `dry the ${amount} g in it again`,
  'fewer-openings': () => 'open it half as often',
  'lower-set-point': ({ amount }) => `set it to ${amount} %`,
  'better-seal': () => 'a seal twice as tight',
  'more-gel': ({ amount }) => `${amount} g of dry gel`,
  'other-room': ({ placeName }) => `stand it in the air of: ${placeName}`,
  'dry-room': ({ amount }) => `dry the room to ${amount} %`,
  electric: ({ amount }) => `a cabinet with current, set to ${amount} %`,
};

const pct = (share: number): string => `${Math.round(share * 100)} %`;
export const changeWords = (change: AdvisedChange): string =>
  `${CHANGE_WORDS[change.id](change)} (above its band ${pct(change.above)} of the time)`;

/** The advice in words: the best for its trouble first, or plainly that nothing single is enough. */
export function adviceWords(advice: PlaceAdvice): string {
  switch (advice.verdict) {
    case 'nothing-needed':
      return 'Nothing has to change: it is where it should be.';
    case 'helps': {
      const [first, ...others] = advice.changes;
      const rest = others.slice(0, 2).map(changeWords);
      return `What helps most for its trouble: ${changeWords(first!)}.${rest.length > 0 ? ` Or: ${rest.join('; ')}.` : ''}`;
    }
    case 'nothing-helps':
      return advice.nearest
        ? `No single change is enough. The nearest, ${changeWords(advice.nearest)}, still leaves it too damp: try two together in “What if”.`
        : 'No single change makes it noticeably better: try two together in “What if”.';
    default:
      return advice satisfies never;
  }
}

export const AdviceWords = ({ advice }: { advice: PlaceAdvice }) => (
  <p className={`rounded px-3 py-2 text-sm ${advice.verdict === 'nothing-needed' ? 'bg-glass-tint' : 'bg-lamp-tint'}`}>
    {adviceWords(advice)}
  </p>
);
