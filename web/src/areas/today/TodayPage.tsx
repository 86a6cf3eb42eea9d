import type { Today } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { becauseWords, dueWords, timerWords } from '@bright-keeper/words';
import { CalendarClock, Droplets, Hourglass, PlayCircle, ShieldAlert, Wrench, type LucideIcon } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { Button, ButtonLink, Empty, Failure, Loading, Page, Section, VerdictChip } from '../../ui/parts';
import { At, Day, todayHere } from '../../ui/when';
import { findingsWords, surfaceTitle } from '../../ui/words';
import { logWords } from '../gear/words';
import { AlertList } from '../storage/AlertList';
import { useOverview, useRemoveTimer } from '../storage/queries';
import { pctWords } from '../storage/words';
import { ClimateRibbon } from '../../ui/ClimateRibbon';
import { useNow } from '../../ui/useNow';
import { useStartLook } from '../inspection/queries';
import { useMarkDone, useToday } from './queries';

function Row({
  icon: Icon,
  tone,
  title,
  detail,
  action,
}: {
  icon: LucideIcon;
  tone: string;
  title: ReactNode;
  detail: ReactNode;
  action: ReactNode;
}) {
  return (
    <li className="sheet flex flex-wrap items-center gap-x-4 gap-y-2 p-4 sm:flex-nowrap">
      <Icon size={24} className={`shrink-0 ${tone}`} aria-hidden="true" />
      <div className="min-w-0 flex-1">
        <div className="flex flex-wrap items-center gap-2">{title}</div>
        <p className="text-sm text-soft">{detail}</p>
      </div>
      <div className="ml-auto">{action}</div>
    </li>
  );
}

const ItemLink = ({ item }: { item: Today['open'][number]['item'] }) => (
  <Link to={`/gear/${item.id}`} className="font-semibold hover:underline">
    {item.name}
  </Link>
);

const OpenWork = ({ open }: { open: Today['open'] }) => (
  <>
    {open.map((o) => (
      <Row
        key={o.id}
        icon={PlayCircle}
        tone="text-lamp"
        title={<ItemLink item={o.item} />}
        detail={
          <>
            {o.kind === 'look' ? 'A look' : 'A cleaning'} begun <At instant={o.startedAt} /> is not finished.
          </>
        }
        action={<ButtonLink to={o.kind === 'look' ? `/look/${o.id}` : `/bench/${o.id}`}>Go on</ButtonLink>}
      />
    ))}
  </>
);

const LOOKS: Record<Today['needs'][number]['verdict'], { icon: LucideIcon; tone: string }> = {
  isolate: { icon: ShieldAlert, tone: 'text-act' },
  'hand-over': { icon: Wrench, tone: 'text-act' },
  clean: { icon: Droplets, tone: 'text-lamp' },
};

/** The gravest surface with what was found there and why it matters; how many more there are. */
function needReason({ surfaces }: Today['needs'][number]): string {
  const first = surfaces[0]!;
  const more = surfaces.length - 1;
  return `${surfaceTitle(first.surface)}: ${findingsWords(first.findings)}. ${becauseWords(first.because)}${more > 0 ? ` ${more} more ${more === 1 ? 'surface' : 'surfaces'}.` : ''}`;
}

const Needs = ({ needs }: { needs: Today['needs'] }) => (
  <>
    {needs.map((need) => (
      <Row
        key={need.item.id}
        {...LOOKS[need.verdict]}
        title={
          <>
            <ItemLink item={need.item} />
            <VerdictChip verdict={need.verdict} />
          </>
        }
        detail={needReason(need)}
        action={<ButtonLink to={`/gear/${need.item.id}/plan`}>See the plan</ButtonLink>}
      />
    ))}
  </>
);

const URGENCY: Record<schedule.Urgency, { words: string; tone: string }> = {
  overdue: { words: 'overdue', tone: 'text-act font-semibold' },
  due: { words: 'due', tone: 'text-lamp font-semibold' },
  soon: { words: 'may be done', tone: 'text-soft' },
  later: { words: 'later', tone: 'text-soft' },
};

function DueRows({ due }: { due: Today['due'] }) {
  const navigate = useNavigate();
  const startLook = useStartLook();
  const markDone = useMarkDone();
  const look = (itemId: string) => startLook.mutate(itemId, { onSuccess: (doc) => void navigate(`/look/${doc.id}`) });
  return (
    <>
      {(startLook.error ?? markDone.error) && <Failure error={startLook.error ?? markDone.error} />}
      <ul className="sheet divide-y divide-line">
        {due.map((d) => {
          const { name, doneBy } = schedule.rhythm(d.task);
          const { words, tone } = URGENCY[d.urgency];
          return (
            <li key={d.id} className="flex items-center gap-3 px-4 py-2.5">
              <CalendarClock size={20} className={`shrink-0 ${tone}`} aria-hidden="true" />
              <div className="min-w-0 flex-1">
                <p>
                  <ItemLink item={d.item} /> · {name}
                </p>
                <p className="text-sm text-soft">
                  <span className={tone}>{words}</span> <Day day={d.due} /> · {d.minutes} min · {dueWords(d.because)}
                </p>
              </div>
              {doneBy === 'mark' ? (
                <Button
                  aria-label={`Done: ${name}, ${d.item.name}`}
                  disabled={markDone.isPending}
                  onClick={() => markDone.mutate({ dueId: d.id, itemId: d.item.id })}
                >
                  Done
                </Button>
              ) : (
                <Button aria-label={`Look: ${d.item.name}`} disabled={startLook.isPending} onClick={() => look(d.item.id)}>
                  Look
                </Button>
              )}
            </li>
          );
        })}
      </ul>
    </>
  );
}

