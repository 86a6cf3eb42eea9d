import { care } from '@bright-keeper/core';
import { ShieldAlert } from 'lucide-react';
import { wearWords } from '../../ui/words';

/** Each hazard as one line: what it is, what to do, what to wear. */
export const CautionLines = ({ hazards }: { hazards: readonly care.HazardId[] }) => (
  <>
    {hazards.map((h) => (
      <p key={h} className="flex gap-3 rounded bg-act-tint px-4 py-2">
        <ShieldAlert size={20} className="mt-0.5 shrink-0 text-act" aria-hidden="true" />
        <span>
          <b>{care.HAZARDS[h].name}.</b> {care.HAZARDS[h].caution} {wearWords(care.HAZARDS[h].wear)}
        </span>
      </p>
    ))}
  </>
);
