import type { schedule } from '@bright-keeper/core';
import { dutyWords } from '@bright-keeper/words';
import { Hourglass } from 'lucide-react';
import { Button, Section } from '../../ui/parts';
import { useNow } from '../../ui/useNow';
import type { Deeds } from '../schedule';

/** Things that warm up in their bags, counted down. */
export function Waiting({ duties, deeds }: { duties: readonly schedule.Duty[]; deeds: Deeds }) {
  const now = useNow(duties.length > 0 ? 1000 : null);
  if (duties.length === 0) return null;
  return (
    <Section title="Waiting">
      <ul className="sheet divide-y divide-line">
        {duties.map((duty) => {
          if (duty.facts.says !== 'warming') return null;
          const leftMin = (Date.parse(duty.facts.endsAt) - now.getTime()) / 60_000;
          const over = leftMin <= 0;
          return (
            <li key={duty.id} className="flex flex-wrap items-center gap-x-3 gap-y-2 px-4 py-2.5 sm:flex-nowrap">
              <Hourglass size={22} className={`shrink-0 ${over ? 'text-glass' : 'text-lamp'}`} aria-hidden="true" />
              <div className="min-w-0 flex-1 basis-60">
                <p className="font-semibold">{dutyWords(duty).title}</p>
                <p className="text-sm text-soft">
                  {over ? 'The time is over: it may come out.' : `Leave it shut for ${Math.ceil(leftMin)} min more.`}
                </p>
              </div>
              <Button className="ml-auto" disabled={deeds.busy} onClick={() => deeds.act(duty)}>
                {over ? 'It is out' : 'Stop waiting'}
              </Button>
            </li>
          );
        })}
      </ul>
    </Section>
  );
}
