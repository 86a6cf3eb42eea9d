import type { schedule } from '@bright-keeper/core';
import { dutyWords, longDate } from '@bright-keeper/words';
import { Fold } from '../../ui/Fold';
import { Failure, Section } from '../../ui/parts';
import { shortDate, shortWeekday } from '../../ui/dates';
import { agendaHeadings, standsOn } from './calendarView';
import { DutyRow, JustDone, SubjectLink } from './DutyRow';
import { useDeeds } from './useDeeds';

/** So many of a heading stand open before the rest is folded (our choice). */
const MOST_OPEN = 10;

/** What only follows something else: its day, and how sure that is. */
function AheadRow({ duty, today }: { duty: schedule.Duty; today: string }) {
  const day = standsOn(duty, today);
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 px-4 py-2">
      <time dateTime={day} title={longDate(day)} className="w-24 shrink-0 text-sm text-soft">
        {shortWeekday(day)}
      </time>
      <span className="min-w-0 flex-1">
        <SubjectLink subject={duty.subject} /> <span className="text-soft">· {dutyWords(duty).title}</span>
        {duty.estimate && (
          <span className="text-sm text-soft">
            {' '}
            (a guess: between {shortDate(duty.estimate.from)} and {shortDate(duty.estimate.to)})
          </span>
        )}
        {duty.snoozedUntil && <span className="text-sm text-soft"> (put off)</span>}
      </span>
      <span className="text-sm text-soft">{duty.minutes} min</span>
    </li>
  );
}

/** Everything by when it falls due; what is at hand with its action and why it matters. */
export function AgendaView({ duties, today }: { duties: readonly schedule.Duty[]; today: string }) {
  const deeds = useDeeds();
  if (duties.length === 0) return <p className="sheet p-4">Nothing of this falls due within the next 12 months.</p>;
  return (
    <div className="space-y-6">
      {deeds.error && <Failure error={deeds.error} />}
      <JustDone deeds={deeds} />
      {agendaHeadings(duties, today).map(({ title, duties: list, near }) => {
        const minutes = `${list.length} ${list.length === 1 ? 'task' : 'tasks'}, ${list.reduce((sum, d) => sum + d.minutes, 0)} min`;
        const rows = (some: readonly schedule.Duty[]) => (
          <ul className="sheet divide-y divide-line">
            {some.map((duty) =>
              duty.ahead === 0 && duty.urgency !== 'later' && !duty.snoozedUntil ? (
                <DutyRow key={duty.id} duty={duty} deeds={deeds} />
              ) : (
                <AheadRow key={duty.id} duty={duty} today={today} />
              ),
            )}
          </ul>
        );
        const most = list.length <= MOST_OPEN + 1 ? list.length : MOST_OPEN;
        return near ? (
          <Section key={title} title={title} aside={minutes}>
            {rows(list.slice(0, most))}
            {most < list.length && <Fold title={`${list.length - most} more`}>{rows(list.slice(most))}</Fold>}
          </Section>
        ) : (
          <Fold key={title} title={title} aside={minutes}>
            {rows(list)}
          </Fold>
        );
      })}
    </div>
  );
}
