import { useEffect, useState, useSyncExternalStore, type RefObject } from 'react';
import { outside } from '../outside';

const PLACE = 'read-aloud';
const PARTS = 'h2, p, li';

/** What stands on a card, as it is read: its lines, each ended. */
export function spokenOf(card: HTMLElement): string {
  return [...card.querySelectorAll<HTMLElement>(PARTS)]
    .filter((part) => !part.parentElement?.closest('p, li'))
    .map((part) =>
      (part.textContent ?? '')
        .replace(/\s+/g, ' ')
        .replace(/^[–·\s]+/, '')
        .trim(),
    )
    .filter((line) => line !== '')
    .map((line) => (/[.!?]$/.test(line) ? line : `${line}.`))
    .join(' ');
}

/**
 * Reads what stands on the card whenever another one comes, where this device has a voice and one wants it.
 *
 * @param at says which card it is: another one, another word.
 */
export function useReadAloud(card: RefObject<HTMLElement | null>, at: string): { can: boolean; on: boolean; toggle: () => void } {
  const can = useSyncExternalStore(outside.voice.onChange, outside.voice.isThere);
  const [on, setOn] = useState(() => outside.recall(PLACE) === 'yes');
  useEffect(() => {
    if (!can || !on || !card.current) return;
    outside.voice.say(spokenOf(card.current));
    return () => outside.voice.hush();
  }, [can, on, at, card]);
  const toggle = () => {
    outside.remember(PLACE, on ? null : 'yes');
    setOn(!on);
  };
  return { can, on, toggle };
}
