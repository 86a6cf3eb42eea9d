import type { RhythmPreview } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { monthTitle } from './calendarView';

const WIDTH = 800;
const ROW = 26;
const MONTHS = 12;

const dueDays = (duties: readonly schedule.Duty[], today: string): string[] =>
  duties.map((d) => (d.window.due < today ? today : d.window.due));

/** "14 times in the next year, 112 min". */
const sumWords = (duties: readonly schedule.Duty[]): string =>
  `${duties.length} ${duties.length === 1 ? 'time' : 'times'} in the next year, ${duties.reduce((sum, d) => sum + d.minutes, 0)} min`;

/** The next year of one duty, as it is and as it would be: a stroke for each time. */
export function YearChange({ preview: { before, after }, today }: { preview: RhythmPreview; today: string }) {
  const end = schedule.addMonths(today, MONTHS);
  const span = schedule.daysBetween(today, end);
  const x = (day: string) => 90 + (schedule.daysBetween(today, day) / span) * (WIDTH - 100);
  const row = (duties: readonly schedule.Duty[], y: number, look: string) =>
    dueDays(duties, today)
      .filter((d) => d <= end)
      .map((day, i) => <rect key={`${day}-${i}`} x={x(day) - 1.5} y={y} width="3" height={ROW - 8} className={look} />);
  const same = JSON.stringify(dueDays(before, today).sort()) === JSON.stringify(dueDays(after, today).sort());
  return (
    <figure>
      <svg
        viewBox={`0 0 ${WIDTH} ${2 * ROW + 24}`}
        className="w-full"
        role="img"
        aria-label={`As it is: ${sumWords(before)}. As it would be: ${sumWords(after)}.`}
      >
        <text x="0" y={ROW - 10} className="fill-soft text-[14px]">
          as it is
        </text>
        <text x="0" y={2 * ROW - 10} className="fill-ink text-[14px]">
          would be
        </text>
        {row(before, 2, 'fill-soft')}
        {row(after, ROW + 2, 'fill-lamp')}
        {Array.from({ length: MONTHS }, (_, i) => schedule.addMonths(today, i)).map((day) => (
          <text key={day} x={x(day)} y={2 * ROW + 18} className="fill-soft text-[13px]">
            {monthTitle(day).slice(0, 3)}
          </text>
        ))}
      </svg>
      <figcaption className="text-sm">
        {same ? 'The next year stays as it is: ' : 'It would be '}
        <span className="font-semibold">{sumWords(after)}</span>
        {!same && <span className="text-soft"> instead of {sumWords(before)}</span>}.
      </figcaption>
    </figure>
  );
}