const AirAlerts = ({ alerts }: { alerts: Today['alerts'] }) =>
  alerts.length === 0 ? null : (
    <li>
      <AlertList alerts={alerts} />
    </li>
  );

/** Things that warm up in their bags. */
function Timers({ timers }: { timers: Today['timers'] }) {
  const remove = useRemoveTimer();
  const now = useNow(timers.length > 0 ? 1000 : null);
  if (timers.length === 0) return null;
  return (
    <Section title="Waiting">
      <ul className="space-y-2">
        {timers.map((timer) => {
          const leftMin = (Date.parse(timer.endsAt) - now.getTime()) / 60_000;
          const over = leftMin <= 0;
          return (
            <Row
              key={timer.id}
              icon={Hourglass}
              tone={over ? 'text-glass' : 'text-lamp'}
              title={<span className="font-semibold">{timerWords(timer)}</span>}
              detail={over ? 'The time is over: it may come out.' : `Leave it shut for ${Math.ceil(leftMin)} min more.`}
              action={
                <Button disabled={remove.isPending} onClick={() => remove.mutate(timer.id)}>
                  {over ? 'It is out' : 'Stop waiting'}
                </Button>
              }
            />
          );
        })}
      </ul>
    </Section>
  );
}

/** Each measured place as a ribbon. */
function Ribbons() {
  const overview = useOverview();
  const measured = (overview.data?.places ?? []).filter((p) => p.ribbon.length > 0);
  if (!overview.data || measured.length === 0) return null;
  return (
    <Section title="The air" aside={`${overview.data.ribbonDays} days`}>
      <ul className="sheet divide-y divide-line">
        {measured.map((place) => (
          <li key={place.id} className="px-4 py-2.5">
            <p className="mb-1 flex justify-between gap-2">
              <Link to={`/storage/${place.id}`} className="font-medium hover:underline">
                {place.name}
              </Link>
              {place.latest && <span className="text-sm font-semibold">{pctWords(place.latest.humidityPct)}</span>}
            </p>
            <ClimateRibbon days={place.ribbon} span={overview.data.ribbonDays} today={todayHere()} highPct={place.highPct} />
          </li>
        ))}
      </ul>
    </Section>
  );
}

const greeting = (today: Today) => {
  const { items, neverLooked } = today.counts;
  return `${items} ${items === 1 ? 'thing' : 'things'} on the shelf${neverLooked > 0 ? `, ${neverLooked} not looked at yet` : ''}.`;
};

/** What needs me now, ranked by consequence, each with its one action. */
export function TodayPage() {
  const today = useToday();
  if (today.isPending) return <Loading />;
  if (today.isError) return <Failure error={today.error} onRetry={() => void today.refetch()} />;
  const { open, needs, due, recent, counts, alerts, timers } = today.data;
  if (counts.items === 0)
    return (
      <Page title="Today">
        <Empty
          title="Begin with one lens"
          action={
            <ButtonLink to="/gear/new" look="filled">
              Put a lens on the shelf
            </ButtonLink>
          }
        >
          Put it on the shelf, look at it under a lamp, and Bright Keeper works out what to do with it, and what to leave alone.
        </Empty>
      </Page>
    );
  const grave = needs.filter((n) => n.verdict !== 'clean');
  const mild = needs.filter((n) => n.verdict === 'clean');
  const date = new Date(`${today.data.day}T12:00:00`).toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });
  return (
    <Page title="Today" sub={`${date}. ${greeting(today.data)}`}>
      <div className="grid gap-8 lg:grid-cols-12">
        <div className="space-y-8 lg:col-span-8">
          <Timers timers={timers} />
          <Section title="Needs you">
            {open.length + needs.length + alerts.length === 0 ? (
              <p className="sheet p-4">Nothing needs you. Whatever was found is good enough for the picture.</p>
            ) : (
              <ul className="space-y-2">
                <Needs needs={grave} />
                <AirAlerts alerts={alerts} />
                <OpenWork open={open} />
                <Needs needs={mild} />
              </ul>
            )}
          </Section>
          <Section title="Due" aside={due.length > 0 ? `${due.reduce((sum, d) => sum + d.minutes, 0)} min in all` : undefined}>
            {due.length === 0 ? <p className="sheet p-4">Nothing is due.</p> : <DueRows due={due} />}
          </Section>
        </div>
        <div className="space-y-8 lg:col-span-4">
          <Ribbons />
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
        </div>
      </div>
    </Page>
  );
}
