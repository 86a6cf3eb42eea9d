import type { BenchDays } from '@bright-keeper/contract';
import { dayBecauseWords, dutyWords, lateWords, longDate, proofWords, remedyWords } from '@bright-keeper/words';
import { ButtonLink, Notice, Section } from '../../ui/parts';
import { Day } from '../../ui/when';
import { Fold } from '../../ui/Fold';
import { BenchStrip } from './BenchStrip';
import { SubjectLink } from './DutyRow';

const MOST_SHOWN = 3;

const DayLine = ({ day }: { day: BenchDays['plan']['days'][number] }) => (
  <li className="px-4 py-3">
    <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
      <span className="font-semibold">{longDate(day.day)}</span>
      <span className="text-sm text-soft">
        <Day day={day.day} /> · {day.tasks.length} {day.tasks.length === 1 ? 'task' : 'tasks'}, {day.minutes} min
      </span>
      <ButtonLink className="ml-auto" to={`/calendar/bench/${day.day}`} aria-label={`Open the bench day of ${longDate(day.day)}`}>
        Open
      </ButtonLink>
    </div>
    <BenchStrip day={day} />
    <p className="text-sm text-soft">{dayBecauseWords(day)}</p>
  </li>
);

/** The proposed days with their proof; what slips, what that costs, and the smallest change that would help. */
export function BenchDaysSection({ bench: { plan, remedy, busyDays } }: { bench: BenchDays }) {
  const [first, rest] = [plan.days.slice(0, MOST_SHOWN), plan.days.slice(MOST_SHOWN)];
  return (
    <Section title="Bench days" aside={proofWords(plan)}>
      {plan.days.length > 0 && (
        <ul className="sheet divide-y divide-line">
          {first.map((day) => (
            <DayLine key={day.day} day={day} />
          ))}
        </ul>
      )}
      {rest.length > 0 && (
        <Fold title={`${rest.length} more ${rest.length === 1 ? 'day' : 'days'}`}>
          <ul className="sheet divide-y divide-line">
            {rest.map((day) => (
              <DayLine key={day.day} day={day} />
            ))}
          </ul>
        </Fold>
      )}
      {plan.late.length > 0 && (
        <div className="mt-3 space-y-2">
          <Notice tone="attention">
            <p>
              {plan.late.length} {plan.late.length === 1 ? 'task slips past its' : 'tasks slip past their'} time.{' '}
              {remedy && remedyWords(remedy)}
            </p>
          </Notice>
          <Fold title="What slips, and why">
            <ul className="sheet divide-y divide-line">
              {plan.late.map(({ window: { duty }, reason }) => (
                <li key={duty.id} className="px-4 py-2">
                  <SubjectLink subject={duty.subject} /> · {dutyWords(duty).title}
                  <p className="text-sm text-soft">
                    {lateWords(reason)} Its last day is <Day day={duty.window.latest} />.
                  </p>
                </li>
              ))}
            </ul>
          </Fold>
        </div>
      )}
      {busyDays.length > 0 && (
        <p className="mt-2 text-sm text-soft">
          {busyDays.length} {busyDays.length === 1 ? 'day has' : 'days have'} less time because another calendar is busy.
        </p>
      )}
    </Section>
  );
}
