import { care } from '@bright-keeper/core';
import { Link } from 'react-router';
import { ButtonLink, Empty, Failure, Loading, Page, Section, VerdictChip } from '../../ui/parts';
import { At } from '../../ui/when';
import { touchesWords } from '../../ui/words';
import { useAgenda } from '../schedule';
import { useRecentCleanings } from './queries';

/** What may be cleaned, what was begun, and what was done last. */
export function CleanPage() {
  const agenda = useAgenda();
  const recent = useRecentCleanings();
  const failed = [agenda, recent].find((q) => q.isError);
  if (failed) return <Failure error={failed.error} onRetry={() => void failed.refetch()} />;
  if (!agenda.data || !recent.data) return <Loading />;
  const { duties } = agenda.data;
  const open = duties.flatMap(({ subject, facts }) =>
    facts.says === 'open-work' && facts.work === 'cleaning' ? [{ item: subject, ...facts }] : [],
  );
  const needs = duties.flatMap(({ subject, facts }) => (facts.says === 'need' ? [{ item: subject, ...facts }] : []));
  const nothing = open.length + needs.length === 0;
  return (
    <Page
      title="Clean"
      sub="Only what the last look asks for. Everything else is left alone, and that is a good deed."
      actions={
        <>
          <ButtonLink to="/diagnose">Where is the dirt?</ButtonLink>
          <ButtonLink to="/field">Out in the field</ButtonLink>
          <ButtonLink to="/practice">Practice</ButtonLink>
        </>
      }
    >
      <div className="grid gap-8 lg:grid-cols-12">
        <div className="space-y-8 lg:col-span-8">
          {nothing && (
            <Empty
              title="Nothing asks to be cleaned"
              action={
                <ButtonLink to="/gear" look="filled">
                  Choose a thing to look at
                </ButtonLink>
              }
            >
              Look first: a clean without evidence is only wear.
            </Empty>
          )}
          {open.length > 0 && (
            <Section title="On the bench">
              <ul className="space-y-2">
                {open.map((o) => (
                  <li key={o.id} className="sheet flex flex-wrap items-center justify-between gap-3 p-4">
                    <p>
                      <Link className="font-semibold hover:underline" to={`/gear/${o.item.id}`}>
                        {o.item.name}
                      </Link>{' '}
                      <span className="text-soft">
                        begun <At instant={o.startedAt} />
                      </span>
                    </p>
                    <ButtonLink look="filled" to={`/bench/${o.id}`}>
                      Go on
                    </ButtonLink>
                  </li>
                ))}
              </ul>
            </Section>
          )}
          {needs.length > 0 && (
            <Section title="Asked for by the last look">
              <ul className="space-y-2">
                {needs.map(({ item, verdict, surfaces }) => (
                  <li key={item.id} className="sheet flex flex-wrap items-center justify-between gap-3 p-4">
                    <div className="min-w-0">
                      <p className="flex flex-wrap items-center gap-2">
                        <Link className="font-semibold hover:underline" to={`/gear/${item.id}`}>
                          {item.name}
                        </Link>{' '}
                        <VerdictChip verdict={verdict} />
                      </p>
                      <p className="text-sm text-soft">{surfaces.map((s) => care.SURFACES[s.surface].name).join(', ')}</p>
                    </div>
                    <ButtonLink to={`/gear/${item.id}/plan`}>See the plan</ButtonLink>
                  </li>
                ))}
              </ul>
            </Section>
          )}
        </div>
        <Section title="Lately" className="lg:col-span-4">
          {recent.data.cleanings.length === 0 ? (
            <p className="text-soft">No cleaning yet.</p>
          ) : (
            <ul className="sheet divide-y divide-line">
              {recent.data.cleanings.map((c) => {
                const touches = Object.values(care.benchState(c.plan, c.events).contacts).reduce((sum, n) => sum + n, 0);
                return (
                  <li key={c.id} className="px-4 py-2">
                    <Link className="font-medium hover:underline" to={`/gear/${c.itemId}`}>
                      {c.itemName}
                    </Link>
                    <span className="block text-sm text-soft">
                      <At instant={c.finishedAt ?? c.startedAt} /> · {touchesWords(touches)}
                    </span>
                  </li>
                );
              })}
            </ul>
          )}
        </Section>
      </div>
    </Page>
  );
}
