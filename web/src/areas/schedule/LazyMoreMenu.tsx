import type { schedule } from '@bright-keeper/core';
import { dutyWords } from '@bright-keeper/words';
import { MoreVertical } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import type { Deeds } from './useDeeds';

export type MoreProps = { duty: schedule.Duty; deeds: Deeds; onPassOver: () => void; onEarlier: () => void };
export const MORE_CLASS = 'inline-flex size-11 items-center justify-center rounded hover:bg-well';
export const moreAbout = (duty: schedule.Duty): string => `More about ${duty.subject.name}: ${dutyWords(duty).title}`;

const load = () => import('./MoreMenu');
const MoreMenu = lazy(async () => ({ default: (await load()).MoreMenu }));

/** The menu's code is as large as a page's: it comes when the button is neared, and opens where it was pressed. */
export function LazyMoreMenu(props: MoreProps) {
  const [asked, setAsked] = useState(false);
  const { duty } = props;
  if (duty.facts.says === 'warming' || duty.facts.says === 'open-work') return null;
  const button = (
    <button
      type="button"
      className={MORE_CLASS}
      aria-haspopup="menu"
      aria-label={moreAbout(duty)}
      onPointerEnter={() => void load()}
      onFocus={() => void load()}
      onClick={() => setAsked(true)}
    >
      <MoreVertical size={20} aria-hidden="true" />
    </button>
  );
  if (!asked) return button;
  return (
    <Suspense fallback={button}>
      <MoreMenu {...props} openAtOnce />
    </Suspense>
  );
}
