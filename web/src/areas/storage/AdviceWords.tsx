import type { AdvisedChange, PlaceAdvice } from '@bright-keeper/contract';
import type { storage } from '@bright-keeper/core';

/** What a single change is, as one would say it; total over the changes. */
const CHANGE_WORDS: Record<storage.ChangeId, (change: AdvisedChange) => string> = {
  'dry-gel': ({ amount }) => `dry the ${amount} g in it again`,
  'fewer-openings': () => 'open it half as often',
  'lower-set-point': ({ amount }) => `set it to ${amount} %`,
  'higher-set-point': ({ amount }) => `turn it up to ${amount} %`,
  'less-gel': ({ amount }) => `take ${amount} g of its gel out`,
  'off-the-wall': ({ amount }) => `away from its cold wall, ${amount?.toFixed(1)} °C warmer`,
  'better-seal': () => 'a seal twice as tight',
  'more-gel': ({ amount }) => `${amount} g of dry gel`,
  'other-room': ({ placeName }) => `stand it in the air of: ${placeName}`,
  'dry-room': ({ amount }) => `dry the room to ${amount} %`,
  electric: ({ amount }) => `a cabinet with current, set to ${amount} %`,
};

const pct = (share: number): string => `${Math.round(share * 100)} %`;
/** What would be left outside of its band, and to which side. */
function leftWords({ above, below }: AdvisedChange): string {
  if (above + below < 0.005) return 'in its band all the time';
  const sides = [...(above >= 0.005 ? [`above its band ${pct(above)}`] : []), ...(below >= 0.005 ? [`below it ${pct(below)}`] : [])];
  return `${sides.join(', ')} of the time`;
}
/** A change by itself; what it would leave is told only where the place was explained by its past. */
export const changeWords = (change: AdvisedChange, by: PlaceAdvice['by']): string =>
  by === 'usual' ? CHANGE_WORDS[change.id](change) : `${CHANGE_WORDS[change.id](change)} (${leftWords(change)})`;

/** The advice in words: the best for its trouble first, or plainly that nothing single is enough. */
export function adviceWords(advice: PlaceAdvice): string {
  const thumb = advice.by === 'usual' ? 'By rule of thumb, held against nothing: ' : '';
  const first = (sentence: string) => (thumb ? thumb + sentence.charAt(0).toLowerCase() + sentence.slice(1) : sentence);
  switch (advice.verdict) {
    case 'nothing-needed':
      return advice.by === 'measured'
        ? 'Nothing has to change: it was measured where it should be.'
        : first('Nothing would have to change.');
    case 'wait':
      return 'For most of these weeks it was where it should be: see whether it stays there.';
    case 'settle-first':
      return 'Its hygrometers disagree: find out which of them is right before anything is bought or changed.';
    case 'cannot-say':
      return 'It was measured outside of its band, and no rule of thumb says why: no advice before its past is explained.';
    case 'helps': {
      const [best, ...others] = advice.changes;
      const rest = others.slice(0, 2).map((change) => changeWords(change, advice.by));
      return first(
        `What helps most for its trouble: ${changeWords(best!, advice.by)}.${rest.length > 0 ? ` Or: ${rest.join('; ')}.` : ''}`,
      );
    }
    case 'nothing-helps':
      return advice.nearest
        ? first(`No single change is enough. The nearest: ${changeWords(advice.nearest, advice.by)}. Try two together in “What if”.`)
        : first('No single change makes it noticeably better: try two together in “What if”.');
    default:
      return advice satisfies never;
  }
}

export const AdviceWords = ({ advice }: { advice: PlaceAdvice }) => (
  <p className={`rounded px-3 py-2 text-sm ${advice.verdict === 'nothing-needed' ? 'bg-glass-tint' : 'bg-lamp-tint'}`}>
    {adviceWords(advice)}
  </p>
);
