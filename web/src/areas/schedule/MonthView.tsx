import {
  closestCenter,
  DndContext,
  pointerWithin,
  useDraggable,
  useDroppable,
  type CollisionDetection,
  type DragEndEvent,
  type DragStartEvent,
} from '@dnd-kit/core';
import { schedule } from '@bright-keeper/core';
import { dutyWords, longDate } from '@bright-keeper/words';
import { ChevronLeft, ChevronRight, Pin } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { Button, Failure, Notice } from '../../ui/parts';
import { useDragging } from './dragging';
import { forbiddenOn, isMovable, monthTitle, monthWeeks, standsOn, type Forbidden } from './calendarView';
import { toneOf } from './DutyRow';
import { usePlanDuty } from './queries';

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const MOST_IN_A_CELL = 4;
const WHY_NOT: Record<Forbidden, string> = {
  over: 'that day is over',
  'before-window': 'its window is not open yet',
  'after-window': 'its window is over by then',
};

type BenchOn = Pick<schedule.BenchDay, 'day' | 'minutes'> & { tasks: readonly { id?: string }[] };

/** A duty one can take and put on another day. */
function Chip({ duty }: { duty: schedule.Duty }) {
  const movable = isMovable(duty);
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({ id: duty.id, disabled: !movable });
  const { title } = dutyWords(duty);
  const style = transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined;
  return (
    <button
      type="button"
      ref={setNodeRef}
      style={style}
      {...attributes}
      {...listeners}
      title={`${duty.subject.name}: ${title}`}
      aria-label={`${duty.subject.name}: ${title}, ${longDate(duty.plannedOn ?? duty.window.due)}`}
      className={`flex w-full items-center gap-1 truncate rounded px-1 text-left text-sm ${movable ? 'cursor-grab bg-well' : 'cursor-default text-soft'} ${isDragging ? 'relative z-20 shadow-lg outline-2 outline-lamp' : ''}`}
    >
      {duty.plannedOn && <Pin size={12} className="shrink-0" aria-label="you put it here" />}
      <span className={`size-2 shrink-0 rounded-full bg-current ${toneOf(duty)}`} aria-hidden="true" />
      <span className="truncate">{duty.subject.name || title}</span>
    </button>
  );
}

type Cell = {
  day: string;
  inMonth: boolean;
  today: string;
  duties: readonly schedule.Duty[];
  bench: BenchOn | undefined;
  forbidden: Forbidden | null;
};

function DayCell({ day, inMonth, today, duties, bench, forbidden }: Cell) {
  const { setNodeRef, isOver } = useDroppable({ id: day });
  const [all, setAll] = useState(false);
  const shown = all ? duties : duties.slice(0, MOST_IN_A_CELL);
  const look = forbidden ? 'forbidden-day' : isOver ? 'outline-2 -outline-offset-2 outline-lamp' : '';
  return (
    <td
      ref={setNodeRef}
      aria-label={longDate(day)}
      aria-disabled={forbidden !== null || undefined}
      className={`h-24 border border-line align-top ${inMonth ? 'bg-sheet' : 'bg-page text-soft'} ${look}`}
    >
      <div className="flex items-center justify-between px-1">
        <span className={`text-sm ${day === today ? 'rounded-full bg-fill px-1.5 font-semibold text-on-fill' : ''}`}>
          {Number(day.slice(8))}
        </span>
        {bench && (
          <Link
            to={`/calendar/bench/${day}`}
            className="rounded bg-lamp-tint px-1 text-sm text-lamp hover:underline"
            title={`Bench day: ${bench.tasks.length} tasks`}
          >
            {bench.minutes} min
          </Link>
        )}
      </div>
      <div className="space-y-0.5 p-0.5">
        {shown.map((duty) => (
          <Chip key={duty.id} duty={duty} />
        ))}
        {duties.length > shown.length && (
          <button type="button" className="w-full px-1 text-left text-sm text-glass hover:underline" onClick={() => setAll(true)}>
            {duties.length - shown.length} more
          </button>
        )}
      </div>
    </td>
  );
}

