import { schedule, type storage } from '@bright-keeper/core';
import { standingBecause, type StandingTone, standingTone, standingWords } from '@bright-keeper/words';
import { shortDate } from '../../ui/dates';
import { useZone } from '../../ui/zone';

const TONES: Record<StandingTone, string> = {
  good: 'bg-glass-tint text-glass',
  attention: 'bg-lamp-tint text-lamp',
  act: 'bg-act-tint text-act',
  unknown: 'border border-line text-soft',
};

/** How a place or a thing stands, and why: the same word wherever it is spoken of. */
export function StandingChip({ standing }: { standing: storage.Standing }) {
  const zone = useZone();
  const words = standingWords(standing, (instant) => shortDate(schedule.localDay(instant, zone)));
  return (
    <span
      className={`inline-block rounded px-2 py-0.5 text-sm font-medium ${TONES[standingTone(standing)]}`}
      title={standingBecause(standing) ?? undefined}
    >
      {words}
    </span>
  );
}
