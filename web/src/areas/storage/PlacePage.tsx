import type { PlacePage as PlaceData } from '@bright-keeper/contract';
import { storage } from '@bright-keeper/core';
import { homeWords } from '@bright-keeper/words';
import { Link, useNavigate, useParams } from 'react-router';
import { ClimateRibbon, RibbonLegend } from '../../ui/ClimateRibbon';
import { Button, ButtonLink, Failure, Loading, Page, Section } from '../../ui/parts';
import { useInSlices } from '../../ui/useInSlices';
import { At, useMoment } from '../../ui/when';
import { Fold } from '../../ui/Fold';
import { useToday, useZone } from '../../ui/zone';
import { concernsPlace, Duties, useAtHand } from '../schedule';
import { FirstReading } from '../air';
import { AiringCard } from './AiringCard';
import { BoxCard } from './BoxCard';
import { eventGroups, type EventGroup } from './eventGroups';
import { Explained } from './Explained';
import { ChartSection } from './ChartSection';
import { useArchivePlace, usePlace } from './queries';
import { Risk } from './Risk';
import { SeasonCard } from './SeasonCard';
import { StandingChip } from './StandingChip';
import { airWords, EVENT_MARKS, eventsWords, eventWords, zoneName } from './words';

type Thing = PlaceData['items'][number];

/** So many things are listed; of more, what nothing is to be said of is folded. */
const MOST_LISTED = 8;

const ThingRow = ({ item, isAlone }: { item: Thing; isAlone: boolean }) => (
  <li className="px-4 py-2.5">
    <Link to={`/gear/${item.itemId}`} className="font-medium hover:underline">
      {item.name}
    </Link>{' '}
    <span className="text-sm text-soft">
      since <At instant={item.since} />
    </span>
    {item.sick && !isAlone && (
      <p className="text-sm font-medium text-act">
        It has fungus: it must not stay with the others. Take it out, and apart from everything.
      </p>
    )}
    {item.better?.place && (
      <p className="text-sm text-soft">
        Better in:{' '}
        <Link to="/storage/homes" className="text-ink underline">
          {item.better.place.name}
        </Link>
        . {item.better.reasons[0] && homeWords(item.better.reasons[0])}
      </p>
    )}
  </li>
);

const ThingList = ({ items, isAlone }: { items: readonly Thing[]; isAlone: boolean }) => (
  <ul className="sheet divide-y divide-line">
    {items.map((item) => (
      <ThingRow key={item.itemId} item={item} isAlone={isAlone} />
    ))}
  </ul>
);

function Things({ items }: { items: PlaceData['items'] }) {
  if (items.length === 0) return <p className="text-soft">Nothing lies here.</p>;
  const isAlone = items.length === 1;
  const sickFirst = items.toSorted((a, b) => Number(b.sick) - Number(a.sick));
  if (items.length <= MOST_LISTED) return <ThingList items={sickFirst} isAlone={isAlone} />;
  const toTell = sickFirst.filter((item) => item.sick || item.better?.place);
  const others = items.filter((item) => !toTell.includes(item));
  return (
    <>
      {toTell.length > 0 && <ThingList items={toTell} isAlone={isAlone} />}
      {others.length > 0 && (
        <Fold title={toTell.length > 0 ? `${others.length} more` : `${others.length} things`}>
          <ThingList items={others} isAlone={isAlone} />
        </Fold>
      )}
    </>
  );
}

function Events({ events }: { events: PlaceData['events'] }) {
  const timeZone = useZone();
  const moment = useMoment();
  return (
    <ol className="sheet max-h-72 divide-y divide-line overflow-y-auto">
      {eventGroups(events, timeZone).map((group) => (
        <li key={group.key} className="flex gap-3 px-4 py-2 text-sm">
          <span aria-hidden="true" className="w-4 text-center text-soft">
            {EVENT_MARKS[group.kind]}
          </span>
          <span className="flex-1">
            {group.events.length === 1 ? (
              groupWords(group)
            ) : (
              <details>
                <summary className="cursor-pointer">{groupWords(group)}</summary>
                <ul className="mt-1 text-soft">
                  {group.events.map((e) => (
                    <li key={e.id}>
                      {eventWords(e.data)}, {moment(Date.parse(e.at))}
                    </li>
                  ))}
                </ul>
              </details>
            )}
          </span>
          <span className="text-soft">
            <At instant={group.at} />
          </span>
        </li>
      ))}
    </ol>
  );
}

