import type { ItemPage as ItemPageData } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { GONE_WORDS } from '@bright-keeper/words';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { LightPath } from '../../ui/lightpath/LightPath';
import { Button, ButtonLink, Failure, Loading, Page, Section, VerdictChip } from '../../ui/parts';
import { useInSlices } from '../../ui/useInSlices';
import { At, Day } from '../../ui/when';
import { LookButton } from '../inspection';
import { Duties } from '../schedule';
import { SensorDoors } from '../sensor';
import { Away } from './Away';
import { Files } from './Files';
import { GoneForGood, GoneNote } from './Gone';
import { useArchive, useItem, useRestore, useSetStatus } from './queries';
import { SplitOff } from './SplitOff';
import { SurfaceCard } from './SurfaceCard';
import { Exposure } from './Exposure';
import { MissingCap } from './MissingCap';
import { Fits } from './Fits';
import { Particulars } from './Particulars';
import { MechanicalCare } from './MechanicalCare';
import { Together } from './Together';
import { Timeline } from './Timeline';
import { WhereItLies } from './WhereItLies';
import { useChoices } from '../../ui/choices';

const needsWork = (item: ItemPageData) => item.surfaces.some((s) => s.verdict !== 'leave');

/** The one thing to do next with this item, as its filled button. */
function NextAction({ item }: { item: ItemPageData }) {
  const plan = needsWork(item);
  if (item.archivedAt) return null;
  if (item.openCleaningId)
    return (
      <ButtonLink look="filled" to={`/bench/${item.openCleaningId}`}>
        Go on at the bench
      </ButtonLink>
    );
  return (
    <>
      <LookButton item={item} look={plan && !item.openLookId ? 'plain' : 'filled'} />
      {plan && (
        <ButtonLink look={item.openLookId ? 'plain' : 'filled'} to={`/gear/${item.id}/plan`}>
          See the plan
        </ButtonLink>
      )}
    </>
  );
}

function Housekeeping({ item }: { item: ItemPageData }) {
  const setStatus = useSetStatus(item.id);
  const archive = useArchive(item.id);
  const restore = useRestore(item.id);
  const { version } = item;
  const archived = item.archivedAt !== null;
  const quarantined = item.status === 'quarantined';
  const error = setStatus.error ?? archive.error ?? restore.error;
  return (
    <>
      {item.gone && <GoneNote gone={item.gone} />}
      {error && <Failure error={error} />}
      <div className="flex flex-wrap gap-2">
        <ButtonLink to={`/gear/${item.id}/edit`}>Edit</ButtonLink>
        <ButtonLink to={`/gear/new?like=${item.id}`}>Another like it</ButtonLink>
        {!archived && (
          <Button
            disabled={setStatus.isPending}
            onClick={() => setStatus.mutate({ version, status: quarantined ? 'in-use' : 'quarantined' })}
          >
            {quarantined ? 'Back from quarantine' : 'Move to quarantine'}
          </Button>
        )}
        <ButtonLink to={`/report?thing=${item.id}`}>Condition report</ButtonLink>
        {archived ? (
          <Button disabled={restore.isPending} onClick={() => restore.mutate(version)}>
            Restore to the shelf
          </Button>
        ) : (
          <Button disabled={archive.isPending} onClick={() => archive.mutate({ version })}>
            Archive
          </Button>
        )}
        {!archived && <GoneForGood item={item} />}
        {!archived && <SplitOff item={item} />}
        {!archived && <Away item={item} />}
        {!archived && <MissingCap item={item} />}
      </div>
    </>
  );
}

/** What falls due of it, each with its action; nothing while it is away. */
const DueList = ({ item }: { item: ItemPageData }) =>
  item.due.length === 0 ? (
    <p className="text-soft">{item.away ? 'Nothing is asked for while it is away.' : 'Nothing recurs for this thing.'}</p>
  ) : (
    <Duties duties={item.due} pageOf={item.id} />
  );

/** Surfaces that ask for something first, then the ones looked at, then the rest, each in light-path order. */
function surfacesByNeed(item: ItemPageData): care.Surface[] {
  const weight = (surface: care.Surface) => {
    const state = item.surfaces.find((s) => s.surface === surface);
    if (!state) return 3;
    if (state.verdict !== 'leave') return 0;
    return state.findings.length > 0 ? 1 : 2;
  };
  return [...care.surfacesOf(item.kind, item.traits)].sort((a, b) => weight(a) - weight(b));
}

