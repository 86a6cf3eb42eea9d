import { EVERYTHING, type BusyCalendar, type CalendarFilter, type NewFeed } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { gravityWords, subjectWords } from '@bright-keeper/words';
import { useState } from 'react';
import { ApiError } from '../../api/http';
import { FileButton } from '../../ui/FilePicker';
import { Button, ButtonLink, Failure, Loading, Notice, Page, Section } from '../../ui/parts';
import { MayComeUnencrypted, useReach } from '../access';
import { At } from '../../ui/when';
import { useAddFeed, useBusy, useBusyAddress, useBusyFile, useFeeds, useRefreshBusy, useRemoveBusy, useRevokeFeed } from './queries';

const filterWords = ({ subjects, gravities, duties, benchDays }: CalendarFilter): string =>
  [
    duties ? (subjects ? subjects.map(subjectWords).join(', ').toLowerCase() : 'everything that comes due') : null,
    gravities ? gravities.map((g) => gravityWords(g).toLowerCase()).join(', ') : null,
    benchDays ? 'bench days' : null,
  ]
    .filter(Boolean)
    .join(' · ');

/** The key that an address ends with. */
const keyIn = (path: string): string => /([^/]+)\.ics$/.exec(path)![1]!;

/** The address is told once: whoever has it reads the calendar. */
function JustMade({ feed, onClose }: { feed: NewFeed; onClose: () => void }) {
  const { at, network } = useReach(feed.id);
  return (
    <Notice tone="good">
      <p className="font-semibold">The address of “{feed.name}”, shown this once:</p>
      <dl className="my-2 space-y-2">
        {at.map(({ by, origin }) => (
          <div key={by} className="flex flex-wrap items-center gap-x-3">
            <dt className="text-sm">{by}</dt>
            <dd className="font-mono text-sm break-all">{origin + feed.path}</dd>
            <Button aria-label={`Copy it: ${by}`} onClick={() => void navigator.clipboard.writeText(origin + feed.path)}>
              Copy it
            </Button>
          </div>
        ))}
      </dl>
      <p className="text-sm">
        {network ? null : 'Other devices reach it once Access is open in Settings. '}
        Whoever has it can read this calendar; revoke it and it answers no more.
      </p>
      <MayComeUnencrypted id={feed.id} secret={keyIn(feed.path)} />
      <Button look="quiet" onClick={onClose}>
        I have it
      </Button>
    </Notice>
  );
}

function Feeds() {
  const feeds = useFeeds();
  const add = useAddFeed();
  const revoke = useRevokeFeed();
  const [name, setName] = useState('Care');
  const [subject, setSubject] = useState<schedule.SubjectKind | ''>('');
  const [what, setWhat] = useState<'both' | 'duties' | 'bench'>('both');
  const filter: CalendarFilter = {
    ...EVERYTHING,
    subjects: subject ? [subject] : null,
    duties: what !== 'bench',
    benchDays: what !== 'duties',
  };
  return (
    <Section title="Read by other calendars">
      <p className="mb-3 max-w-prose text-soft">
        An address that other calendars fetch: what comes due and your bench days, always as they stand.
      </p>
      {(add.error ?? revoke.error) && <Failure error={add.error ?? revoke.error} />}
      {add.data && <JustMade feed={add.data} onClose={() => add.reset()} />}
      <form
        className="sheet my-3 flex flex-wrap items-end gap-3 p-4"
        onSubmit={(e) => {
          e.preventDefault();
          add.mutate({ name, filter });
        }}
      >
        <label className="flex flex-col gap-1">
          Name
          <input className="input" required value={name} maxLength={80} onChange={(e) => setName(e.target.value)} />
        </label>
        <label className="flex flex-col gap-1">
          Holds
          <select className="input" value={what} onChange={(e) => setWhat(e.target.value as typeof what)}>
            <option value="both">What comes due and bench days</option>
            <option value="duties">Only what comes due</option>
            <option value="bench">Only bench days</option>
          </select>
        </label>
        <label className="flex flex-col gap-1">
          About
          <select className="input" value={subject} onChange={(e) => setSubject(e.target.value as typeof subject)}>
            <option value="">Everything</option>
            {schedule.SUBJECT_KINDS.map((kind) => (
              <option key={kind} value={kind}>
                {subjectWords(kind)}
              </option>
            ))}
          </select>
        </label>
        <Button type="submit" look="filled" disabled={add.isPending}>
          Make an address
        </Button>
      </form>
      {feeds.data && feeds.data.length > 0 && (
        <ul className="sheet divide-y divide-line">
          {feeds.data.map((feed) => (
            <li key={feed.id} className="flex flex-wrap items-center gap-3 px-4 py-2">
              <div className="min-w-0 flex-1">
                <p className="font-medium">{feed.name}</p>
                <p className="text-sm text-soft">
                  {filterWords(feed.filter)} · made <At instant={feed.createdAt} />
                  {feed.fetchedAt ? (
                    <>
                      , last fetched <At instant={feed.fetchedAt} />
                    </>
                  ) : (
                    ', not fetched yet'
                  )}
                </p>
                {add.data?.id !== feed.id && <MayComeUnencrypted id={feed.id} />}
              </div>
              <Button aria-label={`Revoke ${feed.name}`} disabled={revoke.isPending} onClick={() => revoke.mutate(feed.id)}>
                Revoke
              </Button>
            </li>
          ))}
        </ul>
      )}
    </Section>
  );
}

