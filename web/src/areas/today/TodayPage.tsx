import { logWords, longDate } from '@bright-keeper/words';
import type { Today } from '@bright-keeper/contract';
import { Link } from 'react-router';
import { Failure, Loading, Page, Section } from '../../ui/parts';
import { useZone } from '../../ui/zone';
import { useInSlices } from '../../ui/useInSlices';
import { At } from '../../ui/when';
import { LastBackup, RestoreDoor } from '../household';
import { LazyHowLongThere } from '../storage';
import { DutyList, JustDone, useDeeds, type Deeds } from '../schedule';
import { Doors } from './Doors';
import { Fold } from '../../ui/Fold';
import { BeforeLeaving, NextBench } from './NextBench';
import { useToday } from './queries';
import { Ribbons } from './Ribbons';
import { calmWords, groupTitle, greeting, todayView, type TodayView } from './todayView';
import { Waiting } from './Waiting';

/** Everything graver than routine, the gravest first; what is mild and many is folded. */
function NeedsYou({ needs: { shown, folded }, counts, deeds }: { needs: TodayView['needs']; counts: Today['counts']; deeds: Deeds }) {
  if (shown.length === 0) return <p className="sheet p-4">{calmWords(counts)}</p>;
  return (
    <>
      <DutyList duties={shown} deeds={deeds} />
      {folded.length > 0 && (
        <Fold title={`${folded.length} more that can wait a little`}>
          <DutyList duties={folded} deeds={deeds} />
        </Fold>
      )}
    </>
  );
}

/** What matters most by itself; what is alike and can wait stands in one line that opens. */
function Due({ due: { first, groups }, isAll, deeds }: { due: TodayView['due']; isAll: boolean; deeds: Deeds }) {
  if (first.length === 0) return <p className="sheet p-4">{isAll ? 'Nothing is due.' : 'Nothing else is due.'}</p>;
  return (
    <>
      <DutyList duties={first} deeds={deeds} />
      {groups.map((group) => (
        <Fold key={group.code} title={groupTitle(group)} aside={`${group.minutes} min`}>
          <DutyList duties={group.duties} deeds={deeds} />
        </Fold>
      ))}
    </>
  );
}

function Lately({ recent }: { recent: Today['recent'] }) {
  const timeZone = useZone();
  return (
    <Section title="Lately">
      <ol className="sheet divide-y divide-line">
        {recent.map((entry) => (
          <li key={entry.id} className="px-4 py-2">
            <Link to={`/gear/${entry.itemId}`} className="font-medium hover:underline">
              {entry.itemName}
            </Link>
            <span className="block text-sm text-soft">
              {logWords(entry.data, timeZone).title}, <At instant={entry.at} />
            </span>
          </li>
        ))}
      </ol>
    </Section>
  );
}

/** What needs me now, ranked by consequence, each with its one action. */
export function TodayPage() {
  const today = useToday();
  const drawing = useInSlices(today.isPending);
  const deeds = useDeeds();
  if (drawing || today.isPending) return <Loading />;
  if (today.isError) return <Failure error={today.error} onRetry={() => void today.refetch()} />;
  const { recent, counts, duties, day, nextBench, beforeLeaving } = today.data;
  const { waiting, needs, due } = todayView(duties);
  if (counts.items === 0)
    return (
      <Page title="Today" sub="Nothing is on the shelf yet. Where would you begin?">
        <div className="space-y-8">
          <Doors />
          <RestoreDoor />
          {needs.shown.length > 0 && <DutyList duties={needs.shown} deeds={deeds} />}
          <Ribbons />
        </div>
      </Page>
    );
  return (
    <Page title="Today" sub={`${longDate(day)}. ${greeting(counts)}`}>
      {deeds.error && <Failure error={deeds.error} />}
      <JustDone deeds={deeds} />
      <div className="grid gap-8 lg:grid-cols-12">
        <div className="min-w-0 space-y-8 lg:col-span-8">
          <Waiting duties={waiting} deeds={deeds} />
          <Section title="Needs you">
            <NeedsYou needs={needs} counts={counts} deeds={deeds} />
          </Section>
          <LazyHowLongThere />
          <Section title="Due" aside={due.minutes > 0 ? `${due.minutes} min in all` : undefined}>
            <Due due={due} isAll={waiting.length + needs.shown.length === 0} deeds={deeds} />
          </Section>
        </div>
        <div className="min-w-0 space-y-8 lg:col-span-4">
          {nextBench && <NextBench next={nextBench} />}
          {beforeLeaving.length > 0 && <BeforeLeaving duties={beforeLeaving} />}
          <Ribbons />
          <Lately recent={recent} />
          <LastBackup />
        </div>
      </div>
    </Page>
  );
}
