import type { Today } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { dueWords } from '@bright-keeper/words';
import { CalendarClock, ChevronDown } from 'lucide-react';
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { useNavigate } from 'react-router';
import { Button, Failure } from '../../ui/parts';
import { Day } from '../../ui/when';
import { useStartLook } from '../inspection';
import { useMarkDone } from './queries';
import { ItemLink } from './Row';
import { dueInGroups, groupTitle, type DueEntry } from './todayView';

const URGENCY: Record<schedule.Urgency, { words: string; tone: string }> = {
  overdue: { words: 'overdue', tone: 'text-act font-semibold' },
  due: { words: 'due', tone: 'text-lamp font-semibold' },
  soon: { words: 'may be done', tone: 'text-soft' },
  later: { words: 'later', tone: 'text-soft' },
};

type Deeds = { look: (itemId: string) => void; done: (due: DueEntry) => void; busy: boolean };

/** The one thing to do about it: look, or tick it off. */
function Deed({ due, look, done, busy }: Deeds & { due: DueEntry }) {
  const { name, doneBy } = schedule.rhythm(due.task);
  if (doneBy === 'mark')
    return (
      <Button aria-label={`Done: ${name}, ${due.item.name}`} disabled={busy} onClick={() => done(due)}>
        Done
      </Button>
    );
  return (
    <Button aria-label={`Look: ${due.item.name}`} disabled={busy} onClick={() => look(due.item.id)}>
      Look
    </Button>
  );
}

function DueRow({ due, ...deeds }: Deeds & { due: DueEntry }) {
  const { words, tone } = URGENCY[due.urgency];
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-2 px-4 py-2.5 sm:flex-nowrap">
      <CalendarClock size={20} className={`shrink-0 ${tone}`} aria-hidden="true" />
      <div className="min-w-0 flex-1 basis-60">
        <p>
          <ItemLink item={due.item} /> · {schedule.rhythm(due.task).name}
        </p>
        <p className="text-sm text-soft">
          <span className={tone}>{words}</span> <Day day={due.due} /> · {due.minutes} min · {dueWords(due.because)}
        </p>
      </div>
      <div className="ml-auto">
        <Deed due={due} {...deeds} />
      </div>
    </li>
  );
}

/** What matters most by itself; what is alike and can wait stands in one line that opens. */
export function DueRows({ due }: { due: Today['due'] }) {
  const navigate = useNavigate();
  const startLook = useStartLook();
  const markDone = useMarkDone();
  const deeds: Deeds = {
    look: (itemId) => startLook.mutate(itemId, { onSuccess: (doc) => void navigate(`/look/${doc.id}`) }),
    done: (d) => markDone.mutate({ dueId: d.id, itemId: d.item.id }),
    busy: startLook.isPending || markDone.isPending,
  };
  const { first, groups } = dueInGroups(due);
  return (
    <>
      {(startLook.error ?? markDone.error) && <Failure error={startLook.error ?? markDone.error} />}
      <div className="sheet">
        <ul className="divide-y divide-line">
          {first.map((d) => (
            <DueRow key={d.id} due={d} {...deeds} />
          ))}
        </ul>
        {groups.map((group) => (
          <Disclosure key={group.task} as="div" className="border-t border-line">
            <DisclosureButton className="group flex min-h-11 w-full items-center gap-2 px-4 text-left font-medium">
              <ChevronDown size={18} className="group-data-open:rotate-180" aria-hidden="true" /> {groupTitle(group)}
              <span className="ml-auto text-sm font-normal text-soft">{group.minutes} min</span>
            </DisclosureButton>
            <DisclosurePanel as="ul" className="divide-y divide-line border-t border-line">
              {group.entries.map((d) => (
                <DueRow key={d.id} due={d} {...deeds} />
              ))}
            </DisclosurePanel>
          </Disclosure>
        ))}
      </div>
    </>
  );
}