/** Under the pointer where there is one, else the nearest: keys have no pointer. */
const dayUnder: CollisionDetection = (args) => {
  const within = pointerWithin(args);
  return within.length > 0 ? within : closestCenter(args);
};

type Props = {
  month: string;
  onMonth: (month: string) => void;
  duties: readonly schedule.Duty[];
  bench: readonly BenchOn[];
  today: string;
};

/** A month of days; what is at hand is dragged within its window, by mouse, touch or keys. */
export function MonthView({ month, onMonth, duties, bench, today }: Props) {
  const sensors = useDragging();
  const plan = usePlanDuty();
  const [dragged, setDragged] = useState<schedule.Duty | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const weeks = monthWeeks(month);
  const on = (day: string) => duties.filter((d) => standsOn(d, today) === day);

  const start = ({ active }: DragStartEvent) => {
    setRefused(null);
    setDragged(duties.find((d) => d.id === active.id) ?? null);
  };
  const drop = ({ over }: DragEndEvent) => {
    const duty = dragged;
    setDragged(null);
    if (!duty || !over) return;
    const day = String(over.id);
    if (day === standsOn(duty, today)) return;
    const why = forbiddenOn(duty, day, today);
    if (why) return setRefused(`${duty.subject.name} stays where it is: ${WHY_NOT[why]}.`);
    const { code, subject } = duty;
    plan.mutate({ code, subject: { kind: subject.kind, id: subject.id }, day, expected: duty.plannedOn });
  };

  return (
    <div>
      <div className="mb-2 flex items-center gap-2">
        <Button aria-label="Earlier month" onClick={() => onMonth(schedule.addMonths(`${month.slice(0, 8)}01`, -1))}>
          <ChevronLeft aria-hidden="true" />
        </Button>
        <h2 className="min-w-44 text-center text-lg font-semibold">{monthTitle(month)}</h2>
        <Button aria-label="Later month" onClick={() => onMonth(schedule.addMonths(`${month.slice(0, 8)}01`, 1))}>
          <ChevronRight aria-hidden="true" />
        </Button>
        <p className="ml-auto hidden text-sm text-soft md:block">Drag a task within its window; with keys: space, arrows, space.</p>
      </div>
      {refused && <Notice tone="attention">{refused}</Notice>}
      {plan.error !== null && <Failure error={plan.error} />}
      <DndContext
        sensors={sensors}
        // A month fits a screen: a page that runs away under the hand drops things on the wrong day.
        autoScroll={false}
        collisionDetection={dayUnder}
        onDragStart={start}
        onDragEnd={drop}
        onDragCancel={() => setDragged(null)}
        accessibility={{
          announcements: {
            onDragStart: ({ active }) => `Taken: ${String(active.id)}`,
            onDragOver: ({ over }) =>
              over && dragged ? `${longDate(String(over.id))}${forbiddenOn(dragged, String(over.id), today) ? ', not allowed' : ''}` : '',
            onDragEnd: ({ over }) => (over ? `Put on ${longDate(String(over.id))}` : 'Put back'),
            onDragCancel: () => 'Put back',
          },
        }}
      >
        <table className="w-full table-fixed border-collapse" aria-label={monthTitle(month)}>
          <thead>
            <tr>
              {WEEKDAYS.map((name) => (
                <th key={name} scope="col" className="pb-1 text-sm font-medium text-soft">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {weeks.map((week) => (
              <tr key={week[0]}>
                {week.map((day) => (
                  <DayCell
                    key={day}
                    day={day}
                    inMonth={day.slice(0, 7) === month.slice(0, 7)}
                    today={today}
                    duties={on(day)}
                    bench={bench.find((b) => b.day === day)}
                    forbidden={dragged ? forbiddenOn(dragged, day, today) : null}
                  />
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </DndContext>
    </div>
  );
}
