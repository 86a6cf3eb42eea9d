import { schedule } from '@bright-keeper/core';
import { awayWords, capital } from '@bright-keeper/words';

type Props = { label: string; why: schedule.AwayReason; onWhy: (why: schedule.AwayReason) => void };
/** Why something is not here. */
export const WhyAway = ({ label, why, onWhy }: Props) => (
  <label className="flex flex-col gap-1">
    {label}
    <select className="input" value={why} onChange={(e) => onWhy(e.target.value as schedule.AwayReason)}>
      {schedule.AWAY_REASONS.map((reason) => (
        <option key={reason} value={reason}>
          {capital(awayWords(reason))}
        </option>
      ))}
    </select>
  </label>
);
