import { useState } from 'react';
import { useAwaySince, useKept, useWaiting } from '../../api/useKept';
import type { Waiting } from '../../kept';
import { useBrought, useLasting } from './queries';
import { Button, Empty, Loading, Notice, Page, Section } from '../../ui/parts';
import { useMoment } from '../../ui/when';
import { KeepingChoice } from './KeepingChoice';
import { waitingWords } from './keptView';
import { takeAway } from './takeAway';
import { TroubleCard } from './TroubleCard';

function WaitingList({ waiting }: { waiting: readonly Waiting[] }) {
  const at = useMoment();
  return (
    <ul className="sheet divide-y divide-line">
      {waiting.map((w) => (
        <li key={w.id} className="px-4 py-3">
          <span className="font-semibold">{w.name}</span>
          <span className="block text-sm text-soft">{waitingWords(w, at)}</span>
        </li>
      ))}
    </ul>
  );
}

/** How sure it is that what is kept here stays. */
function HowSure() {
  const lasting = useLasting();
  const brought = useBrought();
  const at = useMoment();
  return (
    <div className="sheet space-y-2 p-4">
      <p>
        {brought.data
          ? `${brought.data.things} things are kept with their pages, as they were at ${at(brought.data.atMs)}.`
          : 'Nothing was brought along yet: leave this page open for a moment while the household answers.'}
      </p>
      {lasting.data === false && (
        <p>
          This browser may drop what is kept here when its room gets short or it is not opened for weeks. Installed on the home screen it
          keeps it for longer; carry over soon.
        </p>
      )}
      {lasting.data === true && <p>This browser has promised not to drop it by itself.</p>}
      <p className="text-sm text-soft">
        A device that is lost takes what is kept with it. Let it go under Settings, Access: it is told nothing more, and forgets what it has
        when it next asks.
      </p>
    </div>
  );
}

function Kept({ waiting }: { waiting: readonly Waiting[] }) {
  const kept = useKept()!;
  const awaySince = useAwaySince();
  const [isCarrying, carrying] = useState(false);
  const troubled = waiting.filter((w) => w.trouble);
  const others = waiting.filter((w) => !w.trouble);
  const carry = async () => {
    carrying(true);
    await kept.tryNow().finally(() => carrying(false));
  };
  return (
    <div className="grid gap-6 lg:grid-cols-12">
      <div className="min-w-0 space-y-6 lg:col-span-7">
        {troubled.length > 0 && (
          <Section title="Needs you">
            <div className="space-y-3">
              {troubled.map((w) => (
                <TroubleCard key={w.id} waiting={w} title={<Told waiting={w} />} />
              ))}
            </div>
          </Section>
        )}
        <Section title="To carry over" aside={others.length > 0 ? 'In this order, by itself.' : undefined}>
          {others.length > 0 ? <WaitingList waiting={others} /> : <Empty title="Nothing waits here" />}
          {waiting.length > 0 && (
            <div className="mt-3 flex flex-wrap gap-2">
              <Button look={troubled.length > 0 ? 'plain' : 'filled'} disabled={isCarrying} onClick={() => void carry()}>
                {isCarrying ? 'Asking the household …' : awaySince === null ? 'Carry over now' : 'Is it back?'}
              </Button>
              <Button onClick={() => takeAway(waiting)}>Save it as a file</Button>
            </div>
          )}
        </Section>
      </div>
      <div className="min-w-0 space-y-6 lg:col-span-5">
        <Section title="Brought along">
          <HowSure />
        </Section>
        <KeepingChoice />
      </div>
    </div>
  );
}

const Told = ({ waiting }: { waiting: Waiting }) => waitingWords(waiting, useMoment());

/** What is kept on this device: what waits to be carried over, and where two tellings differ. */
export function KeptPage() {
  const kept = useKept();
  const waiting = useWaiting();
  const awaySince = useAwaySince();
  const at = useMoment();
  return (
    <Page
      title="Kept here"
      sub={
        awaySince === null
          ? 'For where there is no network: what is needed outdoors, and what was done there.'
          : `The household has been out of reach since ${at(awaySince)}.`
      }
    >
      {kept === undefined ? (
        <Loading />
      ) : kept ? (
        <Kept waiting={waiting} />
      ) : (
        <div className="max-w-prose space-y-6">
          <Notice tone="attention">This browser keeps nothing for when the household is out of reach.</Notice>
          <KeepingChoice />
        </div>
      )}
    </Page>
  );
}
