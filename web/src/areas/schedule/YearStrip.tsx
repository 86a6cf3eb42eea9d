import { schedule } from '@bright-keeper/core';
import { longDate } from '@bright-keeper/words';
import { useState } from 'react';
import { monthTitle, yearWeeks, type WeekLoad } from './calendarView';
import { useDampSeasons } from './useDampSeasons';

const WIDTH = 1060;
const HEIGHT = 150;
const DAMP_BAND = 18;

const weekWords = ({ monday, minutes, count, guessed }: WeekLoad, damp: number | null): string =>
  `Week of ${longDate(monday)}: ${count} ${count === 1 ? 'task' : 'tasks'}, ${minutes} min${guessed > 0 ? `, ${guessed} of them a guess` : ''}${damp === null ? '' : `; last year the dampest place stood at ${Math.round(damp)} % RH`}.`;

/** From here a season counts as damp (common practice: fungus wants more than about 60 % for long). */
const DAMP_PCT = 60;

/** A year of weeks: how much falls due in each, and under it the damp of the same weeks a year ago. */
export function YearStrip({
  duties,
  today,
  onWeek,
}: {
  duties: readonly schedule.Duty[];
  today: string;
  onWeek: (monday: string) => void;
}) {
  const weeks = yearWeeks(duties, today);
  const seasons = useDampSeasons(today);
  const [at, setAt] = useState(0);
  const most = Math.max(60, ...weeks.map((w) => w.minutes));
  const step = WIDTH / weeks.length;
  const chart = HEIGHT - DAMP_BAND - 22;
  const move = (to: number) => setAt(Math.max(0, Math.min(weeks.length - 1, to)));
  return (
    <figure className="sheet p-4">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full"
        role="slider"
        tabIndex={0}
        aria-label="Weeks of the next year"
        aria-valuemin={0}
        aria-valuemax={weeks.length - 1}
        aria-valuenow={at}
        aria-valuetext={weekWords(weeks[at]!, seasons(weeks[at]!.monday))}
        onKeyDown={(e) => {
          const by = { ArrowLeft: -1, ArrowRight: 1, PageUp: -4, PageDown: 4 }[e.key];
          if (by !== undefined) {
            e.preventDefault();
            move(at + by);
          }
          if (e.key === 'Enter') onWeek(weeks[at]!.monday);
        }}
        onPointerMove={(e) => {
          const box = e.currentTarget.getBoundingClientRect();
          move(Math.floor(((e.clientX - box.left) / box.width) * weeks.length));
        }}
        onClick={() => onWeek(weeks[at]!.monday)}
      >
        {weeks.map((week, i) => {
          const height = (week.minutes / most) * chart;
          const damp = seasons(week.monday);
          const first = i === 0 || week.monday.slice(5, 7) !== weeks[i - 1]!.monday.slice(5, 7);
          return (
            <g key={week.monday}>
              <rect
                x={i * step + 1}
                y={chart - height}
                width={step - 2}
                height={height}
                className={i === at ? 'fill-lamp' : 'fill-glass'}
              />
              {damp !== null && (
                <rect
                  x={i * step}
                  y={chart + 4}
                  width={step}
                  height={DAMP_BAND - 6}
                  className="fill-lamp"
                  opacity={damp > DAMP_PCT ? Math.min(1, 0.35 + (damp - DAMP_PCT) / 25) : 0.06}
                />
              )}
              {first && (
                <text x={i * step + 2} y={HEIGHT - 4} className="fill-soft text-[13px]">
                  {monthTitle(week.monday).slice(0, 3)}
                </text>
              )}
            </g>
          );
        })}
      </svg>
      <figcaption className="mt-2 text-sm">
        <p role="status">{weekWords(weeks[at]!, seasons(weeks[at]!.monday))}</p>
        <p className="text-soft">
          Bars: minutes of care that fall due. Band below: damp in the same weeks of last year, where it was measured; the fuller, the
          damper.
        </p>
      </figcaption>
    </figure>
  );
}