/** The thing from the side, as the last look left it; the touches of a year where they are asked for. */
function Drawing({ item, selected, onSelect }: { item: ItemPageData; selected: care.Surface; onSelect: (surface: care.Surface) => void }) {
  const [counts, setCounts] = useState(false);
  const touches = Object.values(item.contacts).reduce((sum, n) => sum + n, 0);
  return (
    <div className="sheet p-4">
      <LightPath
        kind={item.kind}
        traits={item.traits}
        states={item.surfaces}
        selected={selected}
        onSelect={onSelect}
        {...(counts ? { counts: item.contacts } : {})}
      />
      <div className="mt-2 flex flex-wrap items-center justify-between gap-2 text-sm text-soft">
        <label className="flex min-h-11 items-center gap-2">
          <input type="checkbox" className="check" checked={counts} onChange={(e) => setCounts(e.target.checked)} /> Show touches over 12
          months ({touches})
        </label>
        <VerdictChip verdict={item.verdict} />
      </div>
    </div>
  );
}

const Neighbours = ({ neighbours }: { neighbours: ItemPageData['neighbours'] }) =>
  neighbours.length === 0 ? null : (
    <Section title="What it shared a place with" aside="look through each: now, after 4 and after 12 weeks">
      <ul className="sheet divide-y divide-line">
        {neighbours.map((n) => (
          <li key={n.itemId} className="px-4 py-2.5">
            <Link to={`/gear/${n.itemId}`} className="font-medium hover:underline">
              {n.name}
            </Link>{' '}
            <span className="text-sm text-soft">
              in {n.placeName}
              {n.until && (
                <>
                  {' '}
                  until <At instant={n.until} />
                </>
              )}
            </span>
          </li>
        ))}
      </ul>
    </Section>
  );

export function ItemPage() {
  const { id = '' } = useParams();
  const item = useItem(id);
  const drawing = useInSlices(item.isPending);
  const [params, setParams] = useChoices();
  if (drawing || item.isPending) return <Loading />;
  if (item.isError) return <Failure error={item.error} onRetry={() => void item.refetch()} />;
  const data = item.data;
  const own = care.surfacesOf(data.kind, data.traits);
  const wanted = params.get('surface') as care.Surface | null;
  const selected = wanted && own.includes(wanted) ? wanted : surfacesByNeed(data)[0]!;
  const select = (surface: care.Surface) => setParams({ surface }, { replace: true });

  return (
    <Page
      title={
        <>
          {data.name} {data.status === 'quarantined' && <span className="rounded bg-act-tint px-2 text-base text-act">quarantine</span>}{' '}
          {data.archivedAt && (
            <span className="rounded bg-well px-2 text-base text-soft">{data.gone ? GONE_WORDS[data.gone.why] : 'archived'}</span>
          )}
        </>
      }
      sub={
        <>
          {care.kindFacts(data.kind).name}
          {data.acquiredOn && (
            <>
              {' '}
              · came <Day day={data.acquiredOn} />
            </>
          )}
        </>
      }
      actions={<NextAction item={data} />}
    >
      <div className="grid gap-6 lg:grid-cols-12">
        <div className="min-w-0 space-y-6 lg:col-span-8">
          <Drawing item={data} selected={selected} onSelect={select} />
          <Files item={data} />
          <Section title="What was done">
            <Timeline itemId={data.id} />
          </Section>
          <Neighbours neighbours={data.neighbours} />
        </div>
        <div className="min-w-0 space-y-6 lg:col-span-4">
          <SurfaceCard item={data} surface={selected} surfaces={surfacesByNeed(data)} onSelect={select} />
          <Section title="What is due">
            <DueList item={data} />
          </Section>
          <SensorDoors item={data} />
          {data.notes && (
            <Section title="Notes">
              <p className="sheet p-4 whitespace-pre-wrap">{data.notes}</p>
            </Section>
          )}
          {!data.archivedAt && (
            <Section title="Where it lies">
              <WhereItLies item={data} />
            </Section>
          )}
          <Particulars item={data} />
          {!data.archivedAt && <Together item={data} />}
          <Fits item={data} />
          <Exposure itemId={data.id} />
          {!data.archivedAt && <MechanicalCare item={data} />}
          <Section title="This thing">
            <Housekeeping item={data} />
          </Section>
        </div>
      </div>
    </Page>
  );
}
