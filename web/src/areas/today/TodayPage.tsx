import type { Today } from '@bright-keeper/contract';
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import { Link } from 'react-router';
import { Failure, Loading, Page, Section } from '../../ui/parts';
import { At } from '../../ui/when';
import { logWords } from '../gear';
import { AlertList } from '../storage';
import { Doors } from './Doors';
import { DueRows } from './Due';
import { Needs, OpenWork } from './Needs';
import { useToday } from './queries';
import { Ribbons } from './Ribbons';
import { Timers } from './Timers';
import { greeting, needsInOrder } from './todayView';

const AirAlerts = ({ alerts }: { alerts: Today['alerts'] }) =>
  alerts.length === 0 ? null : (
    <li>
      <AlertList alerts={alerts} />
    </li>
  );

/** Everything that wants the keeper, gravest first; what is mild and many is folded. */
function NeedsYou({ today: { open, needs, alerts } }: { today: Today }) {
  const { grave, mild, folded } = needsInOrder(needs);
  if (open.length + needs.length + alerts.length === 0)
    return <p className="sheet p-4">Nothing needs you. Whatever was found is good enough for the picture.</p>;
  return (
    <>
      <ul className="space-y-2">
        <Needs needs={grave} />
        <AirAlerts alerts={alerts} />
        <OpenWork open={open} />
        <Needs needs={mild} />
      </ul>
      {folded.length > 0 && (
        <Disclosure>
          <DisclosureButton className="group flex min-h-11 items-center gap-2 font-medium">
            <ChevronDown size={18} className="group-data-open:rotate-180" aria-hidden="true" /> {folded.length} more to clean
          </DisclosureButton>
          <DisclosurePanel as="ul" className="space-y-2">
            <Needs needs={folded} />
          </DisclosurePanel>
        </Disclosure>
      )}
    </>
  );
}

const Lately = ({ recent }: { recent: Today['recent'] }) => (
  <Section title="Lately">
    <ol className="sheet divide-y divide-line">
      {recent.map((entry) => (
        <li key={entry.id} className="px-4 py-2">
          <Link to={`/gear/${entry.itemId}`} className="font-medium hover:underline">
            {entry.itemName}
          </Link>
          <span className="block text-sm text-soft">
            {logWords(entry.data).title}, <At instant={entry.at} />
          </span>
        </li>
      ))}
    </ol>
  </Section>
);

/** What needs me now, ranked by consequence, each with its one action. */
export function TodayPage() {
  const today = useToday();
  if (today.isPending) return <Loading />;
  if (today.isError) return <Failure error={today.error} onRetry={() => void today.refetch()} />;
  const { due, recent, counts, timers, alerts } = today.data;
  const date = new Date(`${today.data.day}T12:00:00`).toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });
  if (counts.items === 0)
    return (
      <Page title="Today" sub="Nothing is on the shelf yet. Where would you begin?">
        <div className="space-y-8">
          <Doors />
          {alerts.length > 0 && <AlertList alerts={alerts} />}
          <Ribbons />
        </div>
      </Page>
    );
  return (
    <Page title="Today" sub={`${date}. ${greeting(counts)}`}>
      <div className="grid gap-8 lg:grid-cols-12">
        <div className="min-w-0 space-y-8 lg:col-span-8">
          <Timers timers={timers} />
          <Section title="Needs you">
            <NeedsYou today={today.data} />
          </Section>
          <Section title="Due" aside={due.length > 0 ? `${due.reduce((sum, d) => sum + d.minutes, 0)} min in all` : undefined}>
            {due.length === 0 ? <p className="sheet p-4">Nothing is due.</p> : <DueRows due={due} />}
          </Section>
        </div>
        <div className="min-w-0 space-y-8 lg:col-span-4">
          <Ribbons />
          <Lately recent={recent} />
        </div>
      </div>
    </Page>
  );
}