const Problems = ({ problems }: Pick<BusyCalendar, 'problems'>) =>
  problems.length === 0 ? null : (
    <details className="text-sm">
      <summary className="min-h-11 cursor-pointer py-2">
        {problems.length} {problems.length === 1 ? 'entry' : 'entries'} could not be read; the others were kept
      </summary>
      <ul className="list-disc pl-5">
        {problems.map((p, i) => (
          <li key={i}>
            Line {p.line}, {p.property || 'nothing'}: {p.detail}
          </li>
        ))}
      </ul>
    </details>
  );

const fieldError = (error: unknown): string | null =>
  error instanceof ApiError ? (Object.values(error.problem.fields ?? {})[0] ?? null) : null;

function BusyTimes() {
  const busy = useBusy();
  const [fromFile, fromAddress, refresh, remove] = [useBusyFile(), useBusyAddress(), useRefreshBusy(), useRemoveBusy()];
  const [url, setUrl] = useState('');
  const failed = [fromFile, fromAddress, refresh, remove].find((m) => m.error)?.error ?? null;
  return (
    <Section title="Avoided by bench days">
      <p className="mb-3 max-w-prose text-soft">
        Another calendar’s busy times leave less room on a bench day. Only when you are busy is kept, nothing of what.
      </p>
      {failed && <Failure error={failed} />}
      {fieldError(failed) && <p className="text-sm text-act">{fieldError(failed)}</p>}
      <div className="sheet my-3 flex flex-wrap items-end gap-3 p-4">
        <FileButton
          accept=".ics,text/calendar"
          onChoose={(file) =>
            void file.text().then((text) => fromFile.mutate({ name: file.name.replace(/\.ics$/i, '').slice(0, 80) || 'Calendar', text }))
          }
        >
          From an .ics file
        </FileButton>
        <form
          className="flex flex-1 flex-wrap items-end gap-3"
          onSubmit={(e) => {
            e.preventDefault();
            fromAddress.mutate({ name: new URL(url).hostname, url }, { onSuccess: () => setUrl('') });
          }}
        >
          <label className="flex min-w-60 flex-1 flex-col gap-1">
            Or an address on this machine or its network
            <input className="input" type="url" required placeholder="http://" value={url} onChange={(e) => setUrl(e.target.value)} />
          </label>
          <Button type="submit" disabled={fromAddress.isPending}>
            Fetch it
          </Button>
        </form>
      </div>
      {busy.isPending && <Loading />}
      {busy.data && busy.data.length > 0 && (
        <ul className="sheet divide-y divide-line">
          {busy.data.map((calendar) => (
            <li key={calendar.id} className="px-4 py-2">
              <div className="flex flex-wrap items-center gap-3">
                <div className="min-w-0 flex-1">
                  <p className="font-medium">{calendar.name}</p>
                  <p className="text-sm text-soft">
                    {calendar.busy.length} busy {calendar.busy.length === 1 ? 'stretch' : 'stretches'} from {calendar.events}{' '}
                    {calendar.events === 1 ? 'event' : 'events'}, read <At instant={calendar.readAt} />
                  </p>
                </div>
                {calendar.url && (
                  <Button disabled={refresh.isPending} onClick={() => refresh.mutate(calendar.id)}>
                    Fetch anew
                  </Button>
                )}
                <Button aria-label={`Forget ${calendar.name}`} disabled={remove.isPending} onClick={() => remove.mutate(calendar.id)}>
                  Forget it
                </Button>
              </div>
              <Problems problems={calendar.problems} />
            </li>
          ))}
        </ul>
      )}
    </Section>
  );
}

/** Calendars that read this one, and those this one reads. */
export const OtherCalendarsPage = () => (
  <Page title="Other calendars" actions={<ButtonLink to="/calendar">Calendar</ButtonLink>}>
    <div className="space-y-10">
      <Feeds />
      <BusyTimes />
    </div>
  </Page>
);
