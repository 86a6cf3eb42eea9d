import { routes } from '@bright-keeper/contract';
import { Download, Printer } from 'lucide-react';
import { useChoices, withChoice } from '../../ui/choices';
import { Button, ButtonLink, Failure, Loading, Page } from '../../ui/parts';
import { AgendaView } from './AgendaView';
import { BenchDaysSection } from './BenchDaysSection';
import { BenchTimesForm } from './BenchTimesForm';
import { filterFrom, passes, VIEWS, type View } from './calendarView';
import { Filters } from './Filters';
import { MonthView } from './MonthView';
import { useAgenda, useBenchDays } from './queries';
import { YearStrip } from './YearStrip';

const VIEW_WORDS: Record<View, string> = { agenda: 'Agenda', month: 'Month', year: 'Year' };

/** Everything that comes due: as a list, as a month one can move things in, and as a year. */
export function CalendarPage() {
  const [params, setParams] = useChoices();
  const agenda = useAgenda();
  const bench = useBenchDays();
  const failed = [agenda, bench].find((q) => q.isError);
  if (failed) return <Failure error={failed.error} onRetry={() => void failed.refetch()} />;
  if (!agenda.data || !bench.data) return <Loading />;
  const { today } = agenda.data;
  const view = VIEWS.find((v) => v === params.get('view')) ?? 'agenda';
  const duties = agenda.data.duties.filter(passes(filterFrom(params)));
  const choose = (key: string, value: string | null) => setParams(withChoice(params, key, value), { replace: true });
  const openMonth = (day: string) => {
    const next = withChoice(withChoice(params, 'view', 'month'), 'month', day);
    setParams(next);
  };
  return (
    <Page
      title="Calendar"
      sub="What comes due, when there is time for it, and what waiting would cost."
      actions={
        <>
          <ButtonLink to="/calendar/rhythms">Rhythms</ButtonLink>
          <ButtonLink to="/outings">Outings</ButtonLink>
          <ButtonLink to="/calendar/others">Other calendars</ButtonLink>
          <ButtonLink to="/calendar/week">
            <Printer size={18} aria-hidden="true" /> A week to print
          </ButtonLink>
          <a
            href={routes.calendarFile}
            className="inline-flex min-h-11 items-center gap-2 rounded border border-soft bg-sheet px-4 hover:bg-well"
          >
            <Download size={18} aria-hidden="true" /> iCalendar
          </a>
        </>
      }
    >
      <div className="flex flex-col gap-8">
        {/* In a month or a year one looks for days: the proposals come after them. */}
        <div className={view === 'agenda' ? '' : 'order-last'}>
          <BenchDaysSection bench={bench.data} />
          <BenchTimesForm times={bench.data.times} />
        </div>
        <section aria-label="What comes due" className="space-y-4">
          <div className="flex flex-wrap items-center justify-between gap-3">
            <div role="group" aria-label="View" className="flex gap-1 print:hidden">
              {VIEWS.map((v) => (
                <Button
                  key={v}
                  look={v === view ? 'filled' : 'plain'}
                  aria-pressed={v === view}
                  onClick={() => choose('view', v === 'agenda' ? null : v)}
                >
                  {VIEW_WORDS[v]}
                </Button>
              ))}
            </div>
            <Filters params={params} choose={choose} />
          </div>
          {view === 'agenda' && <AgendaView duties={duties} today={today} />}
          {view === 'month' && (
            <MonthView
              month={params.get('month') ?? today}
              onMonth={(m) => choose('month', m)}
              duties={duties}
              bench={bench.data.plan.days}
              today={today}
            />
          )}
          {view === 'year' && <YearStrip duties={duties} today={today} onWeek={openMonth} />}
        </section>
      </div>
    </Page>
  );
}