const groupWords = ({ kind, events }: EventGroup): string =>
  events.length === 1 ? eventWords(events[0]!.data) : eventsWords(kind, events.length);
const marksOf = (groups: readonly EventGroup[]) => groups.map((g) => ({ at: g.at, mark: EVENT_MARKS[g.kind], words: groupWords(g) }));

export function PlacePage() {
  const { id = '' } = useParams();
  const navigate = useNavigate();
  const place = usePlace(id);
  const drawing = useInSlices(place.isPending);
  const archive = useArchivePlace(id);
  const today = useToday();
  const timeZone = useZone();
  const wants = useAtHand((d) => concernsPlace(d, id)) ?? [];
  if (drawing || place.isPending) return <Loading />;
  if (place.isError) return <Failure error={place.error} onRetry={() => void place.refetch()} />;
  const data = place.data;
  const closed = storage.placeFacts(data.kind).airChangesPerDay !== null;
  // A day of readings is no course yet: until then the page asks for the next one.
  const measured = data.ribbon.length > 1 || data.assessment !== null;
  // Beside the chart; where there is none, it is what the page is about.
  const box = closed && <BoxCard place={data} />;
  return (
    <Page
      title={
        <>
          {data.name} <StandingChip standing={data.standing} />
        </>
      }
      sub={
        <>
          {storage.placeFacts(data.kind).name}
          {data.latest && (
            <>
              {' '}
              · <span className="font-semibold">{airWords(data.latest)}</span>, dew point {data.latest.dewPointC.toFixed(1)} °C
              {data.zone && `, ${zoneName(data.zone)}`} · heard <At instant={data.latest.at} />
            </>
          )}
        </>
      }
      actions={
        <>
          <ButtonLink to={`/storage/${id}/edit`}>Edit</ButtonLink>
          <ButtonLink look="filled" to={`/storage/${id}/what-if`}>
            What if?
          </ButtonLink>
        </>
      }
    >
      {wants.length > 0 && (
        <div className="mb-6">
          <Duties duties={wants} pageOf={data.id} />
        </div>
      )}
      {measured && data.ribbon.length > 0 && (
        <div className="sheet mb-6 p-4">
          <ClimateRibbon
            days={data.ribbon}
            span={90}
            today={today}
            highPct={data.highPct}
            events={marksOf(eventGroups(data.events, timeZone))}
          />
          <div className="mt-2">
            <RibbonLegend />
          </div>
        </div>
      )}
      <div className="grid gap-6 lg:grid-cols-12">
        <div className="min-w-0 space-y-6 lg:col-span-8">
          {measured ? (
            <ChartSection place={data} />
          ) : (
            <>
              <FirstReading place={data} />
              {box}
            </>
          )}
          {measured && <Explained placeId={data.id} isOpen={!closed} />}
          {measured && <SeasonCard placeId={data.id} highPct={data.highPct} />}
          {data.assessment && (
            <Section title="Fungus risk">
              <Risk assessment={data.assessment} />
            </Section>
          )}
        </div>
        <div className="min-w-0 space-y-6 lg:col-span-4">
          {data.airing && <AiringCard airing={data.airing} />}
          {measured && box}
          <Section title="What lies here">
            <Things items={data.items} />
          </Section>
          {data.events.length > 0 && (
            <Section title="What happened">
              <Events events={data.events} />
            </Section>
          )}
          <Section title="Damp against air">
            <p className="sheet p-4 text-sm">{storage.placeFacts(data.kind).tradeOff}</p>
          </Section>
          {data.items.length === 0 && (
            <Button
              onClick={() => archive.mutate(data.version, { onSuccess: () => void navigate('/storage') })}
              disabled={archive.isPending}
            >
              Give this place up
            </Button>
          )}
          {archive.error && <Failure error={archive.error} />}
        </div>
      </div>
    </Page>
  );
}
