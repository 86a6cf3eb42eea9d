import type { fungus } from '@bright-keeper/core';
import { assessWords, warningWords } from '@bright-keeper/words';
import { Link } from 'react-router';

/** When growth is to be expected if it goes on like this. */
function soon(days: number | null): string {
  if (days === null) return 'not as it is';
  if (days === 0) return 'reached';
  return days < 60 ? `in ${Math.ceil(days)} days` : `in ${Math.round(days / 30.4)} months`;
}

/** Both models side by side, with what a gap may hide. */
export function Risk({ assessment }: { assessment: fungus.Assessment }) {
  const { now, best, worst, peak, daysToGrowth, gapHours } = assessment;
  const widened = gapHours > 0 && (best.dose.toFixed(1) !== worst.dose.toFixed(1) || best.index.toFixed(1) !== worst.index.toFixed(1));
  const row = (name: string, words: (at: fungus.Exposure) => string, days: number | null) => (
    <tr className="border-t border-line">
      <th scope="row" className="py-2 pr-3 text-left font-medium">
        {name}
      </th>
      <td className="pr-3">{words(now)}</td>
      <td className="pr-3">{words(peak)}</td>
      {widened && (
        <td className="pr-3">
          {words(best)} to {words(worst)}
        </td>
      )}
      <td>{soon(days)}</td>
    </tr>
  );
  return (
    <div className="sheet p-4">
      <table className="w-full text-sm">
        <thead>
          <tr className="text-left text-soft">
            <th className="pb-1 font-normal">Model</th>
            <th className="pb-1 font-normal">now</th>
            <th className="pb-1 font-normal">at its worst</th>
            {widened && <th className="pb-1 font-normal">with the gaps</th>}
            <th className="pb-1 font-normal">growth</th>
          </tr>
        </thead>
        <tbody>
          {row('Mould index', ({ index }) => `${index.toFixed(1)} of 6`, daysToGrowth.byIndex)}
          {row('Early warning', warningWords, daysToGrowth.byDose)}
        </tbody>
      </table>
      <ul className="mt-3 space-y-1 text-sm text-soft">
        {assessment.reasons.map((r) => (
          <li key={r.says}>{assessWords(r)}</li>
        ))}
        <li>
          Mould index: Hukka & Viitanen 1999. Early warning: our choice, cautious, on conservation practice. Your humidity school decides
          which of them alarms;{' '}
          <Link to="/settings" className="link">
            change it in Settings
          </Link>
          .
        </li>
      </ul>
    </div>
  );
}
