import { schedule } from '@bright-keeper/core';
import { dutyWords } from '@bright-keeper/words';
import {
  BatteryWarning,
  CalendarClock,
  CircleHelp,
  Droplets,
  Hourglass,
  Luggage,
  MoonStar,
  PackageCheck,
  PlayCircle,
  ScanSearch,
  Repeat,
  Scale,
  ShieldAlert,
  Snowflake,
  Shirt,
  Sprout,
  Sun,
  Wrench,
  CircleDashed,
  ShoppingBasket,
  type LucideIcon,
} from 'lucide-react';
import { createElement, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Button, ButtonLink, VerdictChip } from '../../ui/parts';
import { DoneEarlier } from '../../ui/DoneEarlier';
import { At, Day } from '../../ui/when';
import { DoneHere } from '../kept';
import { deedOf, subjectRoute } from './dutyRoute';
import { LazyMoreMenu } from './LazyMoreMenu';
import { PassOver } from './PassOver';
import type { Deeds } from './useDeeds';

const ICONS: Partial<Record<schedule.DutyCode, LucideIcon>> = {
  isolate: ShieldAlert,
  'hand-over': Wrench,
  clean: Droplets,
  'go-on': PlayCircle,
  fungus: Sprout,
  damp: Droplets,
  'too-dry': Sun,
  'gel-spent': Hourglass,
  'air-out': Luggage,
  silent: BatteryWarning,
  apart: Scale,
  'leaves-band': CalendarClock,
  'warm-up': Hourglass,
  'comes-in-cold': Snowflake,
  'dew-tonight': MoonStar,
  'cloth-wash': Shirt,
  'return-look': PackageCheck,
  'due-back': PackageCheck,
  'cap-missing': CircleDashed,
  restock: ShoppingBasket,
  'sensor-clean': ScanSearch,
};
const iconOf = ({ code, facts }: schedule.Duty): LucideIcon =>
  facts.says === 'air' && facts.cause === 'fungus' && facts.threat === 'thin-log' ? CircleHelp : (ICONS[code] ?? CalendarClock);

/** Act now, attention, or quiet: by what waiting costs. */
export function toneOf({ gravity, urgency }: schedule.Duty): string {
  if (gravity === 'spreads' || gravity === 'harms') return 'text-act';
  return gravity === 'routine' && urgency === 'soon' ? 'text-soft' : 'text-lamp';
}

const URGENCY: Record<schedule.Urgency, { words: string; tone: string }> = {
  overdue: { words: 'overdue', tone: 'text-act font-semibold' },
  due: { words: 'due', tone: 'text-lamp font-semibold' },
  soon: { words: 'may be done', tone: 'text-soft' },
  later: { words: 'due', tone: 'text-soft' },
};

export const SubjectLink = ({ subject }: { subject: schedule.NamedSubject }) => {
  const to = subjectRoute(subject);
  if (!subject.name) return null;
  return to ? (
    <Link to={to} className="font-semibold hover:underline">
      {subject.name}
    </Link>
  ) : (
    <span className="font-semibold">{subject.name}</span>
  );
};

/** What a rhythm or a task of its own falls due by: when, and how long it takes. */
function WhenLine({ duty }: { duty: schedule.Duty }) {
  const { words, tone } = URGENCY[duty.urgency];
  if (duty.facts.says === 'air')
    return duty.facts.since ? (
      <>
        Since <At instant={duty.facts.since} />.{' '}
      </>
    ) : null;
  if (duty.facts.says === 'need') return null;
  if (duty.facts.says === 'open-work')
    return (
      <>
        Begun <At instant={duty.facts.startedAt} />.{' '}
      </>
    );
  return (
    <>
      <span className={tone}>{words}</span> <Day day={duty.plannedOn ?? duty.window.due} />
      {duty.estimate && ' (a guess)'} · {duty.minutes} min ·{' '}
    </>
  );
}

/** The one thing to do about it: go where it is done, or do it right here. */
function Act({ duty, deeds }: { duty: schedule.Duty; deeds: Deeds }) {
  const deed = deedOf(duty);
  const { title, action } = dutyWords(duty);
  const { name } = duty.subject;
  if ('leads' in deed)
    return (
      <ButtonLink to={deed.leads} aria-label={duty.facts.says === 'need' || duty.facts.says === 'air' ? undefined : `${action}: ${name}`}>
        {action}
      </ButtonLink>
    );
  const label = deed.does === 'look' ? `Look: ${name}` : `${action}: ${title}, ${name}`;
  return (
    <Button aria-label={label} disabled={deeds.busy} onClick={() => deeds.act(duty)}>
      {action}
    </Button>
  );
}

/** A duty with its reason and its one action; on a phone the action stands below the words. */
export function DutyRow({ duty, deeds, also, pageOf }: { duty: schedule.Duty; deeds: Deeds; also?: ReactNode; pageOf?: string }) {
  const { title, why } = dutyWords(duty);
  const { facts, subject } = duty;
  const named = subject.name !== '' && subject.id !== pageOf;
  const [asking, setAsking] = useState<'pass-over' | 'earlier' | null>(null);
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-2 px-4 py-2.5 sm:flex-nowrap">
      {createElement(iconOf(duty), { size: 22, className: `shrink-0 ${toneOf(duty)}`, 'aria-hidden': true })}
      <div className="min-w-0 flex-1 basis-60">
        <div className="flex flex-wrap items-center gap-x-2">
          {named && <SubjectLink subject={subject} />}
          {facts.says === 'need' ? <VerdictChip verdict={facts.verdict} /> : <span>{named ? `· ${title}` : title}</span>}
          {duty.plannedOn && <span className="rounded bg-well px-1.5 text-sm">you planned it</span>}
        </div>
        <p className="text-sm text-soft">
          <WhenLine duty={duty} />
          {why}
        </p>
        {subject.kind === 'thing' && <DoneHere itemId={subject.id} />}
        {also}
        {asking === 'pass-over' && (
          <PassOver
            onPass={(reason, note) => {
              setAsking(null);
              deeds.passOver(duty, reason, note);
            }}
            onLeave={() => setAsking(null)}
          />
        )}
        {asking === 'earlier' && (
          <DoneEarlier
            onDone={(at) => {
              setAsking(null);
              deeds.doneAt(duty, at);
            }}
            onLeave={() => setAsking(null)}
          />
        )}
      </div>
      <div className="ml-auto flex items-center">
        <Act duty={duty} deeds={deeds} />
        <LazyMoreMenu duty={duty} deeds={deeds} onPassOver={() => setAsking('pass-over')} onEarlier={() => setAsking('earlier')} />
      </div>
    </li>
  );
}

/** Duties in one sheet, each with its action. */
export const DutyList = ({ duties, deeds, pageOf }: { duties: readonly schedule.Duty[]; deeds: Deeds; pageOf?: string }) => (
  <ul className="sheet divide-y divide-line">
    {duties.map((duty) => (
      <DutyRow key={duty.id} duty={duty} deeds={deeds} {...(pageOf ? { pageOf } : {})} />
    ))}
  </ul>
);

/** What was just said, with taking it back. */
export const JustDone = ({ deeds: { just, takeBack, busy } }: { deeds: Deeds }) =>
  just && (
    <p role="status" className="mb-2 flex flex-wrap items-center gap-x-3 rounded bg-glass-tint px-4">
      <span className="py-2">{just.words}</span>
      <Button look="quiet" disabled={busy} onClick={takeBack}>
        <Repeat size={16} aria-hidden="true" /> Take it back
      </Button>
    </p>
  );
