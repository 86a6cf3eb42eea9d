import type { BenchDayPage as PageData } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { dayBecauseWords, dutyWords, longDate } from '@bright-keeper/words';
import { Check } from 'lucide-react';
import { useParams } from 'react-router';
import { Button, ButtonLink, Empty, Failure, Loading, Notice, Page, Section } from '../../ui/parts';
import { BenchStrip } from './BenchStrip';
import { leftOf, setRun, useRun } from './benchRun';
import { DutyRow, JustDone, SubjectLink } from './DutyRow';
import { useAgenda, useBenchDay, usePlanDuty } from './queries';
import { useDeeds } from './useDeeds';

type Bench = NonNullable<PageData['bench']>;

/** Everything to lay out before the first task, once. */
function DrawerList({ drawer, lacking, setUps }: Pick<PageData, 'drawer' | 'lacking'> & { setUps: readonly schedule.SetUpId[] }) {
  const besides = setUps.flatMap((id) => schedule.setUpFacts(id).lays);
  return (
    <Section title="Lay out first">
      <div className="sheet space-y-2 p-4">
        <ul className="list-disc space-y-1 pl-5">
          {drawer.map(({ label, for: what }) => (
            <li key={label}>
              <span className="font-medium">{label}</span> <span className="text-sm text-soft">for {what.join(', ')}</span>
            </li>
          ))}
          {besides.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
        {lacking.length > 0 && (
          <Notice tone="attention">
            Not in the drawer: {lacking.map((l) => `${l.thing} (for ${l.for})`).join(', ')}. Their plans say what does instead.
          </Notice>
        )}
      </div>
    </Section>
  );
}

/** The tasks of the day under their set-ups, in the order in which nothing clean meets anything dirty. */
function TasksBySetUp({ bench, done }: { bench: Bench; done: ReadonlySet<string> }) {
  const deeds = useDeeds();
  const plan = usePlanDuty();
  const failed = deeds.error ?? plan.error;
  const keep = ({ code, subject, plannedOn }: schedule.Duty, day: string | null) =>
    plan.mutate({ code, subject: { kind: subject.kind, id: subject.id }, day, expected: plannedOn });
  const setUps = [...new Set(bench.tasks.map((t) => t.setUp ?? 'desk'))];
  return (
    <div className="space-y-4">
      {failed !== null && <Failure error={failed} />}
      <JustDone deeds={deeds} />
      {setUps.map((setUp) => (
        <Section key={setUp} title={schedule.setUpFacts(setUp).name}>
          <ul className="sheet divide-y divide-line">
            {bench.tasks
              .filter((t) => (t.setUp ?? 'desk') === setUp)
              .map(({ duty }) =>
                done.has(duty.id) ? (
                  <li key={duty.id} className="flex items-center gap-2 px-4 py-2.5 text-soft">
                    <Check size={20} className="text-glass" aria-label="done" /> <SubjectLink subject={duty.subject} /> ·{' '}
                    {dutyWords(duty).title}
                  </li>
                ) : (
                  <DutyRow
                    key={duty.id}
                    duty={duty}
                    deeds={deeds}
                    also={
                      <Button
                        look="quiet"
                        className="text-sm"
                        aria-label={`${duty.plannedOn ? 'Let it move again' : 'Keep it on this day'}: ${duty.subject.name}`}
                        disabled={plan.isPending}
                        onClick={() => keep(duty, duty.plannedOn ? null : bench.day)}
                      >
                        {duty.plannedOn ? 'Let it move again' : 'Keep it on this day'}
                      </Button>
                    }
                  />
                ),
              )}
          </ul>
        </Section>
      ))}
    </div>
  );
}

/** A day at the bench from its drawer list to its last task. */
export function BenchDayPage() {
  const { day = '' } = useParams();
  const page = useBenchDay(day);
  const agenda = useAgenda();
  const run = useRun();
  const deeds = useDeeds();
  const failed = [page, agenda].find((q) => q.isError);
  if (failed) return <Failure error={failed.error} onRetry={() => void failed.refetch()} />;
  if (!page.data || !agenda.data) return <Loading />;
  const { bench, drawer, lacking, times, today } = page.data;
  const running = run?.day === day ? run : null;
  const done = new Set(running ? running.ids.filter((id) => !leftOf(running, agenda.data.duties).some((d) => d.id === id)) : []);
  if (!bench)
    return (
      <Page title={longDate(day)}>
        <Empty
          title={running ? 'All of it is done' : 'Nothing is planned for this day'}
          action={<ButtonLink to="/calendar">Back to the calendar</ButtonLink>}
        >
          {running ? 'Bench tidy, caps on, hands off.' : 'What was planned may have been done, or moved to a better day.'}
        </Empty>
      </Page>
    );
  const start = () => {
    setRun({ day, ids: bench.tasks.map((t) => t.duty.id) });
    deeds.act(bench.tasks[0]!.duty);
  };
  return (
    <Page
      title={`At the bench: ${longDate(day)}`}
      sub={`${bench.tasks.length} ${bench.tasks.length === 1 ? 'task' : 'tasks'}, ${bench.minutes} min from ${times.startsAt}. ${dayBecauseWords(bench)}`}
      actions={
        <Button look="filled" disabled={deeds.busy} onClick={start}>
          {running ? 'Begin again' : day === today ? 'Start this day' : 'Do it now'}
        </Button>
      }
    >
      <div className="sheet mb-6 p-4">
        <BenchStrip day={bench} />
        <p className="text-sm text-soft">Minutes from left to right; what is laid out is hatched, and laid out once.</p>
      </div>
      <div className="grid gap-8 lg:grid-cols-12">
        <div className="min-w-0 lg:col-span-8">
          <TasksBySetUp bench={bench} done={done} />
        </div>
        <div className="order-first min-w-0 lg:order-last lg:col-span-4">
          <DrawerList drawer={drawer} lacking={lacking} setUps={bench.setUps} />
        </div>
      </div>
    </Page>
  );
}
