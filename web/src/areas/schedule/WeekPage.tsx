import { schedule } from '@bright-keeper/core';
import { dutyWords, longDate } from '@bright-keeper/words';
import { ChevronLeft, ChevronRight, Printer, Square } from 'lucide-react';
import { useChoices, withChoice } from '../../ui/choices';
import { Button, ButtonLink, Failure, Loading, Page } from '../../ui/parts';
import { shortDate, wholeWeekday } from '../../ui/dates';
import { weekSheet } from './calendarView';
import { useAgenda, useBenchDays } from './queries';

const WEEK = 7;

/** One line to tick with a pencil: what, how long, and by when at the latest. */
const Line = ({ duty }: { duty: schedule.Duty }) => (
  <li className="flex items-baseline gap-2 py-0.5">
    <Square size={14} className="shrink-0 translate-y-0.5" aria-hidden="true" />
    <span className="min-w-0 flex-1">
      {duty.subject.name && <span className="font-semibold">{duty.subject.name} · </span>}
      {dutyWords(duty).title}
    </span>
    <span className="shrink-0 text-sm text-soft">
      {duty.minutes} min, by {shortDate(duty.window.latest)}
    </span>
  </li>
);
const Lines = ({ duties }: { duties: readonly schedule.Duty[] }) => (
  <ul>
    {duties.map((duty) => (
      <Line key={duty.id} duty={duty} />
    ))}
  </ul>
);

/** A week on one sheet of paper, to hang beside the bench. */
export function WeekPage() {
  const [params, setParams] = useChoices();
  const agenda = useAgenda();
  const bench = useBenchDays();
  const failed = [agenda, bench].find((q) => q.isError);
  if (failed) return <Failure error={failed.error} onRetry={() => void failed.refetch()} />;
  if (!agenda.data || !bench.data) return <Loading />;
  const { today, duties } = agenda.data;
  const asked = params.get('week') ?? today;
  const monday = schedule.weekStart(schedule.isDay(asked) && asked > today ? asked : today);
  const sheet = weekSheet(duties, bench.data.plan.days, monday, today);
  const go = (day: string) => setParams(withChoice(params, 'week', day), { replace: true });
  const sunday = schedule.addDays(monday, WEEK - 1);
  return (
    <Page
      title={`${shortDate(monday)} – ${longDate(sunday)}`}
      sub="The week on one sheet: tick with a pencil, and in the calendar afterwards."
      actions={
        <div className="flex flex-wrap gap-2 print:hidden">
          <Button aria-label="Earlier week" disabled={monday <= today} onClick={() => go(schedule.addDays(monday, -WEEK))}>
            <ChevronLeft size={18} aria-hidden="true" />
          </Button>
          <Button aria-label="Later week" onClick={() => go(schedule.addDays(monday, WEEK))}>
            <ChevronRight size={18} aria-hidden="true" />
          </Button>
          <ButtonLink to="/calendar">Calendar</ButtonLink>
          <Button look="filled" onClick={() => window.print()}>
            <Printer size={18} aria-hidden="true" /> Print
          </Button>
        </div>
      }
    >
      {sheet.late.length + sheet.mayBeDone.length === 0 && sheet.days.every((d) => !d.bench && d.duties.length === 0) && (
        <p className="mb-4">Nothing falls due in this week.</p>
      )}
      <div className="sheet divide-y divide-line print:border-0 print:shadow-none">
        {sheet.late.length > 0 && (
          <section aria-label="Overdue" className="break-inside-avoid px-4 py-2.5">
            <h2 className="font-semibold text-act">Overdue</h2>
            <Lines duties={sheet.late} />
          </section>
        )}
        {sheet.days.map(({ day, bench: atBench, duties: list }) => (
          <section key={day} aria-label={longDate(day)} className="break-inside-avoid px-4 py-2.5">
            <h2 className={`flex items-baseline gap-3 ${day < today ? 'text-soft' : 'font-semibold'}`}>
              {wholeWeekday(day)}
              {day === today && <span className="rounded bg-well px-1.5 text-sm font-normal">today</span>}
            </h2>
            {atBench && (
              <div className="my-1 rounded border border-soft px-3 py-1.5">
                <p className="text-sm">
                  Bench day from {bench.data.times.startsAt}, {atBench.minutes} min
                </p>
                <Lines duties={atBench.tasks.map((t) => t.duty)} />
              </div>
            )}
            <Lines duties={list} />
          </section>
        ))}
        {sheet.mayBeDone.length > 0 && (
          <section aria-label="May be done already" className="px-4 py-2.5">
            <h2 className="font-semibold">May be done already, if there is time</h2>
            <Lines duties={sheet.mayBeDone} />
          </section>
        )}
      </div>
    </Page>
  );
}
